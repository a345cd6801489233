<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Delivery\NumberedName;
use PlainLedger\Core\Measure\FrameRange;

/** Many paths in few words: those that differ in one number only are one line, with the numbers as a range. */
final readonly class PathRuns
{
    /** Fewer are named one by one. */
    private const RUN = 2;

    /**
     * @param  list<string>  $paths
     * @return list<string> `TC_010.####.exr 1045-1096`, or a path; in the order of names
     */
    public static function of(array $paths): array
    {
        $groups = [];
        foreach ($paths as $path) {
            $slash = strrpos($path, '/');
            $folder = $slash === false ? '' : substr($path, 0, $slash + 1);
            $name = NumberedName::of(substr($path, strlen($folder)));
            $groups[$folder."\0".implode("\1", $name->literals)][] = [$path, $folder, $name];
        }
        ksort($groups, SORT_STRING);
        $lines = [];
        foreach ($groups as $files) {
            array_push($lines, ...self::lines($files));
        }

        return $lines;
    }

    /**
     * @param  non-empty-list<array{string, string, NumberedName}>  $files  of names that differ in numbers only
     * @return list<string>
     */
    private static function lines(array $files): array
    {
        $column = self::column(array_column($files, 2));
        $runs = [];
        foreach ($files as [$path, $folder, $name]) {
            $number = $name->numbers[$column] ?? null;
            $pattern = $number === null ? $path : $folder.self::pattern($name, $column);
            $runs[$pattern][$path] = (int) $number;
        }
        $lines = [];
        foreach ($runs as $pattern => $numbers) {
            array_push($lines, ...(count($numbers) < self::RUN
                ? array_map(strval(...), array_keys($numbers))
                : ["{$pattern} ".FrameRange::fromNumbers(array_values($numbers))]));
        }

        return $lines;
    }

    /**
     * Which number counts: the last that is not the same in all.
     *
     * @param  non-empty-list<NumberedName>  $names
     */
    private static function column(array $names): int
    {
        for ($column = count($names[0]->numbers) - 1; $column > 0; $column--) {
            $texts = array_map(static fn (NumberedName $name): string => $name->numbers[$column] ?? '', $names);
            if (count(array_unique($texts)) > 1) {
                return $column;
            }
        }

        return 0;
    }

    private static function pattern(NumberedName $name, int $column): string
    {
        $pattern = $name->literals[0];
        foreach ($name->numbers as $at => $number) {
            $pattern .= ($at === $column ? str_repeat('#', strlen(ltrim($number, '-'))) : $number)
                .$name->literals[$at + 1];
        }

        return $pattern;
    }
}
