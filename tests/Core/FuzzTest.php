<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Tests\Core\Support\Fuzzer;

/** The first of the inputs nobody meant; bench/fuzz.php goes on for as long as one likes. */
final class FuzzTest extends TestCase
{
    public function test_whatever_comes_ends_in_a_value_or_a_plain_sentence(): void
    {
        $fuzzer = new Fuzzer(Fuzzer::samples());
        $broken = [];
        // libraries warn on standard error of what they are given
        for ($number = 0; $number < 6000; $number++) {
            $broken[] = $fuzzer->one($number);
        }

        self::assertSame([], array_values(array_filter($broken)));
    }

    public function test_it_would_notice(): void
    {
        $fuzzer = new Fuzzer(['no file at all']);
        self::assertNull($fuzzer->one(0));
        // a sample that is no text makes the changing itself fail: what breaks is told with its number
        /** @phpstan-ignore argument.type (that is the point) */
        $broken = new Fuzzer([new \stdClass]);
        self::assertStringStartsWith('8, a file: ', (string) $broken->one(8));
    }
}
