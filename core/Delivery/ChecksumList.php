<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\ByteSource;

/**
 * A list of checksums: lines as `sha256sum` and `md5sum` write them, with or without the name of the algorithm, or an
 * ASC MHL document. Paths are relative to the folder the list lies in.
 */
final readonly class ChecksumList
{
    private const NAMES = '~(?:\.(?:sha256|sha256sums?|sha1|md5|md5sums?|mhl)|(?:^|[._-])(?:checksums?|sha256sums?'
        .'|md5sums?|hashes)(?:\.txt)?)$~i';

    public const LARGEST = 64_000_000;

    /** By the count of hexadecimal digits. */
    private const ALGORITHMS = [32 => 'md5', 40 => 'sha1', 64 => 'sha256', 128 => 'sha512', 16 => 'xxh64'];

    /**
     * @param  array<string, array{string, string}>  $sums algorithm and sum in small letters, by path below the
     *   delivery's root
     */
    private function __construct(public array $sums) {}

    public static function isNamedSo(string $name): bool
    {
        return preg_match(self::NAMES, $name) === 1;
    }

    /** @param  string  $folder  in which the list lies */
    public static function read(ByteSource $source, string $folder): self
    {
        $text = $source->read(0, min($source->size(), self::LARGEST));
        $sums = str_contains(substr($text, 0, 2000), '<hashlist') ? self::manifest($text) : self::lines($text);
        $placed = [];
        foreach ($sums as $path => $sum) {
            $placed[self::tidy($folder === '' ? (string) $path : "{$folder}/{$path}")] = $sum;
        }

        return new self($placed);
    }

    /** @return array<string, array{string, string}> */
    private static function lines(string $text): array
    {
        $sums = [];
        foreach (preg_split('~\R~', $text) ?: [] as $line) {
            if (preg_match('~^\s*\\\\?([0-9A-Fa-f]{32,128})\s[ *]?(.+?)\s*$~', $line, $m) === 1) {
                [$sum, $path] = [$m[1], $m[2]];
            } elseif (preg_match('~^\s*[A-Za-z0-9-]+\s*\((.+)\)\s*=\s*([0-9A-Fa-f]{32,128})\s*$~', $line, $m) === 1) {
                [$sum, $path] = [$m[2], $m[1]];
            } else {
                continue;
            }
            if (isset(self::ALGORITHMS[strlen($sum)])) {
                $sums[$path] = [self::ALGORITHMS[strlen($sum)], strtolower($sum)];
            }
        }

        return $sums;
    }

    /** @return array<string, array{string, string}> */
    private static function manifest(string $text): array
    {
        $sums = [];
        preg_match_all('~<hash\b.*?</hash>~s', $text, $hashes);
        foreach ($hashes[0] as $hash) {
            if (
                preg_match('~<path[^>]*>([^<]+)</path>~', $hash, $p) === 1
                && preg_match('~<(md5|sha1|sha256|xxh64)\b[^>]*>([0-9A-Fa-f]+)</~', $hash, $m) === 1
            ) {
                $sums[html_entity_decode($p[1], ENT_QUOTES | ENT_XML1)] = [$m[1], strtolower($m[2])];
            }
        }

        return $sums;
    }

    private static function tidy(string $path): string
    {
        $parts = [];
        foreach (explode('/', strtr($path, '\\', '/')) as $part) {
            if ($part === '..') {
                array_pop($parts);
            } elseif ($part !== '' && $part !== '.') {
                $parts[] = $part;
            }
        }

        return implode('/', $parts);
    }
}
