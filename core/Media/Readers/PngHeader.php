<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\FileDamaged;

/** The image header of a PNG (ISO/IEC 15948, 11.2.2). */
final readonly class PngHeader
{
    /** Where the chunk after it begins. */
    public const END = 33;

    private const GREY = 0;

    private const PALETTE = 3;

    private const GREY_ALPHA = 4;

    private const COLOUR_ALPHA = 6;

    /** The depths of each colour type. */
    private const DEPTHS = [0 => [1, 2, 4, 8, 16], 2 => [8, 16], 3 => [1, 2, 4, 8], 4 => [8, 16], 6 => [8, 16]];

    private function __construct(
        public int $width,
        public int $height,
        public int $depth,
        private int $colour,
        public bool $interlaced,
    ) {}

    /** @throws FileDamaged */
    public static function read(string $head): self
    {
        if (strlen($head) < self::END) {
            throw FileDamaged::cutShort('the file ends inside its header, after '.strlen($head).' bytes');
        }
        if (substr($head, 8, 8) !== "\0\0\0\x0DIHDR") {
            throw FileDamaged::header('the first chunk is not the image header');
        }
        if (hash('crc32b', substr($head, 12, 17), true) !== substr($head, 29, 4)) {
            throw FileDamaged::checksum('the image header fails its CRC');
        }
        /** @var array{width: int, height: int, depth: int, colour: int, interlace: int} $is */
        $is = unpack('Nwidth/Nheight/Cdepth/Ccolour/Cpacking/Cfilter/Cinterlace', $head, 16);
        if (! in_array($is['depth'], self::DEPTHS[$is['colour']] ?? [], true)) {
            throw FileDamaged::header('the image header names a colour type and depth that PNG does not have');
        }
        foreach ([$is['width'], $is['height']] as $side) {
            if ($side < 1 || $side > Resolution::LARGEST) {
                throw FileDamaged::header("the image header names an impossible size, a side of {$side} pixels");
            }
        }

        return new self($is['width'], $is['height'], $is['depth'], $is['colour'], $is['interlace'] === 1);
    }

    public function hasPalette(): bool
    {
        return $this->colour === self::PALETTE;
    }

    /** @return list<string> */
    public function channels(bool $transparent): array
    {
        $grey = $this->colour === self::GREY || $this->colour === self::GREY_ALPHA;
        $alpha = $transparent || $this->colour === self::GREY_ALPHA || $this->colour === self::COLOUR_ALPHA;

        return [...($grey ? ['Y'] : ['R', 'G', 'B']), ...($alpha ? ['A'] : [])];
    }
}
