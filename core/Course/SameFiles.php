<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

/** Who handed in what somebody else handed in too. */
final readonly class SameFiles
{
    /** Files written in the same second may come of one copy; fewer than so many are chance. */
    private const FEWEST_TIMES = 3;

    private const MOST_PAIRS = 200;

    /** So many may share something though they are more than half. */
    private const FEW = 4;

    /**
     * What more than half, and more than four people, share was most likely given to all of them, and is left out.
     *
     * @param  array<array-key, DeliveryPrint>  $prints  by whose it is
     * @return list<SharedTraits> those with most in common first
     */
    public static function among(array $prints): array
    {
        $most = max(self::FEW, intdiv(count($prints), 2));
        $files = self::pairs(array_map(static fn (DeliveryPrint $p): array => $p->files, $prints), $most);
        $pictures = self::pairs(array_map(static fn (DeliveryPrint $p): array => $p->pictures, $prints), $most);
        $told = self::pairs(array_map(self::saysBy(...), $prints), $most);
        $times = self::pairs(array_map(self::pathsByTime(...), $prints), $most);
        $found = [];
        foreach (array_keys($files + $pictures + $told + $times) as $pair) {
            $sameFiles = $files[$pair] ?? [];
            $sameTimes = $times[$pair] ?? [];
            $traits = new SharedTraits(
                ...self::people($pair, array_keys($prints)),
                files: $sameFiles,
                // the same bytes have the same pixels: that is no second thing
                pictures: array_values(array_udiff($pictures[$pair] ?? [], $sameFiles, self::compare(...))),
                told: $told[$pair] ?? [],
                times: count($sameTimes) < self::FEWEST_TIMES ? [] : $sameTimes,
            );
            if ($traits->weight() > 0) {
                $found[] = $traits;
            }
        }
        usort($found, static fn (SharedTraits $x, SharedTraits $y): int => $y->weight() <=> $x->weight());

        return array_slice($found, 0, self::MOST_PAIRS);
    }

    /**
     * @param  array<array-key, array<array-key, string>>  $traits  what is shown of each trait, by whose it is
     * @param  int  $most  people who may share one
     * @return array<string, list<array{string, string}>> by the places of two people
     */
    private static function pairs(array $traits, int $most): array
    {
        $whose = [];
        $place = 0;
        foreach ($traits as $own) {
            foreach ($own as $trait => $shown) {
                $whose[$trait][$place] = $shown;
            }
            $place++;
        }
        $pairs = [];
        foreach ($whose as $by) {
            if (count($by) < 2 || count($by) > $most) {
                continue;
            }
            $places = array_keys($by);
            foreach ($places as $i => $a) {
                foreach (array_slice($places, $i + 1) as $b) {
                    $pairs["{$a}-{$b}"][] = [$by[$a], $by[$b]];
                }
            }
        }

        return $pairs;
    }

    /**
     * @param  list<array-key>  $keys
     * @return array{array-key, array-key}
     */
    private static function people(string $pair, array $keys): array
    {
        [$a, $b] = array_map(intval(...), explode('-', $pair, 2) + [0, 0]);

        return [$keys[$a], $keys[$b]];
    }

    /** @return array<string, string> */
    private static function saysBy(DeliveryPrint $print): array
    {
        $by = [];
        foreach ($print->told as $name => $says) {
            $by["{$name}\0{$says}"] = "{$name}: {$says}";
        }

        return $by;
    }

    /** @return array<int, string> */
    private static function pathsByTime(DeliveryPrint $print): array
    {
        $by = [];
        foreach ($print->times as $path => $time) {
            $by[$time] ??= (string) $path;
        }

        return $by;
    }

    /**
     * @param  array{string, string}  $one
     * @param  array{string, string}  $other
     */
    private static function compare(array $one, array $other): int
    {
        return $one <=> $other;
    }
}
