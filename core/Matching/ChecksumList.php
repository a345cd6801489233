<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

/** What a list of checksums is called. */
final readonly class ChecksumList
{
    private const NAMES = '~(?:\.(?:sha256|sha256sums?|sha1|md5|md5sums?|mhl)|(?:^|[._-])(?:checksums?|sha256sums?|md5sums?|hashes)(?:\.txt)?)$~i';

    public static function isNamedSo(string $name): bool
    {
        return preg_match(self::NAMES, $name) === 1;
    }
}
