<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

/** One header of an OpenEXR file. */
final readonly class ExrPart
{
    private const NAMES = [
        'none',
        'rle',
        'zips',
        'zip',
        'piz',
        'pxr24',
        'b44',
        'b44a',
        'dwaa',
        'dwab',
        'htj2k256',
        'htj2k32',
    ];

    private const LINES = [1, 1, 1, 16, 32, 16, 32, 32, 32, 256, 256, 32];

    /**
     * @param  array<array-key, int>  $channels  name to pixel type: 0 uint, 1 half, 2 float
     * @param  array{int, int, int, int}  $dataWindow  left, top, right, bottom, inclusive
     * @param  array{int, int, int, int}  $displayWindow
     * @param  array{int, int, int}|null  $tiles  width, height, level mode and rounding as stored
     * @param  array{int, int}|null  $frameRate
     * @param  array<string, string>  $texts
     * @param  array<array-key, array{int, int}>  $sampling  of each channel
     */
    public function __construct(
        public array $channels,
        public array $sampling,
        public int $compression,
        public array $dataWindow,
        public array $displayWindow,
        public float $pixelAspect,
        public ?array $tiles,
        public bool $deep,
        public ?int $chunkCount,
        public ?string $name,
        public ?array $frameRate,
        public array $texts,
        public ?int $density = null,
        public ?string $projection = null,
        public ?int $frameNumber = null,
        public ?string $timecode = null,
    ) {}

    public function compressionName(): string
    {
        return self::NAMES[$this->compression] ?? "unknown {$this->compression}";
    }

    /** @return list<string> a channel may be called by a number, which a key does not keep as text */
    public function channelNames(): array
    {
        return array_map(strval(...), array_keys($this->channels));
    }

    public function isTiled(): bool
    {
        return $this->tiles !== null;
    }

    public function linesPerChunk(): int
    {
        return $this->deep ? 1 : self::LINES[$this->compression] ?? 1;
    }

    public function width(): int
    {
        return $this->dataWindow[2] - $this->dataWindow[0] + 1;
    }

    public function height(): int
    {
        return $this->dataWindow[3] - $this->dataWindow[1] + 1;
    }

    /** How many chunks its offset table has: as told, else as its size makes it. */
    public function chunks(): int
    {
        if ($this->tiles === null) {
            return $this->chunkCount ?? intdiv($this->height() + $this->linesPerChunk() - 1, $this->linesPerChunk());
        }
        if ($this->chunkCount !== null) {
            return $this->chunkCount;
        }
        [$tileWidth, $tileHeight, $mode] = $this->tiles;
        $up = ($mode >> 4) === 1;
        $tiles = static fn (int $length, int $tile): int => intdiv($length + $tile - 1, $tile);
        if (($mode & 15) === 0) {
            return $tiles($this->width(), $tileWidth) * $tiles($this->height(), $tileHeight);
        }
        $widths = self::levels(
            ($mode & 15) === 1 ? max($this->width(), $this->height()) : $this->width(),
            $up,
            $this->width(),
        );
        $heights = self::levels(
            ($mode & 15) === 1 ? max($this->width(), $this->height()) : $this->height(),
            $up,
            $this->height(),
        );
        $count = 0;
        foreach ($widths as $x => $width) {
            foreach ($heights as $y => $height) {
                if (($mode & 15) === 2 || $x === $y) {
                    $count += $tiles($width, $tileWidth) * $tiles($height, $tileHeight);
                }
            }
        }

        return $count;
    }

    /** @return list<int> the side's length at each level, halving until the longest is one */
    private static function levels(int $longest, bool $up, int $side): array
    {
        $lengths = [];
        for ($level = 0; ; $level++) {
            $half = static fn (int $length): int => max(
                1,
                $up ? intdiv($length + (1 << $level) - 1, 1 << $level) : intdiv($length, 1 << $level),
            );
            $lengths[] = $half($side);
            if ($half($longest) === 1) {
                return $lengths;
            }
        }
    }
}
