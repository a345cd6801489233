<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

use PlainLedger\Core\Checksums\SumAlgorithm;

/**
 * Sums of folders as ASC MHL 2.0 has them ("directory hashes"). The content's: the sums of what lies in it, in their
 * order, as bytes one after the other, summed. The structure's: the same of its names, a folder's with its own
 * structure behind its name.
 */
final readonly class DirectorySums
{
    /** @param  array<array-key, array{string, string}>  $folders  content and structure by path, `""` for the root */
    private function __construct(public array $folders) {}

    /** @param  iterable<array-key, string>  $sums  of files, by path */
    public static function of(iterable $sums, SumAlgorithm $algorithm): self
    {
        [$content, $structure] = [['' => []], ['' => []]];
        foreach ($sums as $path => $sum) {
            $path = (string) $path;
            $folder = self::above($path);
            $content[$folder][] = $sum;
            $structure[$folder][] = hash($algorithm->value, basename($path));
            // so that one which holds folders alone is there too
            for (; $folder !== ''; $folder = self::above($folder)) {
                $content[$folder] ??= [];
            }
        }
        $folders = [];
        // those below come before what they lie in
        krsort($content, SORT_STRING);
        foreach (array_map(strval(...), array_keys($content)) as $folder) {
            $own = [
                self::ofAll($content[$folder], $algorithm),
                self::ofAll($structure[$folder] ?? [], $algorithm),
            ];
            $folders[$folder] = $own;
            if ($folder !== '') {
                $content[self::above($folder)][] = $own[0];
                $structure[self::above($folder)][] = hash($algorithm->value, basename($folder).hex2bin($own[1]));
            }
        }
        ksort($folders, SORT_STRING);

        return new self($folders);
    }

    private static function above(string $path): string
    {
        return str_contains($path, '/') ? substr($path, 0, (int) strrpos($path, '/')) : '';
    }

    /** @param  list<string>  $sums */
    private static function ofAll(array $sums, SumAlgorithm $algorithm): string
    {
        sort($sums, SORT_STRING);

        return hash($algorithm->value, implode('', array_map(hex2bin(...), $sums)));
    }
}
