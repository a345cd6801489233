<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\SealedFile;

/**
 * Another machine's clock, by which files were dated that were sealed there. A check takes from their times what that
 * clock was ahead, as far as that could be told over a line; so the same files may be dated some seconds otherwise, but
 * then all of them alike.
 */
final readonly class OtherClock
{
    /** Seconds by which two guesses of how far a clock is ahead may differ. */
    private const GUESS = 6;

    /**
     * The seal with its files dated as the check has them, where all of them are dated otherwise by the same span.
     *
     * @param  int  $ahead  seconds by which that clock is ahead, as far as can be told
     */
    public static function asChecked(Seal $seal, Delivery $checked, int $ahead): Seal
    {
        $then = FilesSince::dated($checked);
        $spans = [];
        foreach ($seal->files as $file) {
            $was = $then[$file->path] ?? null;
            if ($was !== null) {
                $spans[] = $file->modified - $was[1];
            }
        }
        sort($spans);
        $span = $spans[intdiv(count($spans), 2)] ?? 0;
        if ($span === 0 || abs($span - $ahead) > self::GUESS) {
            return $seal;
        }

        return new Seal(
            $seal->algorithms,
            array_map(static fn (SealedFile $file): SealedFile => self::dated($file, $span, $then), $seal->files),
            $seal->refused,
        );
    }

    /** @param  array<array-key, array{int, int}>  $then  size and time by path */
    private static function dated(SealedFile $file, int $span, array $then): SealedFile
    {
        $modified = $file->modified - $span;
        $was = $then[$file->path] ?? null;
        // each of the two was rounded by itself
        $isThen = $was !== null && abs($was[1] - $modified) <= 1;

        return new SealedFile($file->path, $file->size, $isThen ? $was[1] : $modified, $file->sums);
    }
}
