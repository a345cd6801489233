<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

/** Writes TIFF 6.0, little-endian, in strips of 64 lines packed by deflate: grey, RGB or RGBA, 8 or 16 bits. */
final readonly class TiffWriter
{
    private const SHORT = 3;

    private const LONG = 4;

    private const STRIP = 64;

    /** Straight alpha, as tag 338 (ExtraSamples) has it. */
    private const UNASSOCIATED = 2;

    /** @param  string  $channels  Y, RGB, YA or RGBA */
    public function __construct(
        private int $width,
        private int $height,
        private string $channels = 'RGB',
        private int $bits = 8,
    ) {}

    /** @param  iterable<list<array{int, array{float, float, float, float}}>>  $lines */
    public function write(iterable $lines): string
    {
        [$data, $places, $lengths, $strip, $many] = ['', [], [], '', 0];
        $close = static function () use (&$data, &$places, &$lengths, &$strip): void {
            $packed = (string) gzcompress($strip, 6);
            $places[] = 8 + strlen($data);
            $lengths[] = strlen($packed);
            // what follows begins at an even place
            $data .= $packed.(strlen($packed) % 2 === 1 ? "\0" : '');
            $strip = '';
        };
        foreach ($lines as $runs) {
            foreach ($runs as [$count, $colour]) {
                $strip .= str_repeat($this->pixel($colour), $count);
            }
            if (++$many % self::STRIP === 0) {
                $close();
            }
        }
        if ($strip !== '') {
            $close();
        }

        return "II*\0".pack('V', 8 + strlen($data)).$data.$this->directory(8 + strlen($data), $places, $lengths);
    }

    /**
     * @param  list<int>  $places
     * @param  list<int>  $lengths
     */
    private function directory(int $at, array $places, array $lengths): string
    {
        $samples = strlen($this->channels);
        $hasAlpha = $samples % 2 === 0;
        $fields = array_filter([
            256 => [self::LONG, [$this->width]],
            257 => [self::LONG, [$this->height]],
            258 => [self::SHORT, array_fill(0, $samples, $this->bits)],
            259 => [self::SHORT, [8]],
            262 => [self::SHORT, [$this->channels[0] === 'Y' ? 1 : 2]],
            273 => [self::LONG, $places],
            277 => [self::SHORT, [$samples]],
            278 => [self::LONG, [self::STRIP]],
            279 => [self::LONG, $lengths],
            284 => [self::SHORT, [1]],
            338 => $hasAlpha ? [self::SHORT, [self::UNASSOCIATED]] : null,
        ]);
        $beyond = '';
        $after = $at + 2 + 12 * count($fields) + 4;
        $entries = '';
        foreach ($fields as $tag => [$type, $values]) {
            $bytes = pack(($type === self::SHORT ? 'v' : 'V').'*', ...$values);
            $isNear = strlen($bytes) <= 4;
            $entries .= pack('vvV', $tag, $type, count($values))
                .($isNear ? str_pad($bytes, 4, "\0") : pack('V', $after + strlen($beyond)));
            $beyond .= $isNear ? '' : $bytes;
        }

        return pack('v', count($fields)).$entries.pack('V', 0).$beyond;
    }

    /** @param  array{float, float, float, float}  $colour */
    private function pixel(array $colour): string
    {
        $values = $this->channels[0] === 'Y' ? [$colour[1], $colour[3]] : $colour;
        $bytes = '';
        for ($c = 0, $many = strlen($this->channels); $c < $many; $c++) {
            $bytes .= $this->bits === 16
                ? pack('v', (int) round($values[$c] * 65535))
                : chr((int) round($values[$c] * 255));
        }

        return $bytes;
    }
}
