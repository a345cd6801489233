<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Naming\NamePattern;

/** The extension that a pattern writes out instead of leaving it to the format. */
final readonly class LiteralExtension
{
    public static function of(NamePattern $pattern): ?string
    {
        $last = $pattern->pieces[array_key_last($pattern->pieces) ?? 0] ?? null;

        return $last !== null
            && $last->name === null
            && preg_match('~\.([A-Za-z][A-Za-z0-9]{0,5})$~', $last->text, $m) === 1
            ? strtolower($m[1])
            : null;
    }
}
