{!! $says !!}

{!! $where !!}

You are told of this by Plain Ledger, in {!! $production !!}. What you are told, and how, is set under “Notices” there.
