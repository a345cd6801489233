<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Checksums\Manifest;
use PlainLedger\Core\Checksums\SumLines;
use PlainLedger\Core\Media\ByteSource;

/**
 * A list of checksums as it lies among the files of a delivery. Its paths are relative to the folder it lies in; those
 * of an ASC MHL document to the folder that its `ascmhl` lies in. Where all of them are absolute, they are relative to
 * what they have in common: the list was written on another machine.
 */
final readonly class ChecksumList
{
    private const NAMES = '~(?:\.(?:sha(?:1|256|512)(?:sums?)?|md5(?:sums?)?|xxh(?:3|64|128)?|mhl)'
        .'|(?:^|[._-])(?:checksums?|sha(?:1|256|512)sums?|md5sums?|xxh(?:64|128)?sums?|hashes)(?:\.txt)?)$~i';

    /** Where ASC MHL keeps its documents, and which of them come after which. */
    private const MHL_FOLDER = 'ascmhl';

    private const CHAIN = '~(?:^|/)ascmhl/ascmhl_chain\.xml$~i';

    public const LARGEST = 256_000_000;

    /**
     * @param  array<array-key, array{string, string}>  $sums algorithm and sum in small letters, by path below the
     *   delivery's root; a path that leads out of it keeps its leading dots
     */
    private function __construct(public array $sums) {}

    public static function isNamedSo(string $name): bool
    {
        return preg_match(self::NAMES, $name) === 1;
    }

    /** What stands beside lists and is no file of the delivery, at a path below its root. */
    public static function isChain(string $path): bool
    {
        return preg_match(self::CHAIN, $path) === 1;
    }

    /**
     * @param  string  $folder  in which the list lies
     * @param  string  $name  of the list
     */
    public static function read(ByteSource $source, string $folder, string $name = ''): self
    {
        $text = $source->read(0, min($source->size(), self::LARGEST));
        $isManifest = Manifest::isOne(substr($text, 0, 2000));
        if ($isManifest && strcasecmp(basename($folder), self::MHL_FOLDER) === 0) {
            $folder = dirname($folder) === '.' ? '' : dirname($folder);
        }
        $listed = [];
        foreach ($isManifest ? Manifest::read($text) : SumLines::read($text, $name) as $sum) {
            $listed[$sum->path] ??= [$sum->algorithm->value, $sum->sum];
        }
        $common = self::common(array_keys($listed));
        $placed = [];
        foreach ($listed as $path => $sum) {
            $path = substr((string) $path, strlen($common));
            $placed[self::tidy($folder === '' ? $path : "{$folder}/{$path}")] ??= $sum;
        }

        return new self($placed);
    }

    /**
     * @param  list<array-key>  $paths
     * @return string the folders that absolute paths begin with alike; empty where one of them is relative
     */
    private static function common(array $paths): string
    {
        $common = null;
        foreach ($paths as $path) {
            $path = (string) $path;
            if (preg_match('~^(?:/|[A-Za-z]:/)~', $path) !== 1) {
                return '';
            }
            $folder = substr($path, 0, (int) strrpos($path, '/') + 1);
            $common ??= $folder;
            while (! str_starts_with($folder, $common)) {
                $common = substr($common, 0, (int) strrpos(rtrim($common, '/'), '/') + 1);
            }
        }

        return $common ?? '';
    }

    private static function tidy(string $path): string
    {
        if (! str_contains($path, './') && ! str_contains($path, '//') && ! str_starts_with($path, '/')) {
            return $path;
        }
        $parts = [];
        foreach (explode('/', $path) as $part) {
            if ($part === '..' && $parts !== [] && end($parts) !== '..') {
                array_pop($parts);
            } elseif ($part !== '' && $part !== '.') {
                $parts[] = $part;
            }
        }

        return implode('/', $parts);
    }
}
