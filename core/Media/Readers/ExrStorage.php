<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

/** How the pixels of an OpenEXR part are packed and cut. */
final readonly class ExrStorage
{
    public const NONE = 0;

    public const RUN_LENGTHS = 1;

    public const ZIP = 3;

    public const PIZ = 4;

    public const PXR24 = 5;

    public const B44 = 6;

    public const B44A = 7;

    public const DWA = [8, 9];

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

    /** @param  int|null  $chunkCount  as the header tells it */
    public function __construct(
        public int $compression,
        public ?ExrTiles $tiles,
        public bool $deep,
        public ?int $chunkCount,
    ) {}

    public static function isKnown(int $compression): bool
    {
        return isset(self::NAMES[$compression]);
    }

    public function name(): string
    {
        return self::NAMES[$this->compression] ?? "unknown {$this->compression}";
    }

    /** Whether a chunk is a zlib stream, with a checksum of its own. */
    public function isDeflated(): bool
    {
        return in_array($this->compression, [2, self::ZIP], true);
    }

    public function linesPerChunk(): int
    {
        return $this->deep ? 1 : self::LINES[$this->compression] ?? 1;
    }
}
