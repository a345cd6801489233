<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Delivery\ChecksumList;
use PlainLedger\Core\Delivery\Picked\PickedNames;
use PlainLedger\Core\Media\SystemFiles;

/** Sums of files that only somebody else's machine can read, as it told them. */
final readonly class ToldSums
{
    /**
     * What no check lists is left out: lists of checksums, what systems leave behind, and names that lead elsewhere.
     *
     * @param  array<mixed>  $told  a list of [path, size in bytes, time in milliseconds since 1970, sums by the names
     *   of their algorithms]
     * @param  list<SumAlgorithm>  $algorithms  each file has to have the sums of all of them
     * @return list<SealedFile> dated by the clock of that machine
     *
     * @throws SealRefused
     */
    public static function read(array $told, array $algorithms): array
    {
        $files = [];
        foreach ($told as $one) {
            $file = self::file(is_array($one) ? array_pad(array_values($one), 4, null) : [null, null, null, null]);
            if (self::isOfDelivery($file)) {
                foreach ($algorithms as $algorithm) {
                    self::expectSum($file, $algorithm);
                }
                $files[] = new SealedFile($file->path, $file->size, $file->modified, self::only($file, $algorithms));
            }
        }

        return $files;
    }

    /** @param  list<mixed>  $told */
    private static function file(array $told): SealedFile
    {
        [$path, $size, $time, $sums] = $told;
        if (! is_string($path) || ! is_int($size) || ! is_int($time) || ! is_array($sums)) {
            throw SealRefused::because('sums', 'were not told in the way that was agreed');
        }
        /** @var array<string, string> $texts */
        $texts = array_filter($sums, is_string(...));

        return new SealedFile($path, $size, intdiv($time, 1000), $texts);
    }

    private static function isOfDelivery(SealedFile $file): bool
    {
        return PickedNames::canHold($file->path, $file->size)
            && ! ChecksumList::isNamedSo(basename($file->path))
            && ! ChecksumList::isChain($file->path)
            && ! SystemFiles::has($file->path);
    }

    private static function expectSum(SealedFile $file, SumAlgorithm $algorithm): void
    {
        $sum = $file->sum($algorithm) ?? '';
        if (strlen($sum) !== $algorithm->digits() || preg_match('~^[0-9a-f]+$~D', $sum) !== 1) {
            throw SealRefused::because($file->path, "came without a sum by {$algorithm->label()}");
        }
    }

    /**
     * @param  list<SumAlgorithm>  $algorithms
     * @return array<string, string>
     */
    private static function only(SealedFile $file, array $algorithms): array
    {
        $sums = [];
        foreach ($algorithms as $algorithm) {
            $sums[$algorithm->value] = (string) $file->sum($algorithm);
        }

        return $sums;
    }
}
