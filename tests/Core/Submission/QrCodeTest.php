<?php

declare(strict_types=1);

namespace Tests\Core\Submission;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Submission\QrCode;

/** Codes that are read again by another program. */
final class QrCodeTest extends TestCase
{
    /** @return iterable<string, array{string, int}> a text and the version that holds it */
    public static function texts(): iterable
    {
        yield 'one letter' => ['A', 1];
        yield 'as much as the first holds' => [str_repeat('a', 14), 1];
        yield 'one more' => [str_repeat('a', 15), 2];
        yield 'an address' => [
            'https://ledger.example/records/17?expires=1795000000&signature='.str_repeat('0f', 32), 8,
        ];
        yield 'two lengths of blocks' => [str_repeat('xyz', 50), 8];
        yield 'the last with a length of eight bits' => [str_repeat('q', 180), 9];
        yield 'the first with sixteen' => [str_repeat('q', 181), 10];
        yield 'all there is room for' => [str_repeat('ab 12/', 68).'abcd', 15];
    }

    #[DataProvider('texts')]
    public function test_another_program_reads_it(string $text, int $version): void
    {
        $code = QrCode::of($text) ?? self::fail('it was not made');
        self::assertSame(17 + 4 * $version, $code->size);
        $reader = trim((string) shell_exec('command -v zbarimg'));
        if ($reader === '') {
            self::markTestSkipped('no program that reads such codes is installed');
        }
        $path = self::drawn($code);
        $read = (string) shell_exec("{$reader} -q --raw ".escapeshellarg($path).' 2>/dev/null');
        unlink($path);
        self::assertSame("{$text}\n", $read);
    }

    private static function drawn(QrCode $code): string
    {
        $side = 5;
        $picture = imagecreatetruecolor(($code->size + 8) * $side, ($code->size + 8) * $side);
        self::assertNotFalse($picture);
        imagefill($picture, 0, 0, 0xFFFFFF);
        for ($row = 0; $row < $code->size; $row++) {
            for ($column = 0; $column < $code->size; $column++) {
                if ($code->isDark($row, $column)) {
                    [$x, $y] = [($column + 4) * $side, ($row + 4) * $side];
                    imagefilledrectangle($picture, $x, $y, $x + $side - 1, $y + $side - 1, 0);
                }
            }
        }
        $path = tempnam(sys_get_temp_dir(), 'code').'.png';
        imagepng($picture, $path);

        return $path;
    }

    public function test_its_patterns_stand_where_the_standard_has_them(): void
    {
        $code = QrCode::of('https://ledger.example') ?? self::fail('it was not made');
        $ring = static fn (int $row, int $column): string => implode('', array_map(
            static fn (int $j): string => $code->isDark($row, $column + $j) ? '#' : '.',
            range(0, 6),
        ));
        foreach ([[0, 0], [0, $code->size - 7], [$code->size - 7, 0]] as [$row, $column]) {
            self::assertSame('#######', $ring($row, $column));
            self::assertSame('#.....#', $ring($row + 1, $column));
            self::assertSame('#.###.#', $ring($row + 3, $column));
        }
        // the timing pattern takes turns, and one module is always dark
        self::assertTrue($code->isDark(6, 8));
        self::assertFalse($code->isDark(6, 9));
        self::assertTrue($code->isDark($code->size - 8, 8));
        // outside of it nothing is dark
        self::assertFalse($code->isDark(-1, 500));
    }

    public function test_what_is_too_long_is_no_code(): void
    {
        self::assertNull(QrCode::of(str_repeat('x', 413)));
        self::assertNotNull(QrCode::of(str_repeat('x', 412)));
    }

    public function test_as_a_drawing_it_has_its_light_border(): void
    {
        $code = QrCode::of('A') ?? self::fail('it was not made');
        $svg = $code->svg();

        self::assertStringContainsString('viewBox="0 0 29 29"', $svg);
        self::assertStringContainsString('M4,4h1v1h-1z', $svg);
        $dark = 0;
        for ($at = 0; $at < 21 ** 2; $at++) {
            $dark += (int) $code->isDark(intdiv($at, 21), $at % 21);
        }
        self::assertSame($dark, substr_count($svg, 'h1v1h-1z'));
        // neither dark nor light has much the upper hand
        self::assertEqualsWithDelta(220, $dark, 60);
    }
}
