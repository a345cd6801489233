<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** Channel names: reading them as people write them, and writing them short. */
final readonly class Channels
{
    /** Names of one letter that may stand together without commas. */
    private const LETTERS = 'RGBAYZCMK';

    /** What is usually written for several channels, or for one by its word. */
    private const USUAL = [
        'rgb' => ['R', 'G', 'B'],
        'rgba' => ['R', 'G', 'B', 'A'],
        'bgr' => ['R', 'G', 'B'],
        'bgra' => ['R', 'G', 'B', 'A'],
        'argb' => ['R', 'G', 'B', 'A'],
        'rgbz' => ['R', 'G', 'B', 'Z'],
        'rgbaz' => ['R', 'G', 'B', 'A', 'Z'],
        'ya' => ['Y', 'A'],
        'alpha' => ['A'], 'depth' => ['Z'], 'grey' => ['Y'], 'gray' => ['Y'], 'greyscale' => ['Y'],
        'grayscale' => ['Y'], 'luminance' => ['Y'], 'monochrome' => ['Y'],
    ];

    private const ORDER = [
        'C' => -2,
        'M' => -1,
        'K' => 8,
        'R' => 0,
        'G' => 1,
        'B' => 2,
        'Y' => 3,
        'RY' => 4,
        'BY' => 5,
        'A' => 6,
        'Z' => 7,
    ];

    /**
     * Sorted by layer (the unnamed one first), within a layer R G B A, then the rest by name.
     *
     * @param  list<string>  $names
     * @return list<string>
     */
    public static function sorted(array $names): array
    {
        usort($names, static function (string $a, string $b): int {
            [$layerA, $nameA] = self::split($a);
            [$layerB, $nameB] = self::split($b);

            return [$layerA, self::ORDER[$nameA] ?? 9, $nameA] <=> [$layerB, self::ORDER[$nameB] ?? 9, $nameB];
        });

        return $names;
    }

    /** @return array{string, string} layer (`""` for the unnamed one) and the channel's own name */
    public static function split(string $name): array
    {
        $dot = strrpos($name, '.');

        return $dot === false ? ['', $name] : [substr($name, 0, $dot), substr($name, $dot + 1)];
    }

    /** @param  list<string>  $names */
    public static function write(array $names): string
    {
        $names = self::sorted($names);
        foreach ($names as $name) {
            if (strlen($name) !== 1 || ! str_contains(self::LETTERS, $name)) {
                return implode(',', $names);
            }
        }

        return implode('', $names);
    }

    /**
     * `RGBA`, `R,G,B`, `rgb`, `YA`, `R G B diffuse.R`.
     *
     * @return list<string>
     */
    public static function parse(string $text): array
    {
        $names = preg_split('~[\s,;|+]+~', trim($text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        if (
            count($names) === 1
            && ! isset(self::USUAL[strtolower($names[0])])
            && preg_match('~^['.self::LETTERS.']{1,5}$~i', $names[0]) === 1
        ) {
            $names = str_split($names[0]);
        }
        // `RGB A`, `rgb + alpha`, `grey`: the usual sets and words, beside others too
        $names = array_merge(...array_map(static fn (string $n): array => self::USUAL[strtolower($n)] ?? [$n], $names));
        $names = array_map(
            static fn (string $n): string => strlen($n) === 1 && stripos(self::LETTERS, $n) !== false
                ? strtoupper($n)
                : $n,
            $names,
        );

        return self::sorted(array_values(array_unique($names)));
    }
}
