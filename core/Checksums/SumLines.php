<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checksums;

/**
 * Lists of checksums with a file a line: as `sha256sum`, `md5sum` and `xxhsum` write them, a sum and a path with two
 * spaces or a space and a star between, or with the algorithm's name before, `SHA256 (path) = sum`. Line ends of any
 * system; a line that begins with a backslash has its path's backslashes and newlines escaped (GNU coreutils).
 */
final readonly class SumLines
{
    private const BARE = '~^\s*(\\\\?)(?:XXH3_)?([0-9A-Fa-f]{16,128})(?:[ \t]+[ *]?|[ \t]*\*)(\S.*?|\S)\s*$~';

    private const TAGGED = '~^\s*(\\\\?)([A-Za-z0-9-]{2,12})\s*\((.+)\)\s*=\s*([0-9A-Fa-f]{16,128})\s*$~';

    /**
     * @param  string  $name  of the list: it tells sums of the same length apart
     * @return \Generator<int, ListedSum> lines that are none are passed over
     */
    public static function read(string $text, string $name): \Generator
    {
        // the mark of UTF-8 that some editors write
        $text = str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
        foreach (self::lines($text) as $line) {
            $sum = self::line($line, $name);
            if ($sum !== null) {
                yield $sum;
            }
        }
    }

    /** @return \Generator<int, string> without a copy of the whole */
    private static function lines(string $text): \Generator
    {
        $length = strlen($text);
        for ($at = 0; $at < $length; $at += $span + 1) {
            $span = strcspn($text, "\r\n", $at);
            if ($span > 0) {
                yield substr($text, $at, $span);
            }
        }
    }

    private static function line(string $line, string $name): ?ListedSum
    {
        if (preg_match(self::TAGGED, $line, $m) === 1) {
            $algorithm = SumAlgorithm::named($m[2]);
            [$escaped, $path, $sum] = [$m[1], $m[3], $m[4]];
        } elseif (preg_match(self::BARE, $line, $m) === 1) {
            [$escaped, $path, $sum] = [$m[1], $m[3], $m[2]];
            $algorithm = str_contains($line, 'XXH3_')
                ? SumAlgorithm::Xxh3
                : SumAlgorithm::ofLength(strlen($sum), $name);
        } else {
            return null;
        }

        if ($algorithm === null || strlen($sum) !== $algorithm->digits()) {
            return null;
        }
        // a backslash that is none of GNU's stands between folders: the list was written on Windows
        $path = $escaped === '' ? strtr($path, '\\', '/') : self::plain($path);

        return new ListedSum($path, $algorithm, strtolower($sum));
    }

    private static function plain(string $path): string
    {
        return strtr($path, ['\\\\' => '\\', '\\n' => "\n", '\\r' => "\r"]);
    }

    /**
     * @param  iterable<array-key, string>  $sums  by path
     * @return \Generator<int, string> a line each
     */
    public static function write(iterable $sums): \Generator
    {
        foreach ($sums as $path => $sum) {
            $path = (string) $path;
            $plain = strtr($path, ['\\' => '\\\\', "\n" => '\\n', "\r" => '\\r']);
            yield ($plain === $path ? '' : '\\')."{$sum}  {$plain}\n";
        }
    }
}
