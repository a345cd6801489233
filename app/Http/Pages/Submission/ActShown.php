<?php

declare(strict_types=1);

namespace App\Http\Pages\Submission;

use PlainLedger\Core\Text\Text;

/** What an entry of a history is about, in a few words. */
final readonly class ActShown
{
    /** @param  array<string, mixed>  $facts */
    public static function about(array $facts): string
    {
        $text = static fn (string $key): string => is_scalar($facts[$key] ?? null) ? (string) $facts[$key] : '';
        $of = "submission {$text('submission')}";

        return match (true) {
            isset($facts['verdict']) => "check {$text('check')}: {$text('verdict')}",
            isset($facts['holds']) => "{$of}: ".($facts['holds'] === true ? 'all as signed' : 'not as signed'),
            isset($facts['why']) => "{$of}: {$text('why')}",
            isset($facts['submission']) => "{$of}, ".Text::count((int) $text('files'), 'file'),
            isset($facts['reason']) => "{$text('id')} of {$text('part')}: {$text('reason')}",
            default => $text('key'),
        };
    }
}
