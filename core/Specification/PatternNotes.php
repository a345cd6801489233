<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\Piece;
use PlainLedger\Core\Naming\PieceValues;

/**
 * What should be known of a pattern's names before they are used: that they will not sort, not be found as a sequence,
 * or collide.
 */
final readonly class PatternNotes
{
    private const NOT_FILLED = 'Frame numbers are not filled with zeros, so the names do not sort as numbers do.';

    private const NOT_LAST = 'The frame number does not stand right before the extension; most programs then do '
        .'not see a '
        .'sequence.';

    private const AFTER_DIGITS = 'Digits stand right before the frame number, and nobody can tell where it begins.';

    private const NEGATIVE = 'Negative frames do not sort before the others, and many programs do not read their sign.';

    /** Longer names are cut or refused by most file systems. */
    private const LONGEST = 255;

    /** @return list<string> */
    public static function of(NamePattern $pattern, Specification $specification, Part $part): array
    {
        return array_values(array_filter([
            ...($part->delivers === Delivers::Frames ? self::frames($pattern, $specification, $part) : []),
            self::collides($pattern, $part),
            ...self::characters($pattern, $specification, $part),
        ]));
    }

    /** @return list<string|null> */
    private static function frames(NamePattern $pattern, Specification $specification, Part $part): array
    {
        $at = array_key_last(array_filter($pattern->pieces, static fn (Piece $piece): bool => $piece->isFrame()));
        if ($at === null) {
            return [];
        }
        $values = $specification->pieceValues($part);
        $before = $at === 0 ? '' : self::textOf($pattern->pieces[$at - 1], $values);
        $after = array_slice($pattern->pieces, $at + 1);
        $tail = implode('', array_map(static fn (Piece $p): string => self::textOf($p, $values), $after));
        $plainTail = preg_match('~^\.(?:\{ext\}|[A-Za-z0-9]{1,5})?$~', $tail) === 1;
        $strange = $before !== '' && preg_match('~[A-Za-z\d._-]$~', $before) !== 1;

        [$notFilled, $negative] = self::numbers($pattern->pieces[$at]->digits ?? 1, PartLength::expected($part));

        return [
            $notFilled,
            $plainTail ? null : self::NOT_LAST,
            preg_match('~\d$~', $before) === 1 ? self::AFTER_DIGITS : null,
            $strange ? 'Before the frame number stands something that is no dot, dash or underscore.' : null,
            $negative,
        ];
    }

    /** @return array{string|null, string|null} */
    private static function numbers(int $digits, ?FrameRange $expected): array
    {
        $known = $expected !== null && ! $expected->isEmpty();
        $oneDigit = $known && max(abs($expected->first()), abs($expected->last())) < 10;

        return [
            $digits < 2 && ! $oneDigit ? self::NOT_FILLED : null,
            $known && $expected->first() < 0 ? self::NEGATIVE : null,
        ];
    }

    private static function collides(NamePattern $pattern, Part $part): ?string
    {
        $folder = $part->single(RequirementId::NAMING_FOLDER) ?? '';
        $all = implode(' ', [...$pattern->names(), $folder]);
        if (! str_contains($all, 'version') && ! str_contains($all, 'date')) {
            return 'Neither name nor folder has a {version}: a new take lies over the last one.';
        }

        return null;
    }

    /** @return list<string|null> */
    private static function characters(NamePattern $pattern, Specification $specification, Part $part): array
    {
        $made = $pattern->make($specification->pieceValues($part), 1);

        return [
            strlen($made) > self::LONGEST
                ? 'The names have '.strlen($made).' characters, and file systems hold '.self::LONGEST.'.'
                : null,
            preg_match('~[<>:"|?*]~', $made) === 1
                ? 'The names hold characters that some file systems refuse: < > : " | ? *'
                : null,
            str_contains($made, ' ') ? 'The names hold spaces, which many tools split at.' : null,
        ];
    }

    private static function textOf(Piece $piece, PieceValues $values): string
    {
        return match ($piece->name) {
            null => $piece->text,
            'ext' => '{ext}',
            default => $values->textOf($piece) ?? 'x',
        };
    }
}
