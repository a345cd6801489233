<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileEnds;

/** The header of a track (ISO/IEC 14496-12, 8.3.2). */
final readonly class BoxTrackHeader
{
    private const ONE = 65536;

    /** Degrees clockwise by what a matrix does: across to across, across to down, down to across, down to down. */
    private const TURNS = [
        90 => [0, self::ONE, -self::ONE, 0],
        180 => [-self::ONE, 0, 0, -self::ONE],
        270 => [0, -self::ONE, self::ONE, 0],
    ];

    /**
     * @param  int  $width  as shown, in 65536ths of a pixel; likewise the height
     * @param  int  $rotation  degrees clockwise
     */
    private function __construct(
        public int $id,
        public bool $isEnabled,
        public int $width,
        public int $height,
        public int $rotation,
    ) {}

    public static function read(FileEnds $file, Box $box): self
    {
        $bytes = $file->read($box->body, min(96, $box->length()));
        $isLong = ord($bytes[0] ?? "\0") === 1;
        $matrix = $isLong ? 52 : 40;
        $turn = array_map(static fn (int $at): int => ByteOrder::Big->i32($bytes, $matrix + $at), [0, 4, 12, 16]);

        return new self(
            ByteOrder::Big->u32($bytes, $isLong ? 20 : 12),
            (ord($bytes[3] ?? "\0") & 1) === 1,
            ByteOrder::Big->u32($bytes, $matrix + 36),
            ByteOrder::Big->u32($bytes, $matrix + 40),
            (int) array_search($turn, self::TURNS, true),
        );
    }
}
