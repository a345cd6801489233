<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

/** Writes PNG (ISO/IEC 15948), without filters: grey, RGB or RGBA, 8 or 16 bits. */
final readonly class PngWriter
{
    /**
     * @param  string  $channels  Y, RGB or RGBA
     * @param  array{int, int}|null  $density  pixels a unit, across and down; only their ratio is told
     * @param  array<string, string>  $texts
     */
    public function __construct(
        private int $width,
        private int $height,
        private string $channels = 'RGB',
        private int $bits = 8,
        private ?array $density = null,
        private array $texts = [],
    ) {}

    /** @param  iterable<list<array{int, array{float, float, float, float}}>>  $lines */
    public function write(iterable $lines): string
    {
        $data = '';
        foreach ($lines as $runs) {
            $data .= "\0";
            foreach ($runs as [$count, $colour]) {
                $data .= str_repeat($this->pixel($colour), $count);
            }
        }
        $type = ['Y' => 0, 'RGB' => 2, 'YA' => 4, 'RGBA' => 6][$this->channels]
            ?? throw new \InvalidArgumentException("PNG has no channels {$this->channels}.");
        $file = "\x89PNG\r\n\x1A\n".self::chunk(
            'IHDR',
            pack('NNCCCCC', $this->width, $this->height, $this->bits, $type, 0, 0, 0),
        );
        if ($this->density !== null) {
            $file .= self::chunk('pHYs', pack('NNC', $this->density[0], $this->density[1], 0));
        }
        foreach ($this->texts as $key => $text) {
            $file .= self::chunk('tEXt', "{$key}\0{$text}");
        }

        return $file.self::chunk('IDAT', (string) gzcompress($data, 1)).self::chunk('IEND', '');
    }

    /** @param  array{float, float, float, float}  $colour */
    private function pixel(array $colour): string
    {
        $values = $this->channels[0] === 'Y' ? [$colour[1], $colour[3]] : $colour;
        $bytes = '';
        for ($c = 0; $c < strlen($this->channels); $c++) {
            $bytes .= $this->bits === 16
                ? pack('n', (int) round($values[$c] * 65535))
                : chr((int) round($values[$c] * 255));
        }

        return $bytes;
    }

    private static function chunk(string $type, string $data): string
    {
        return pack('N', strlen($data)).$type.$data.hash('crc32b', $type.$data, true);
    }
}
