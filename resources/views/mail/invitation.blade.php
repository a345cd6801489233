{!! $name === '' ? 'Hello' : 'Hello '.$name !!},

{!! $by !!} invites you to “{!! $production !!}” in Plain Ledger. This link is yours; it is used once, and ends after {{ $days }} days:

{!! $link !!}

If you do not know what this is about, do nothing.
