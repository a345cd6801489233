<?php

declare(strict_types=1);

namespace App\Intake;

use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Delivery\Picked\Slices;
use PlainLedger\Core\Delivery\Picked\Wanted;

/**
 * What a browser sent of somebody's own files: four bytes that tell the length of a head, the head as JSON, then all
 * slices one behind another in the order in which the head names them. Only what was asked for is taken.
 */
final readonly class SentSlices
{
    private const MOST_HEAD = 400_000;

    private const CHANGED = 'it was changed, or taken away, while it was looked at';

    /**
     * @param  array<int, string>  $gone  why, by file
     * @param  array<int, string|null>  $sums  hexadecimal digits, by file
     */
    private function __construct(public Slices $slices, public array $gone, public array $sums) {}

    /** @throws FolderRefused where it is not what was asked for */
    public static function read(string $body, Wanted $wanted): self
    {
        $length = strlen($body) < 4 ? 0 : (int) hexdec(bin2hex(substr($body, 0, 4)));
        $head = $length < 1 || $length > self::MOST_HEAD ? null : json_decode(substr($body, 4, $length), true, 5);
        if (! is_array($head)) {
            throw self::refused();
        }
        [$slices, $end] = self::slices($head['slices'] ?? [], $body, 4 + $length, $wanted);
        if ($end !== strlen($body)) {
            throw self::refused();
        }

        return new self($slices, self::gone($head['gone'] ?? [], $wanted), self::sums($head['sums'] ?? [], $wanted));
    }

    /** @return array{Slices, int} and where the last of them ends */
    private static function slices(mixed $named, string $body, int $at, Wanted $wanted): array
    {
        $slices = new Slices;
        foreach (is_array($named) ? $named : [] as $slice) {
            [$file, $offset, $size] = is_array($slice) ? array_pad(array_values($slice), 3, null) : [null, null, null];
            $isAsked = is_int($file) && in_array([$offset, $size], $wanted->ranges[$file] ?? [], true);
            if (! $isAsked || $at + $size > strlen($body)) {
                throw self::refused();
            }
            $slices->add($file, $offset, substr($body, $at, $size));
            $at += $size;
        }

        return [$slices, $at];
    }

    /** @return array<int, string> */
    private static function gone(mixed $named, Wanted $wanted): array
    {
        $gone = [];
        foreach (is_array($named) ? $named : [] as $file) {
            if (is_int($file) && (isset($wanted->ranges[$file]) || isset($wanted->sums[$file]))) {
                $gone[$file] = self::CHANGED;
            }
        }

        return $gone;
    }

    /** @return array<int, string|null> */
    private static function sums(mixed $named, Wanted $wanted): array
    {
        $sums = [];
        foreach (is_array($named) ? $named : [] as $file => $sum) {
            if (isset($wanted->sums[(int) $file])) {
                $sums[(int) $file] = is_string($sum) && preg_match('~^[0-9a-f]{8,128}$~D', $sum) === 1 ? $sum : null;
            }
        }

        return $sums;
    }

    private static function refused(): FolderRefused
    {
        return FolderRefused::because('chosen', 'sent something else than what was asked of it. Begin it once more');
    }
}
