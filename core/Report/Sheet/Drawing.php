<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report\Sheet;

/** Small drawings as SVG, whole documents of their own: a shape to scale, and a range with its handles on a ruler. */
final readonly class Drawing
{
    private const INK = '#20282B';

    private const FAINT = '#58615F';

    /** @param  array{width: int, height: int, aspect: string, spoken: string}  $shape */
    public static function shape(array $shape, int $within = 150): string
    {
        $unit = $within / max($shape['width'], $shape['height']);
        [$w, $h] = [max(6, round($shape['width'] * $unit, 2)), max(6, round($shape['height'] * $unit, 2))];
        $text = self::escape("{$shape['spoken']}  ({$shape['aspect']})");

        return self::open($within + 4, $h + 24, "the shape of the picture, {$shape['aspect']} to 1")
            ."<rect x=\"2\" y=\"2\" width=\"{$w}\" height=\"{$h}\" fill=\"#F8F6F0\" stroke=\""
                .self::INK
                .'" stroke-width="1.5"/>'
            .'<text x="2" y="'
                .($h + 18)
                .'" font-family="sans-serif" font-size="11" fill="'
                .self::FAINT
                ."\">{$text}</text></svg>";
    }

    /** @param  array{cut: array{int, int}, delivered: array{int, int}, head: int, tail: int}  $ruler */
    public static function ruler(array $ruler, int $width = 300): string
    {
        [$first, $last] = $ruler['delivered'];
        $long = max(1, $last - $first + 1);
        $x = static fn (int $frame): float => round(2 + ($frame - $first) / $long * ($width - 4), 2);
        [$from, $to] = [max($first, $ruler['cut'][0]), min($last, $ruler['cut'][1])];
        $handles = $ruler['head'] + $ruler['tail'] > 0;
        $text = static fn (
            float $at,
            string $anchor,
            int $y,
            string $says,
        ): string => "<text x=\"{$at}\" y=\"{$y}\" text-anchor=\"{$anchor}\" font-family=\"monospace\" "
            .'font-size="11" fill="'
            .self::FAINT
            .'">'
            .self::escape($says)
            .'</text>';
        $svg = self::open(
            $width,
            $handles ? 56 : 42,
            "frames {$first} to {$last}".($handles ? ", of them {$from} to {$to} in the cut" : ''),
        )
            .'<rect x="2" y="18" width="'.($width - 4).'" height="10" fill="#FFFEFA" stroke="'.self::FAINT.'"/>'
            .'<rect x="'
                .$x($from)
                .'" y="18" width="'
                .round($x($to + 1) - $x($from), 2)
                .'" height="10" fill="#B9C4D6" stroke="#28487A"/>'
            .$text(2, 'start', 40, (string) $first).$text($width - 2, 'end', 40, (string) $last);
        if ($handles) {
            $svg .= $text(
                $x($from),
                $ruler['head'] > 0 ? 'start' : 'start',
                12,
                (string) $from,
            ).$text($x($to + 1), 'end', 12, (string) $to)
                .$text(2, 'start', 54, "handles {$ruler['head']} and {$ruler['tail']}");
        }

        return "{$svg}</svg>";
    }

    private static function open(float $width, float $height, string $says): string
    {
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$width}\" height=\"{$height}\" viewBox=\"0 0 "
            ."{$width} {$height}\" role=\"img\"><title>"
            .self::escape($says)
            .'</title>';
    }

    public static function escape(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE | ENT_XML1, 'UTF-8');
    }
}
