<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileTooLarge;

/** The strips or tiles that one page of a TIFF is cut into. */
final readonly class TiffSegments
{
    /** Entries of a table that are read at a time. */
    private const BLOCK = 65_536;

    private const MOST = 8_000_000;

    private function __construct(
        private TiffDirectory $page,
        private TiffPicture $picture,
        public bool $isTiled,
        public int $width,
        public int $height,
    ) {}

    /** @throws FileDamaged */
    public static function of(TiffDirectory $page, TiffPicture $picture): self
    {
        $isTiled = $page->has(TiffTag::TILE_PLACES) || ! $page->has(TiffTag::STRIP_PLACES);
        $rows = $page->number(TiffTag::ROWS_PER_STRIP) ?? $picture->height;
        $width = $isTiled ? $page->number(TiffTag::TILE_WIDTH) ?? 0 : $picture->width;
        $height = $isTiled ? $page->number(TiffTag::TILE_HEIGHT) ?? 0 : min($rows, $picture->height);
        if ($width < 1 || $height < 1 || $width > 1 << 24 || $height > 1 << 24) {
            throw FileDamaged::header('its directory names no strips, and no tiles of a possible size');
        }

        return new self($page, $picture, $isTiled, $width, $height);
    }

    public function across(): int
    {
        return intdiv($this->picture->width + $this->width - 1, $this->width);
    }

    public function down(): int
    {
        return intdiv($this->picture->height + $this->height - 1, $this->height);
    }

    /** How many its size makes, all planes together. */
    public function count(): int
    {
        return $this->across() * $this->down() * ($this->picture->isPlanar ? $this->picture->samples : 1);
    }

    /** Lines of one: the last strip has what is left, a tile is always whole. */
    public function lines(int $number): int
    {
        $row = intdiv($number % ($this->across() * $this->down()), $this->across());

        return $this->isTiled ? $this->height : min($this->height, $this->picture->height - $row * $this->height);
    }

    /** Bytes that one line of a segment unpacks to. */
    public function lineBytes(): int
    {
        return intdiv($this->width * $this->picture->pixelBits() + 7, 8);
    }

    /**
     * What one unpacks to, in bytes; colours at fewer points than pixels take less.
     */
    public function rawBytes(int $number): int
    {
        if ($this->picture->isDifferences() && $this->picture->compression !== TiffPicture::JPEG) {
            [$across, $down] = $this->chroma();
            $units = intdiv($this->width + $across - 1, $across) * intdiv($this->lines($number) + $down - 1, $down);

            return $units * ($across * $down + 2);
        }

        return $this->lineBytes() * $this->lines($number);
    }

    /** @return array{int, int} pixels across and down that share one colour */
    public function chroma(): array
    {
        [$across, $down] = array_pad($this->page->numbers(TiffTag::CHROMA, 2), 2, 2);

        return in_array($across, [1, 2, 4], true) && in_array($down, [1, 2, 4], true) ? [$across, $down] : [1, 1];
    }

    /**
     * @return \Generator<int, array{int, int}> place and length of each, by its number; the length of an unpacked one
     *   that is not told is what it takes
     *
     * @throws FileDamaged where a table is too short
     * @throws FileTooLarge
     */
    public function places(): \Generator
    {
        $count = $this->count();
        if ($count > self::MOST) {
            throw FileTooLarge::of(number_format($count).' strips or tiles');
        }
        $placesTag = $this->page->has(TiffTag::TILE_PLACES) ? TiffTag::TILE_PLACES : TiffTag::STRIP_PLACES;
        $lengthsTag = $this->page->has(TiffTag::TILE_LENGTHS) ? TiffTag::TILE_LENGTHS : TiffTag::STRIP_LENGTHS;
        $hasLengths = $this->page->has($lengthsTag);
        for ($first = 0; $first < $count; $first += self::BLOCK) {
            $many = min(self::BLOCK, $count - $first);
            $places = $this->page->numbers($placesTag, $many, $first);
            $lengths = $hasLengths ? $this->page->numbers($lengthsTag, $many, $first) : [];
            if (count($places) < $many || ($hasLengths && count($lengths) < $many)) {
                throw $this->tableEnds($placesTag, $count);
            }
            foreach ($places as $i => $place) {
                yield $first + $i => [$place, $lengths[$i] ?? $this->rawBytes($first + $i)];
            }
        }
    }

    private function tableEnds(int $tag, int $due): FileDamaged
    {
        $told = $this->page->count($tag);

        return $told < $due
            ? FileDamaged::header("its directory names {$told} strips or tiles, and its size takes {$due}")
            : FileDamaged::cutShort('the file ends inside its table of strips or tiles');
    }
}
