<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

/**
 * A small MP4 file (ISO/IEC 14496-12) with one video track of whole pictures, each a PNG: what the stand-in hands in as
 * a preview.
 */
final readonly class Mp4Writer
{
    public function __construct(private int $width, private int $height, private int $rate) {}

    /** @param  list<string>  $pictures  PNG files, one a frame */
    public function write(array $pictures): string
    {
        $head = self::box('ftyp', 'isom'.pack('N', 512).'isomiso2mp41');
        $data = self::box('mdat', implode('', $pictures));
        $count = count($pictures);
        $sizes = array_map(strlen(...), $pictures);
        $table = self::box('stbl',
            self::full(
                'stsd',
                pack('N', 1).self::box(
                    'png ',
                    str_repeat("\0", 6)
                        .pack('n', 1)
                        .str_repeat("\0", 16)
                        .pack('nn', $this->width, $this->height)
                        .pack('NN', 0x480000, 0x480000)
                        .pack('Nn', 0, 1)
                        .str_repeat("\0", 32)
                        .pack('nn', 24, 0xFFFF),
                ),
            )
            .self::full('stts', pack('NNN', 1, $count, 1))
            .self::full('stsc', pack('NNNN', 1, 1, $count, 1))
            .self::full('stsz', pack('NN', 0, $count).pack('N*', ...$sizes))
            .self::full('stco', pack('NN', 1, strlen($head) + 8)));
        $media = self::box('mdia',
            self::full('mdhd', pack('NNNNnn', 0, 0, $this->rate, $count, 0x55C4, 0))
            .self::full('hdlr', pack('N', 0).'vide'.str_repeat("\0", 12)."preview\0")
            .self::box('minf', self::full('vmhd', pack('nnnn', 0, 0, 0, 0), 1)
                .self::box('dinf', self::full('dref', pack('N', 1).self::full('url ', '', 1)))
                .$table));
        $matrix = pack('N9', 0x10000, 0, 0, 0, 0x10000, 0, 0, 0, 0x40000000);
        $track = self::box(
            'trak',
            self::full(
                'tkhd',
                pack('NNNNN', 0, 0, 1, 0, $count)
                    .str_repeat("\0", 8)
                    .pack('nnnn', 0, 0, 0, 0)
                    .$matrix
                    .pack('NN', $this->width << 16, $this->height << 16),
                3,
            ).$media,
        );
        $movie = self::box(
            'moov',
            self::full(
                'mvhd',
                pack('NNNN', 0, 0, $this->rate, $count)
                    .pack('Nn', 0x10000, 0x100)
                    .str_repeat("\0", 10)
                    .$matrix
                    .str_repeat("\0", 24)
                    .pack('N', 2),
            ).$track,
        );

        return $head.$data.$movie;
    }

    private static function box(string $kind, string $content): string
    {
        return pack('N', strlen($content) + 8).$kind.$content;
    }

    private static function full(string $kind, string $content, int $flags = 0): string
    {
        return self::box($kind, pack('N', $flags).$content);
    }
}
