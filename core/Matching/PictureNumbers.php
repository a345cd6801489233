<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Specification\Part;

/** By which numbers the pictures of a movie go. */
final readonly class PictureNumbers
{
    /**
     * Those of the frames that are asked, or of those that it is made from, where there are as many; else from 1 on.
     *
     * @return list<int>
     */
    public static function of(Part $part, ?Part $source, int $count): array
    {
        $expected = $part->expected() ?? $source?->expected();
        if ($expected !== null && count($expected) === $count) {
            return iterator_to_array($expected->numbers(), false);
        }

        return $count < 1 ? [] : range(1, $count);
    }
}
