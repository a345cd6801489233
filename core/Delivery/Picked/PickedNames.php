<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Picked;

use PlainLedger\Core\Delivery\Archive\ZipName;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\SetAside;

/**
 * Files as whoever has them told of them, one a line: a list of path, size in bytes and time in milliseconds since
 * 1970. Nothing of it is believed further than a name can be: what leads elsewhere is left out.
 */
final readonly class PickedNames
{
    /** More are checked where they lie, by the console program. */
    public const MOST = 200_000;

    private const LONGEST = 4000;

    private const MOST_BYTES = 1 << 50;

    /**
     * Lines for what was told.
     *
     * @param  array<mixed>  $told  a list of [path, size, time]
     * @param  int  $ahead  milliseconds by which that machine's clock is ahead of this one's
     *
     * @throws FolderRefused
     */
    public static function lines(array $told, int $ahead): string
    {
        $lines = '';
        foreach ($told as $file) {
            [$path, $size, $time] = is_array($file) ? array_pad(array_values($file), 3, null) : [null, null, null];
            if (! is_string($path) || ! is_int($size) || ! is_int($time)) {
                throw FolderRefused::because('chosen', 'was not told of in the way that was agreed');
            }
            $isOne = self::canHold($path, $size);
            // what is left out keeps its line: whoever told of it knows each by its number
            $line = $isOne ? [base64_encode($path), $size, intdiv($time - $ahead, 1000)] : null;
            $lines .= json_encode($line, JSON_THROW_ON_ERROR)."\n";
        }

        return $lines;
    }

    /** Whether it can be a file of a delivery at all. */
    public static function canHold(string $path, int $size): bool
    {
        return $size >= 0
            && $size <= self::MOST_BYTES
            && strlen($path) <= self::LONGEST
            && ZipName::staysInside($path)
            && ZipName::parts($path)[1] !== ''
            && ! SetAside::holds($path)
            && ! ZipName::isOfSystem($path);
    }

    /**
     * @param  string  $file  that holds the lines
     * @return \Generator<int, ListedFile> known by the numbers of their lines, from 1 on
     */
    public static function read(string $file): \Generator
    {
        $handle = @fopen($file, 'r');
        if ($handle === false) {
            return;
        }
        try {
            for ($number = 1; ($line = fgets($handle)) !== false; $number++) {
                /** @var array{string, int, int}|null $is */
                $is = json_decode($line, true, 4, JSON_THROW_ON_ERROR);
                if ($is === null) {
                    continue;
                }
                [$folder, $name] = ZipName::parts((string) base64_decode($is[0], true));
                yield new ListedFile($folder, $name, $is[1], $is[2], null, $number);
            }
        } finally {
            fclose($handle);
        }
    }
}
