<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

/** Codewords by which a few wrong ones can be found and mended (ISO/IEC 18004, Annex A). */
final readonly class ReedSolomon
{
    /**
     * The remainder of a division in GF(2^8) with x^8 + x^4 + x^3 + x^2 + 1.
     *
     * @param  list<int>  $data
     * @return list<int>
     */
    public static function correction(array $data, int $degree): array
    {
        $generator = self::generator($degree);
        $rest = array_fill(0, $degree, 0);
        foreach ($data as $word) {
            $factor = $word ^ array_shift($rest);
            $rest[] = 0;
            foreach ($generator as $i => $coefficient) {
                $rest[$i] ^= self::product($coefficient, $factor);
            }
        }

        return array_values($rest);
    }

    /** @return list<int> coefficients of (x - 1)(x - 2)(x - 4)…, the highest left out */
    private static function generator(int $degree): array
    {
        $result = [...array_fill(0, $degree - 1, 0), 1];
        $root = 1;
        for ($i = 0; $i < $degree; $i++) {
            for ($j = 0; $j < $degree; $j++) {
                $result[$j] = self::product($result[$j], $root) ^ ($result[$j + 1] ?? 0);
            }
            $root = self::product($root, 2);
        }

        return array_values($result);
    }

    private static function product(int $a, int $b): int
    {
        $product = 0;
        for ($bit = 7; $bit >= 0; $bit--) {
            $product = ($product << 1) ^ (($product >> 7) * 0x11D);
            $product ^= (($b >> $bit) & 1) * $a;
        }

        return $product;
    }
}
