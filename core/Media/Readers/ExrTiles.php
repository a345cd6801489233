<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\FileDamaged;

/** The tiles of an OpenEXR picture, and its levels of smaller and smaller pictures. */
final readonly class ExrTiles
{
    private const ONE_LEVEL = 0;

    private const MIP_LEVELS = 1;

    private const RIP_LEVELS = 2;

    private function __construct(
        private int $width,
        private int $height,
        private int $levels,
        private bool $roundsUp,
    ) {}

    /**
     * @param  string  $bytes  a `tiledesc`
     *
     * @throws FileDamaged
     */
    public static function read(string $bytes): ?self
    {
        if (strlen($bytes) < 9) {
            return null;
        }
        $mode = ord($bytes[8]);
        $tiles = new self(ExrHeader::int($bytes, 0), ExrHeader::int($bytes, 4), $mode & 15, $mode >> 4 === 1);
        if ($tiles->width < 1 || $tiles->height < 1 || $tiles->levels > self::RIP_LEVELS) {
            throw FileDamaged::header('the header names impossible tiles');
        }

        return $tiles;
    }

    public function width(): int
    {
        return $this->width;
    }

    public function height(): int
    {
        return $this->height;
    }

    /** Pixels of one that is not cut by an edge. */
    public function pixels(): int
    {
        return $this->width * $this->height;
    }

    /**
     * Width and height of one of them in a picture of this size; nothing of one that is not there.
     *
     * @return array{int, int}
     */
    public function sizeOf(int $column, int $row, int $levelX, int $levelY, int $width, int $height): array
    {
        if (min($column, $row, $levelX, $levelY) < 0 || max($levelX, $levelY) > 32) {
            return [0, 0];
        }

        return [
            max(0, min($this->width, $this->at($levelX, $width) - $column * $this->width)),
            max(0, min($this->height, $this->at($levelY, $height) - $row * $this->height)),
        ];
    }

    /** How many there are in all levels of a picture of this size. */
    public function count(int $width, int $height): int
    {
        if ($this->levels === self::ONE_LEVEL) {
            return $this->across($width) * $this->down($height);
        }
        if ($this->levels === self::MIP_LEVELS) {
            $levels = $this->levelsOf(max($width, $height));
            $count = 0;
            for ($level = 0; $level < $levels; $level++) {
                $count += $this->across($this->at($level, $width)) * $this->down($this->at($level, $height));
            }

            return $count;
        }

        return $this->sum($width, $this->across(...)) * $this->sum($height, $this->down(...));
    }

    /** @param  callable(int): int  $tiles */
    private function sum(int $side, callable $tiles): int
    {
        $sum = 0;
        for ($level = 0, $levels = $this->levelsOf($side); $level < $levels; $level++) {
            $sum += $tiles($this->at($level, $side));
        }

        return $sum;
    }

    private function across(int $width): int
    {
        return intdiv($width + $this->width - 1, $this->width);
    }

    private function down(int $height): int
    {
        return intdiv($height + $this->height - 1, $this->height);
    }

    /** Halving until the side is one. */
    private function levelsOf(int $side): int
    {
        for ($level = 0; $this->at($level, $side) > 1; $level++);

        return $level + 1;
    }

    /** A side's length at a level. */
    private function at(int $level, int $side): int
    {
        $divisor = 1 << $level;

        return max(1, $this->roundsUp ? intdiv($side + $divisor - 1, $divisor) : intdiv($side, $divisor));
    }
}
