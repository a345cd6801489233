<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

/**
 * Writes scanline OpenEXR, half or float, uncompressed or deflated by one or sixteen lines. Works on runs of one value,
 * so that a large simple picture is written in a moment: where a run goes on, the predictor's differences are all zero.
 */
final readonly class ExrWriter
{
    /** @var \ArrayObject<string, string> packed lines already seen: most of a picture is the same in every frame */
    private \ArrayObject $packed;

    /**
     * @param  list<string>  $channels  R G B A, and layers such as mist.Y, shadow.Y
     * @param  string  $compression  none, zips or zip
     */
    public function __construct(
        private int $width,
        private int $height,
        private array $channels = ['R', 'G', 'B', 'A'],
        private string $compression = 'zip',
        private bool $half = true,
        private ExrAttributes $attributes = new ExrAttributes,
    ) {
        /** @var \ArrayObject<string, string> $packed */
        $packed = new \ArrayObject;
        $this->packed = $packed;
    }

    /** @param  iterable<list<array{int, array{float, float, float, float}}>>  $lines of the whole picture */
    public function write(iterable $lines): string
    {
        [$left, $top, $right, $bottom] = $this->attributes->dataWindow ?? [0, 0, $this->width - 1, $this->height - 1];
        $channels = $this->channels;
        sort($channels, SORT_STRING);
        $header = "\x76\x2F\x31\x01".pack('V', 2).$this->header($channels, [$left, $top, $right, $bottom]);
        $perChunk = $this->compression === 'zip' ? 16 : 1;
        $chunks = [];
        $pending = [];
        $y = 0;
        foreach ($lines as $runs) {
            if ($y >= $top && $y <= $bottom) {
                $pending[] = $this->clip($runs, $left, $right);
                if (count($pending) === $perChunk || $y === $bottom) {
                    $key = md5(serialize($pending));
                    $data = $this->packed[$key] ??= $this->pack($pending, $channels);
                    $chunks[] = pack('VV', $y - count($pending) + 1, strlen($data)).$data;
                    $pending = [];
                }
            }
            $y++;
        }
        $at = strlen($header) + 8 * count($chunks);
        $table = '';
        foreach ($chunks as $chunk) {
            $table .= pack('P', $at);
            $at += strlen($chunk);
        }

        return $header.$table.implode('', $chunks);
    }

    /**
     * @param  list<string>  $channels
     * @param  array{int, int, int, int}  $window
     */
    private function header(array $channels, array $window): string
    {
        $attribute = static fn (string $name, string $type, string $value): string => "{$name}\0{$type}\0"
            .pack('V', strlen($value))
            .$value;
        $list = '';
        foreach ($channels as $channel) {
            $list .= "{$channel}\0".pack('VVVV', $this->half ? 1 : 2, 0, 1, 1);
        }
        $header = $attribute('channels', 'chlist', "{$list}\0")
            .$attribute('compression', 'compression', chr(['none' => 0, 'zips' => 2, 'zip' => 3][$this->compression]))
            .$attribute('dataWindow', 'box2i', pack('V4', ...$window))
            .$attribute('displayWindow', 'box2i', pack('V4', 0, 0, $this->width - 1, $this->height - 1))
            .$attribute('lineOrder', 'lineOrder', "\0")
            .$attribute('pixelAspectRatio', 'float', pack('g', $this->attributes->pixelAspect))
            .$attribute('screenWindowCenter', 'v2f', pack('gg', 0.0, 0.0))
            .$attribute('screenWindowWidth', 'float', pack('g', 1.0));
        if ($this->attributes->rate !== null) {
            $header .= $attribute('framesPerSecond', 'rational', pack('VV', ...$this->attributes->rate));
        }
        foreach ($this->attributes->texts as $name => $text) {
            $header .= $attribute($name, 'string', $text);
        }

        return "{$header}\0";
    }

    /**
     * @param  list<array{int, array{float, float, float, float}}>  $runs
     * @return list<array{int, array{float, float, float, float}}>
     */
    private function clip(array $runs, int $left, int $right): array
    {
        $clipped = [];
        $x = 0;
        foreach ($runs as [$count, $colour]) {
            $inside = min($x + $count, $right + 1) - max($x, $left);
            if ($inside > 0) {
                $clipped[] = [$inside, $colour];
            }
            $x += $count;
        }

        return $clipped;
    }

    /**
     * @param  list<list<array{int, array{float, float, float, float}}>>  $lines
     * @param  list<string>  $channels
     */
    private function pack(array $lines, array $channels): string
    {
        $runs = [];
        foreach ($lines as $line) {
            foreach ($channels as $channel) {
                foreach ($line as [$count, $colour]) {
                    $runs[] = [$count, $this->value($channel, $colour)];
                }
            }
        }
        $raw = static function () use ($runs): string {
            $bytes = '';
            foreach ($runs as [$count, $value]) {
                $bytes .= str_repeat($value, $count);
            }

            return $bytes;
        };
        if ($this->compression === 'none') {
            return $raw();
        }
        $packed = (string) gzcompress($this->half ? $this->predictHalf($runs) : $this->predict($raw()), 2);
        $size = array_sum(array_column($runs, 0)) * ($this->half ? 2 : 4);

        return strlen($packed) < $size ? $packed : $raw();
    }

    /**
     * Even bytes first, then odd ones, each as its difference to the byte before, plus 128.
     *
     * @param  list<array{int, string}>  $runs  count and two bytes
     */
    private function predictHalf(array $runs): string
    {
        $bytes = '';
        $before = null;
        foreach ([0, 1] as $plane) {
            foreach ($runs as [$count, $value]) {
                $own = ord($value[$plane]);
                $bytes .= chr($before === null ? $own : ($own - $before + 128) & 255).str_repeat("\x80", $count - 1);
                $before = $own;
            }
        }

        return $bytes;
    }

    private function predict(string $raw): string
    {
        $planes = '';
        foreach ([0, 1] as $plane) {
            for ($i = $plane, $many = strlen($raw); $i < $many; $i += 2) {
                $planes .= $raw[$i];
            }
        }
        $bytes = $planes[0];
        for ($i = 1, $many = strlen($planes); $i < $many; $i++) {
            $bytes .= chr((ord($planes[$i]) - ord($planes[$i - 1]) + 128) & 255);
        }

        return $bytes;
    }

    /** @param  array{float, float, float, float}  $colour */
    private function value(string $channel, array $colour): string
    {
        $value = match ($channel) {
            'R' => $colour[0], 'G' => $colour[1], 'B' => $colour[2], 'A' => $colour[3],
            default => str_starts_with($channel, 'mist') ? $colour[2] * 0.8 : 1 - $colour[1],
        };

        return $this->half ? self::half($value) : pack('g', $value);
    }

    /** IEEE 754 binary16, rounded towards zero; values below its normal range become zero. */
    public static function half(float $value): string
    {
        if ($value <= 6.2e-5) {
            return "\0\0";
        }
        $exponent = (int) floor(log($value, 2));
        $mantissa = (int) (($value / 2 ** $exponent - 1) * 1024);

        return pack('v', ($exponent + 15) << 10 | $mantissa);
    }
}
