<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\Readers\ExrChannels;
use PlainLedger\Core\Media\Readers\ExrHeader;
use PlainLedger\Core\Media\Readers\ExrPart;

/** Which channels of an OpenEXR file are shown as blue, green and red, and which as alpha. */
final readonly class ExrView
{
    /** What is shown in the three colours, the first that is there. */
    private const ALONE = [['R', 'G', 'B'], ['Y', 'Y', 'Y']];

    /** In a layer also places and depths. */
    private const IN_LAYERS = [...self::ALONE, ['X', 'Y', 'Z'], ['Z', 'Z', 'Z']];

    /** As a half. */
    private const ONE = "\0\x3C";

    /**
     * @param  array{array{int, bool}, array{int, bool}, array{int, bool}}  $colours  blue, green and red: in words of
     *   sixteen bits for each pixel of a line, where the channel begins, and whether it is a half
     * @param  array{int, bool}|null  $alpha
     * @param  int  $words  of a pixel in all channels
     */
    private function __construct(
        public int $part,
        private array $colours,
        private ?array $alpha,
        private int $words,
    ) {}

    /**
     * @param  string  $layer  `""` for what stands in none
     *
     * @throws PixelsRefused
     */
    public static function find(ExrHeader $file, string $layer): self
    {
        foreach ($file->parts as $number => $part) {
            $view = self::inPart($part, $number, $layer);
            if ($view !== null) {
                return $view;
            }
            if ($layer === '') {
                break;
            }
        }
        throw PixelsRefused::because(
            $layer === '' ? 'it has no colour channels of its own' : "it has no layer {$layer} that can be shown",
        );
    }

    private static function inPart(ExrPart $part, int $number, string $layer): ?self
    {
        [$places, $words] = self::places($part, $layer);
        $shown = match (true) {
            $layer === '' => self::ALONE,
            count($places) === 1 => [array_fill(0, 3, (string) array_key_first($places))],
            default => self::IN_LAYERS,
        };
        foreach ($shown as [$red, $green, $blue]) {
            if (isset($places[$red], $places[$green], $places[$blue])) {
                $colours = [$places[$blue], $places[$green], $places[$red]];

                return new self($number, $colours, $places['A'] ?? null, $words);
            }
        }

        return null;
    }

    /** @return array{array<string, array{int, bool}>, int} of the layer's channels, and the words of a pixel in all */
    private static function places(ExrPart $part, string $layer): array
    {
        $isPart = $layer !== '' && strcasecmp($part->labels->name() ?? '', $layer) === 0;
        $places = [];
        $words = 0;
        foreach ($part->channels->types as $name => $type) {
            [$of, $own] = Channels::split((string) $name);
            $isHalf = $type === ExrChannels::HALF;
            if (strcasecmp($of, $layer) === 0 || ($isPart && $of === '')) {
                $places[strtoupper($own)] = [$words, $isHalf];
            }
            $words += $isHalf ? 1 : 2;
        }

        return [$places, $words];
    }

    public function hasAlpha(): bool
    {
        return $this->alpha !== null;
    }

    /** Blue, green and red of each pixel of one line. */
    public function line(ExrBlock $block, int $line, int $width): string
    {
        $from = $line * $this->words * $width;
        $values = array_map(
            static fn (array $place): array => self::values($block, $from, $width, $place),
            $this->colours,
        );
        [$blue, $green, $red] = array_map(
            static fn (array $place): array => ($place[1] ? LightTable::ofHalf() : LightTable::ofUpperFloat())->bytes,
            $this->colours,
        );
        [$blues, $greens, $reds] = $values;
        $bytes = '';
        foreach ($blues as $x => $value) {
            $bytes .= $blue[$value].$green[$greens[$x]].$red[$reds[$x]];
        }

        return $bytes;
    }

    /** Alpha of each pixel of one line. */
    public function coverage(ExrBlock $block, int $line, int $width): string
    {
        if ($this->alpha === null) {
            return '';
        }
        [$at, $isHalf] = $this->alpha;
        $from = $line * $this->words * $width;
        // mostly all is covered
        if ($isHalf && $block->raw($from + $at * $width, $width) === str_repeat(self::ONE, $width)) {
            return str_repeat("\xFF", $width);
        }
        $table = ($isHalf ? LightTable::ofHalf(true) : LightTable::ofUpperFloat(true))->bytes;
        $bytes = '';
        foreach (self::values($block, $from, $width, $this->alpha) as $value) {
            $bytes .= $table[$value];
        }

        return $bytes;
    }

    /**
     * @param  array{int, bool}  $place
     * @return array<int, int> counted from 1
     */
    private static function values(ExrBlock $block, int $from, int $width, array $place): array
    {
        [$at, $isHalf] = $place;
        if ($isHalf) {
            return $block->words($from + $at * $width, $width);
        }
        $words = $block->words($from + $at * $width, 2 * $width);
        $values = [];
        for ($x = 1; $x <= $width; $x++) {
            // the upper sixteen bits, rounded by the lower
            $values[$x] = min(65535, $words[2 * $x] + ($words[2 * $x - 1] >> 15));
        }

        return $values;
    }
}
