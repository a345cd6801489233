<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\Piece;

/** How the text of a value differs from the one that was asked. */
final readonly class ValueDifferences
{
    /** Pieces whose values follow from what is asked: their numbers differ as the files do, and name nobody. */
    private const FOLLOWING = ['resolution', 'width', 'height', 'first', 'last', 'rate'];

    /** Shorter texts are not misspelled: they are others. */
    private const SHORTEST_MISSPELLED = 3;

    /** @return list<Difference>|null null where it is another value altogether */
    public static function between(string $asked, string $found, Piece $piece): ?array
    {
        if (strcasecmp($asked, $found) === 0) {
            return [Difference::Case];
        }
        [$bareAsked, $bareFound] = [self::bare($asked), self::bare($found)];
        if (strcasecmp($bareAsked, $bareFound) === 0) {
            return self::betweenMarks($asked, $found);
        }
        if (self::hasOtherNumbers($asked, $found)) {
            return in_array($piece->name, self::FOLLOWING, true) ? [Difference::Value] : [Difference::Another];
        }

        if (strlen($asked) < self::SHORTEST_MISSPELLED) {
            return null;
        }

        return self::isMisspelled($asked, $found)
            ? [Difference::Misspelled]
            : self::misspelledWithin($bareAsked, $bareFound);
    }

    /**
     * In points, the more the less the two look alike.
     *
     * @param  list<Difference>  $differences
     */
    public static function cost(array $differences, string $asked, string $found): int
    {
        $edits = in_array(Difference::Misspelled, $differences, true)
            ? levenshtein(strtolower($asked), strtolower($found))
            : 0;

        return 2 + 7 * count($differences) + 7 * $edits;
    }

    private static function bare(string $text): string
    {
        return (string) preg_replace('~[^A-Za-z0-9\x80-\xFF]+~', '', $text);
    }

    private static function marks(string $text): string
    {
        return (string) preg_replace('~[A-Za-z0-9\x80-\xFF]+~', '', $text);
    }

    /** @return list<Difference> of two that are the same but for what stands between their words */
    private static function betweenMarks(string $asked, string $found): array
    {
        $isNew = static fn (string $mark): bool => str_contains(self::marks($found), $mark)
            && ! str_contains(self::marks($asked), $mark);
        $differences = [
            ...($isNew(' ') ? [Difference::Spaces] : []),
            ...($isNew('.') ? [Difference::Dots] : []),
        ];

        return [
            ...($differences === [] ? [Difference::Separator] : $differences),
            ...(self::bare($asked) === self::bare($found) ? [] : [Difference::Case]),
        ];
    }

    /** `TC_020` for `TC_010`: the same but for its digits, and another number. */
    private static function hasOtherNumbers(string $asked, string $found): bool
    {
        $letters = static fn (string $text): string => strtolower(
            (string) preg_replace('~[^A-Za-z\x80-\xFF]+~', '', $text),
        );
        if ($letters($asked) !== $letters($found)) {
            return false;
        }
        preg_match_all('~\d+~', $asked, $numbers);
        preg_match_all('~\d+~', $found, $others);

        // `TC_10` for `TC_010` is the same number, written otherwise
        return array_map(intval(...), $numbers[0]) !== array_map(intval(...), $others[0]);
    }

    private static function isMisspelled(string $asked, string $found): bool
    {
        $edits = levenshtein(strtolower($asked), strtolower($found));

        return $edits <= 2 && strlen($asked) > $edits + 1;
    }

    /** @return list<Difference>|null where what stands between the words differs, too */
    private static function misspelledWithin(string $asked, string $found): ?array
    {
        return strlen($asked) > 3 && levenshtein(strtolower($asked), strtolower($found)) <= 1
            ? [Difference::Misspelled, Difference::Separator]
            : null;
    }
}
