<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\Pixels;

/** Pixels of a float picture, as a screen would show them. */
final readonly class ExrPixels implements Pixels
{
    /**
     * @param  list<string>  $lines  from the top: blue, green and red of each pixel
     * @param  list<string>  $coverage  alpha of each pixel; empty where there is none
     */
    public function __construct(
        private int $width,
        private int $height,
        private array $lines,
        private array $coverage,
    ) {}

    public function width(): int
    {
        return $this->width;
    }

    public function height(): int
    {
        return $this->height;
    }

    public function at(int $x, int $y): array
    {
        if ($x < 0 || $y < 0 || $x >= $this->width || $y >= $this->height) {
            throw new \OutOfRangeException("There is no pixel {$x},{$y}.");
        }
        $line = $this->lines[$y];

        return [
            ord($line[3 * $x + 2]),
            ord($line[3 * $x + 1]),
            ord($line[3 * $x]),
            isset($this->coverage[$y]) ? ord($this->coverage[$y][$x]) : 255,
        ];
    }

    public function lines(int $many, ?int $ground = null): iterable
    {
        foreach (array_chunk(array_keys($this->lines), max(1, $many)) as $rows) {
            $bytes = '';
            foreach ($rows as $y) {
                $bytes .= $ground === null ? $this->lines[$y] : $this->on($y, $ground);
            }
            yield $bytes;
        }
    }

    /** Its colours are premultiplied: what is missing to white or grey shines through. */
    private function on(int $y, int $ground): string
    {
        $line = $this->lines[$y];
        if (! isset($this->coverage[$y]) || trim($this->coverage[$y], "\xFF") === '') {
            return $line;
        }
        for ($x = 0; $x < $this->width; $x++) {
            // at least one step, so that what is nearly opaque is no more the same than what is not at all
            $more = (int) ceil($ground * (255 - ord($this->coverage[$y][$x])) / 255);
            for ($c = 3 * $x; $more > 0 && $c < 3 * $x + 3; $c++) {
                $line[$c] = chr(min(255, ord($line[$c]) + $more));
            }
        }

        return $line;
    }

    public function sample(int $side): string
    {
        return $this->image()->sample($side);
    }

    public function thumbnail(int $longest): string
    {
        return $this->image()->thumbnail($longest);
    }

    private function image(): GdPixels
    {
        return BitmapContainer::image($this->width, $this->height, $this->lines);
    }
}
