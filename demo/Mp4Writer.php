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
        $matrix = pack('N9', 0x10000, 0, 0, 0, 0x10000, 0, 0, 0, 0x40000000);
        $header = pack('NNNN', 0, 0, $this->rate, $count)
            .pack('Nn', 0x10000, 0x100)
            .str_repeat("\0", 10)
            .$matrix
            .str_repeat("\0", 24)
            .pack('N', 2);
        $track = pack('NNNNN', 0, 0, 1, 0, $count)
            .str_repeat("\0", 8)
            .pack('nnnn', 0, 0, 0, 0)
            .$matrix
            .pack('NN', $this->width << 16, $this->height << 16);
        $media = $this->media($count, $this->samples(array_map(strlen(...), $pictures), strlen($head) + 8));
        $movie = self::full('mvhd', $header).self::box('trak', self::full('tkhd', $track, 3).$media);

        return $head.$data.self::box('moov', $movie);
    }

    /**
     * Where each picture lies, and how long it is shown.
     *
     * @param  list<int>  $sizes  bytes
     */
    private function samples(array $sizes, int $from): string
    {
        $count = count($sizes);
        $picture = str_repeat("\0", 6)
            .pack('n', 1)
            .str_repeat("\0", 16)
            .pack('nn', $this->width, $this->height)
            .pack('NN', 0x480000, 0x480000)
            .pack('Nn', 0, 1)
            .str_repeat("\0", 32)
            .pack('nn', 24, 0xFFFF);

        return self::box(
            'stbl',
            self::full('stsd', pack('N', 1).self::box('png ', $picture))
                .self::full('stts', pack('NNN', 1, $count, 1))
                .self::full('stsc', pack('NNNN', 1, 1, $count, 1))
                .self::full('stsz', pack('NN', 0, $count).pack('N*', ...$sizes))
                .self::full('stco', pack('NN', 1, $from)),
        );
    }

    private function media(int $count, string $samples): string
    {
        $source = self::full('dref', pack('N', 1).self::full('url ', '', 1));
        $picture = self::full('vmhd', pack('nnnn', 0, 0, 0, 0), 1).self::box('dinf', $source).$samples;

        return self::box(
            'mdia',
            self::full('mdhd', pack('NNNNnn', 0, 0, $this->rate, $count, 0x55C4, 0))
                .self::full('hdlr', pack('N', 0).'vide'.str_repeat("\0", 12)."preview\0")
                .self::box('minf', $picture),
        );
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
