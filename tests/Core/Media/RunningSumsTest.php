<?php

declare(strict_types=1);

namespace Tests\Core\Media;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Media\Decoders\RunningSums;

final class RunningSumsTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function differences(): iterable
    {
        mt_srand(7);
        $noise = static fn (int $many): string => implode('', array_map(
            static fn (): string => chr(mt_rand(0, 255)),
            range(1, $many),
        ));
        yield 'nothing' => ['', 0];
        yield 'one' => ["\x05", 250];
        yield 'few' => [$noise(100), 128];
        foreach ([8191, 8192, 8193, 32767, 32768, 32769, 65536, 100_001] as $many) {
            yield "{$many} bytes" => [$noise($many), mt_rand(0, 255)];
        }
        // values that hardly differ: most greys do not occur
        yield 'one value' => [str_repeat("\0", 40_000), 128];
        yield 'two values' => [str_repeat("\0\0\7\xF9", 10_000), 3];
        yield 'round and round' => [str_repeat("\1", 70_000), 0];
    }

    #[DataProvider('differences')]
    public function test_each_byte_is_the_one_before_and_its_difference(string $differences, int $before): void
    {
        [$sums, $sum] = ['', $before];
        foreach ($differences === '' ? [] : str_split($differences) as $byte) {
            $sum = ($sum + ord($byte)) % 256;
            $sums .= chr($sum);
        }
        self::assertSame(
            hash('xxh128', $sums),
            hash('xxh128', RunningSums::of($differences, $before)),
            strlen($differences).' bytes',
        );
    }
}
