<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use Brick\Math\BigRational;

/** How far a picture is from an approved one: the mean difference of all bytes, and where it is largest. */
final readonly class PictureDistance
{
    private const PLACES = [
        ['at the top left', 'at the top', 'at the top right'],
        ['at the left', 'in the middle', 'at the right'],
        ['at the bottom left', 'at the bottom', 'at the bottom right'],
    ];

    /**
     * @param  int|null  $sum  of the differences of all bytes; null where the sizes differ
     * @param  string  $where  in words; of another size, that size
     */
    public function __construct(public ?int $sum, public int $bytes, public string $where) {}

    public static function between(Pixels $found, Pixels $approved): self
    {
        [$width, $height] = [$found->width(), $found->height()];
        if ($width !== $approved->width() || $height !== $approved->height()) {
            return new self(null, 0, "{$width}x{$height}");
        }
        $cells = array_fill(0, 9, 0);
        $y = 0;
        $others = $approved->lines(1);
        $others = $others instanceof \Iterator ? $others : new \ArrayIterator([...$others]);
        foreach ($found->lines(1) as $line) {
            $other = $others->current();
            $others->next();
            if ($line !== $other) {
                foreach (self::ofLine($line, is_string($other) ? $other : '', $width) as $third => $sum) {
                    $cells[3 * min(2, intdiv(3 * $y, $height)) + $third] += $sum;
                }
            }
            $y++;
        }
        $most = (int) array_search(max($cells), $cells, true);

        return new self(array_sum($cells), 3 * $width * $height, self::PLACES[intdiv($most, 3)][$most % 3]);
    }

    /** @return list<int> the differences of its thirds, left to right */
    private static function ofLine(string $line, string $other, int $width): array
    {
        /** @var array<int, int> $a */
        $a = unpack('C*', $line);
        /** @var array<int, int> $b */
        $b = unpack('C*', $other);
        [$left, $middle, $right] = [0, 0, 0];
        foreach ($a as $i => $value) {
            $apart = abs($value - ($b[$i] ?? 0));
            $third = intdiv($i - 1, max(1, $width));
            $left += $third === 0 ? $apart : 0;
            $middle += $third === 1 ? $apart : 0;
            $right += $third > 1 ? $apart : 0;
        }

        return [$left, $middle, $right];
    }

    /** As a fraction of white; null where the sizes differ. */
    public function mean(): ?BigRational
    {
        return $this->sum === null ? null : BigRational::nd($this->sum, 255 * max(1, $this->bytes));
    }

    /** @return array{int|null, int, string} */
    public function toArray(): array
    {
        return [$this->sum, $this->bytes, $this->where];
    }
}
