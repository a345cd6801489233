<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Compression;

/**
 * The two-dimensional Haar wavelet of OpenEXR's PIZ, undone in place (OpenEXR, PIZ compression). A pair of low and high
 * becomes two neighbours; values below 2^14 have a sign, others wrap around.
 */
final class ExrWavelet
{
    private const SIGNED = 1 << 14;

    private bool $signed;

    /**
     * @param  array<int, int>  $values  sixteen bits each
     * @param  int  $most  the largest value there is
     */
    private function __construct(private array $values, int $most)
    {
        $this->signed = $most < self::SIGNED;
    }

    /**
     * @param  array<int, int>  $values  sixteen bits each
     * @param  int  $from  where the first is
     * @param  array{int, int}  $size  width and height
     * @param  int  $stepX  from one to the next in a line; lines stand one behind another
     * @param  int  $most  the largest value there is
     * @return array<int, int>
     */
    public static function undo(array $values, int $from, array $size, int $stepX, int $most): array
    {
        $waves = new self($values, $most);
        unset($values);
        $waves->run($from, $size, $stepX, $size[0] * $stepX);

        return $waves->values;
    }

    /** @param  array{int, int}  $size */
    private function run(int $from, array $size, int $stepX, int $stepY): void
    {
        [$width, $height] = $size;
        for ($p2 = 1; $p2 <= min($width, $height); $p2 <<= 1);
        $p2 >>= 1;
        for ($p = $p2 >> 1; $p >= 1; $p2 = $p, $p >>= 1) {
            $across = intdiv($width, $p2);
            for ($y = 0; $y + $p2 <= $height; $y += $p2) {
                $at = $from + $y * $stepY;
                $this->squares($at, $across, $stepX * $p, $stepY * $p);
                if (($width & $p) !== 0) {
                    $at += $across * $stepX * $p2;
                    $this->pair($at, $at + $stepY * $p);
                }
            }
            if (($height & $p) !== 0) {
                for ($at = $from + $y * $stepY, $x = 0; $x < $across; $x++, $at += $stepX * $p2) {
                    $this->pair($at, $at + $stepX * $p);
                }
            }
        }
    }

    /** Four values each, some hundreds of thousands of times: written out, since every call would count. */
    private function squares(int $at, int $many, int $x1, int $y1): void
    {
        $values = &$this->values;
        for ($i = 0; $i < $many; $i++, $at += 2 * $x1) {
            [$right, $down, $both] = [$at + $x1, $at + $y1, $at + $x1 + $y1];
            if ($this->signed) {
                $high = ($values[$down] ^ 0x8000) - 0x8000;
                $a = (($values[$at] ^ 0x8000) - 0x8000) + ($high & 1) + ($high >> 1);
                $c = $a - $high;
                $high = ($values[$both] ^ 0x8000) - 0x8000;
                $b = (($values[$right] ^ 0x8000) - 0x8000) + ($high & 1) + ($high >> 1);
                $d = $b - $high;
                $b = ($b & 0xFFFF ^ 0x8000) - 0x8000;
                $d = ($d & 0xFFFF ^ 0x8000) - 0x8000;
                $a = ($a & 0xFFFF ^ 0x8000) - 0x8000 + ($b & 1) + ($b >> 1);
                $c = ($c & 0xFFFF ^ 0x8000) - 0x8000 + ($d & 1) + ($d >> 1);
                $values[$at] = $a & 0xFFFF;
                $values[$right] = $a - $b & 0xFFFF;
                $values[$down] = $c & 0xFFFF;
                $values[$both] = $c - $d & 0xFFFF;
            } else {
                $c = $values[$at] - ($values[$down] >> 1) & 0xFFFF;
                $a = $values[$down] + $c - 0x8000 & 0xFFFF;
                $d = $values[$right] - ($values[$both] >> 1) & 0xFFFF;
                $b = $values[$both] + $d - 0x8000 & 0xFFFF;
                $values[$right] = $a = $a - ($b >> 1) & 0xFFFF;
                $values[$at] = $b + $a - 0x8000 & 0xFFFF;
                $values[$both] = $c = $c - ($d >> 1) & 0xFFFF;
                $values[$down] = $d + $c - 0x8000 & 0xFFFF;
            }
        }
    }

    private function pair(int $lowAt, int $highAt): void
    {
        [$low, $high] = [$this->values[$lowAt], $this->values[$highAt]];
        if ($this->signed) {
            $high = ($high ^ 0x8000) - 0x8000;
            $first = (($low ^ 0x8000) - 0x8000) + ($high & 1) + ($high >> 1);
            $second = $first - $high & 0xFFFF;
        } else {
            $second = $low - ($high >> 1) & 0xFFFF;
            $first = $high + $second - 0x8000;
        }
        $this->values[$lowAt] = $first & 0xFFFF;
        $this->values[$highAt] = $second;
    }
}
