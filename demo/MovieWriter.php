<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

/**
 * A small movie in boxes (ISO/IEC 14496-12) with one track of whole pictures, each a PNG or a JPEG: what the stand-in
 * hands in where a movie is asked.
 */
final readonly class MovieWriter
{
    private const ONE = 0x10000;

    private const PICTURE_TRACK = 1;

    private const TIMECODE_TRACK = 2;

    /** What a matrix does across to across, across to down, down to across, down to down, by degrees clockwise. */
    private const TURNS = [
        0 => [self::ONE, 0, 0, self::ONE], 90 => [0, self::ONE, -self::ONE, 0],
        180 => [-self::ONE, 0, 0, -self::ONE], 270 => [0, -self::ONE, self::ONE, 0],
    ];

    /**
     * @param  string  $code  four letters: `png ` or `jpeg`
     * @param  string  $spherical  `mono`, `stereo`, or empty where the pictures are flat
     */
    public function __construct(
        private int $width,
        private int $height,
        private MovieTraits $traits = new MovieTraits,
        private string $brand = 'isom',
        private string $code = 'png ',
        private string $spherical = '',
    ) {}

    /** @param  list<string>  $pictures  files, one a picture */
    public function write(array $pictures): string
    {
        $head = self::box('ftyp', $this->brand.pack('N', 512).$this->brand);
        $sizes = array_map(strlen(...), $pictures);
        $timecode = $this->traits->timecode === null ? '' : pack('N', $this->traits->timecode);
        $data = self::box('mdat', implode('', $pictures).$timecode);
        $index = $this->movie($sizes, strlen($head) + 8);
        if (! $this->traits->indexFirst) {
            return $head.$data.$index;
        }

        // its own length moves what it points at
        return $head.$this->movie($sizes, strlen($head) + strlen($index) + 8).$data;
    }

    /** @param  list<int>  $sizes  bytes of each picture; $from is where the first begins */
    private function movie(array $sizes, int $from): string
    {
        [$scale, $tick] = $this->traits->rate;
        $length = $tick * (count($sizes) + array_sum($this->traits->held));
        $header = self::full(
            'mvhd',
            pack('NNNN', 0, 0, $scale, $length)
                .pack('Nn', self::ONE, 0x100)
                .str_repeat("\0", 10)
                .self::matrix(0)
                .str_repeat("\0", 24)
                .pack('N', 3),
        );
        $kind = self::full('vmhd', pack('n4', 0, 0, 0, 0), 1);
        $media = $this->media('vide', $length, $kind, $this->samples($sizes, $from));
        $tracks = self::box('trak', $this->header(self::PICTURE_TRACK, $length).$media);

        return self::box('moov', $header.$tracks.$this->timecode($length, $from + array_sum($sizes)));
    }

    private function header(int $number, int $length): string
    {
        $isPicture = $number === self::PICTURE_TRACK;

        return self::full(
            'tkhd',
            pack('N5', 0, 0, $number, 0, $length)
                .str_repeat("\0", 16)
                .self::matrix($isPicture ? $this->traits->rotation : 0)
                .pack('NN', $isPicture ? $this->width << 16 : 0, $isPicture ? $this->height << 16 : 0),
            3,
        );
    }

    private static function matrix(int $rotation): string
    {
        [$a, $b, $c, $d] = self::TURNS[$rotation];

        return pack('N9', $a, $b, 0, $c, $d, 0, 0, 0, 0x40000000);
    }

    private function media(string $handler, int $length, string $kind, string $samples): string
    {
        $source = self::box('dinf', self::full('dref', pack('N', 1).self::full('url ', '', 1)));

        return self::box(
            'mdia',
            self::full('mdhd', pack('NNNNnn', 0, 0, $this->traits->rate[0], $length, 0x55C4, 0))
                .self::full('hdlr', pack('N', 0).$handler.str_repeat("\0", 12)."stand-in\0")
                .self::box('minf', $kind.$source.$samples),
        );
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
            .pack('nn', 24, 0xFFFF)
            .self::box('pasp', pack('NN', ...$this->traits->pixels))
            .$this->projection();

        return self::box(
            'stbl',
            self::full('stsd', pack('N', 1).self::box($this->code, $picture))
                .$this->times($count)
                .$this->keyframes($count)
                .self::full('stsc', pack('NNNN', 1, 1, $count, 1))
                .self::full('stsz', pack('NN', 0, $count).pack('N*', ...$sizes))
                .self::full('stco', pack('NN', 1, $from)),
        );
    }

    /** That the pictures are a sphere, twice as wide as high; for two eyes, one above the other. */
    private function projection(): string
    {
        if ($this->spherical === '') {
            return '';
        }
        $sphere = self::box('proj', self::full('prhd', pack('N3', 0, 0, 0)).self::full('equi', pack('N4', 0, 0, 0, 0)));

        return self::full('st3d', chr($this->spherical === 'stereo' ? 1 : 0))
            .self::box('sv3d', self::full('svhd', "stand-in\0").$sphere);
    }

    private function times(int $count): string
    {
        $tick = $this->traits->rate[1];
        $runs = [];
        for ($i = 0; $i < $count; $i++) {
            $lasts = $tick * (1 + ($this->traits->held[$i] ?? 0));
            $last = count($runs) - 1;
            if ($last >= 0 && $runs[$last][1] === $lasts) {
                $runs[$last][0]++;
            } else {
                $runs[] = [1, $lasts];
            }
        }
        $rows = array_map(static fn (array $run): string => pack('NN', ...$run), $runs);

        return self::full('stts', pack('N', count($rows)).implode('', $rows));
    }

    private function keyframes(int $count): string
    {
        if ($this->traits->keyframes === null) {
            return '';
        }
        $places = [];
        for ($place = 1; $place <= $count; $place += $this->traits->keyframes) {
            $places[] = $place;
        }

        return self::full('stss', pack('N', count($places)).pack('N*', ...$places));
    }

    /** A track whose one sample is the address of the first picture. */
    private function timecode(int $length, int $place): string
    {
        if ($this->traits->timecode === null) {
            return '';
        }
        [$scale, $tick] = $this->traits->rate;
        $entry = str_repeat("\0", 6).pack('nNNNNCC', 1, 0, 0, $scale, $tick, intdiv($scale + $tick - 1, $tick), 0);
        $table = self::box(
            'stbl',
            self::full('stsd', pack('N', 1).self::box('tmcd', $entry))
                .self::full('stts', pack('NNN', 1, 1, $length))
                .self::full('stsc', pack('NNNN', 1, 1, 1, 1))
                .self::full('stsz', pack('NN', 4, 1))
                .self::full('stco', pack('NN', 1, $place)),
        );
        $kind = self::box('gmhd', self::full('gmin', str_repeat("\0", 12)));

        return self::box(
            'trak',
            $this->header(self::TIMECODE_TRACK, $length).$this->media('tmcd', $length, $kind, $table),
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
