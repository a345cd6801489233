<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checksums;

/**
 * A media hash list in XML: ASC MHL 2.0 (`urn:ASC:MHL:v2.0`), and the earlier version 1 with its `file` elements. Read
 * as a stream; entities and outside documents are left alone. A sum that was found not to agree when the list was
 * written (`action="failed"`) is no sum to agree with.
 */
final readonly class Manifest
{
    private const SUMS = ['md5', 'sha1', 'sha256', 'sha512', 'xxh64', 'xxh3', 'xxh128', 'xxhash64be', 'xxhash64', 'c4'];

    /** @param  string  $head  its first bytes */
    public static function isOne(string $head): bool
    {
        return preg_match('~<(?:[A-Za-z]+:)?hashlist\b~', $head) === 1;
    }

    /** @return \Generator<int, ListedSum> as far as it can be read */
    public static function read(string $text): \Generator
    {
        $xml = new \XMLReader;
        if (! @$xml->XML($text, null, LIBXML_NONET | LIBXML_NOERROR | LIBXML_NOWARNING)) {
            return;
        }
        while (@$xml->read()) {
            if ($xml->nodeType === \XMLReader::ELEMENT && $xml->localName === 'hash' && ! $xml->isEmptyElement) {
                $sum = self::hash($xml);
                if ($sum !== null) {
                    yield $sum;
                }
            }
        }
        $xml->close();
    }

    /** The element that was just begun, to its end. */
    private static function hash(\XMLReader $xml): ?ListedSum
    {
        $depth = $xml->depth;
        $path = null;
        $found = null;
        while (@$xml->read() && ! ($xml->nodeType === \XMLReader::END_ELEMENT && $xml->depth === $depth)) {
            if ($xml->nodeType !== \XMLReader::ELEMENT) {
                continue;
            }
            $name = strtolower($xml->localName);
            if ($name === 'path') {
                $path ??= $xml->readString();
            } elseif ($name === 'file') {
                $path ??= strtr($xml->readString(), '\\', '/');
            } elseif (in_array($name, self::SUMS, true) && $xml->getAttribute('action') !== 'failed') {
                $found ??= self::sum($name, trim($xml->readString()));
            }
        }

        return $path === null || $path === '' || $found === null ? null : new ListedSum($path, ...$found);
    }

    /** @return array{SumAlgorithm, string}|null */
    private static function sum(string $name, string $sum): ?array
    {
        if ($name === 'c4') {
            $sum = C4Id::toSha512($sum);

            return $sum === null ? null : [SumAlgorithm::Sha512, $sum];
        }
        $algorithm = SumAlgorithm::named($name);
        $fits = $algorithm !== null && preg_match('~^[0-9A-Fa-f]+$~', $sum) === 1;

        return $fits && strlen($sum) === $algorithm->digits() ? [$algorithm, strtolower($sum)] : null;
    }
}
