<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\Piece;
use PlainLedger\Core\Naming\PieceValues;

/** What should be known of a pattern's names before they are used: that they will not sort, not be found as a sequence, or collide. */
final readonly class PatternNotes
{
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
        $at = null;
        foreach ($pattern->pieces as $i => $piece) {
            $at = $piece->isFrame() ? $i : $at;
        }
        if ($at === null) {
            return [];
        }
        $expected = PartLength::expected($part);
        $largest = $expected === null || $expected->isEmpty()
            ? null
            : strlen((string) max(abs($expected->first()), abs($expected->last())));
        $digits = $pattern->pieces[$at]->digits ?? 1;
        $values = $specification->pieceValues($part);
        $before = $at === 0 ? '' : self::textOf($pattern->pieces[$at - 1], $values);
        $after = array_slice($pattern->pieces, $at + 1);
        $tail = implode('', array_map(static fn (Piece $p): string => self::textOf($p, $values), $after));
        $plainTail = preg_match('~^\.(?:\{ext\}|[A-Za-z0-9]{1,5})?$~', $tail) === 1;

        return [
            $digits < 2 && ($largest === null || $largest > 1)
                ? 'Frame numbers are not filled with zeros, so the names do not sort as numbers do.'
                : null,
            $plainTail
                ? null
                : 'The frame number does not stand right before the extension; most programs then do not see a '
                    .'sequence.',
            preg_match('~\d$~', $before) === 1
                ? 'Digits stand right before the frame number, and nobody can tell where it begins.'
                : null,
            $before !== '' && preg_match('~[A-Za-z\d._-]$~', $before) !== 1
                ? 'Before the frame number stands something that is no dot, dash or underscore.'
                : null,
            $expected !== null && ! $expected->isEmpty() && $expected->first() < 0
                ? 'Negative frames do not sort before the others, and many programs do not read their sign.'
                : null,
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
        return $piece->name === null
            ? $piece->text
            : ($piece->name === 'ext' ? '{ext}' : $values->textOf($piece) ?? 'x');
    }
}
