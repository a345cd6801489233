<?php

declare(strict_types=1);

namespace Tests\Core\Naming;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Naming\PieceReading;
use PlainLedger\Core\Naming\PieceValues;

final class NamePatternTest extends TestCase
{
    private static function values(): PieceValues
    {
        return PieceValues::of(
            [
                'shot' => 'TC_010', 'pass' => 'beauty', 'version' => '3', 'task' => 'light', 'resolution' => '1280x720',
                'date' => '2026-11-24',
            ],
        )->withExtensions(['exr']);
    }

    public function test_it_makes_names(): void
    {
        $make = static fn (
            string $pattern,
            ?int $frame = 7,
        ): string => NamePattern::parse($pattern)->make(self::values(), $frame);

        self::assertSame('TC_010_beauty_v003.0007.exr', $make('{shot}_{pass}_v{version:3}.{frame:4}.{ext}'));
        self::assertSame('TC_010.-0005.exr', $make('{shot}.{frame:4}.{ext}', -5));
        self::assertSame('TC_010.####.exr', $make('{shot}.{frame:4}.{ext}', null));
        self::assertSame('720p_20261124_241126', $make('{resolution:lines}_{date}_{date:ddmmyy}'));
        self::assertSame('{stage}/TC_010', $make('{stage}/{shot}'));
        self::assertSame('a{b}c7', $make('a{{b}}c{frame}'));
        self::assertSame('v003', NamePattern::parse('v{version:3}')->make(PieceValues::of(['version' => 'v003'])));
    }

    public function test_made_names_read_back_as_fitting(): void
    {
        mt_srand(11);
        $patterns = [
            '{shot}_{pass}_v{version:3}.{frame:4}.{ext}',
            '{shot}.{frame:4}.{ext}',
            '{frame:5}-{shot}.{ext}',
            'x_{frame}.exr',
            '{task}/{shot}_{frame:3}_{pass}.{ext}',
            '{shot} {task} ({frame:4}).{ext}',
            '{shot}_{something}.{frame:4}.{ext}',
        ];
        foreach ($patterns as $source) {
            $pattern = NamePattern::parse($source);
            for ($i = 0; $i < 40; $i++) {
                $frame = mt_rand(-50, 120_000);
                $name = str_replace('{something}', 'any-thing_2', $pattern->make(self::values(), $frame));
                $reading = $pattern->read($name, self::values());
                self::assertTrue($reading->fits(), "{$name} by {$source}: ".json_encode($reading->pieces));
                self::assertSame(0, min(1, max(0, $reading->cost - 30)));
            }
        }
    }

    /** @return iterable<string, array{string, list<string>}> name, what differs */
    public static function misnamed(): iterable
    {
        yield 'fits' => ['TC_010_light_v003.1001.exr', []];
        yield 'digits' => ['TC_010_light_v003.001.exr', ['frame too-few-digits']];
        yield 'separator before the number' => ['TC_010_light_v003_1001.exr', ['separator separator-differs']];
        yield 'separator missing' => ['TC_010light_v003.1001.exr', ['separator separator-differs']];
        yield 'inside the shot' => ['TC-010_light_v003.1001.exr', ['shot separator-differs']];
        yield 'case' => ['tc_010_light_V003.1001.exr', ['shot case-differs', 'separator case-differs']];
        yield 'version and its digits' => [
            'TC_010_light_v2.1001.exr',
            ['version wrong-version', 'version too-few-digits'],
        ];
        yield 'spelling' => ['TC_010_ligth_v003.1001.exr', ['task value-misspelled']];
        yield 'space inside' => ['TC 010_light_v003.1001.exr', ['shot spaces-inside']];
        yield 'stray space' => ['TC_010_light _v003.1001.exr', ['task spaces-inside']];
        yield 'extension case' => ['TC_010_light_v003.1001.EXR', ['ext extension-spelled-otherwise']];
        yield 'copy' => ['TC_010_light_v003.1001 (1).exr', ['extra copy-suffix']];
        yield 'copy, in words' => ['TC_010_light_v003.1001 copy.exr', ['extra copy-suffix']];
        yield 'backup' => ['TC_010_light_v003.1001.exr~', ['extra copy-suffix']];
        yield 'number in front' => ['1001_TC_010_light_v003.exr', ['frame number-in-wrong-place']];
        yield 'number behind' => ['TC_010_light_v003.exr.1001', ['frame number-in-wrong-place']];
        yield 'number in front and short' => [
            '101_TC_010_light_v003.exr',
            ['frame number-in-wrong-place', 'frame too-few-digits'],
        ];
        yield 'several at once' => [
            'tc-010_light_v002.001.EXR',
            [
                'shot separator-differs',
                'shot case-differs',
                'version wrong-version',
                'frame too-few-digits',
                'ext extension-spelled-otherwise',
            ],
        ];
    }

    /** @param  list<string>  $differs */
    #[DataProvider('misnamed')]
    public function test_a_name_that_does_not_fit_is_read_piece_by_piece(string $name, array $differs): void
    {
        $reading = NamePattern::parse('{shot}_{task}_v{version:3}.{frame:4}.{ext}')->read($name, self::values());
        $found = [];
        foreach ($reading->differing() as $piece) {
            foreach ($piece->differences as $difference) {
                $found[] = "{$piece->piece} {$difference->value}";
            }
        }

        self::assertSame($differs, $found, (string) json_encode($reading->pieces));
        self::assertTrue($reading->aligns());
    }

    public function test_a_name_of_something_else_does_not_align(): void
    {
        foreach ([
            'preview.1001.jpg', 'untitled1001.exr', 'notes.txt', '1001.exr', 'TC_010.1001.exr',
            str_repeat('a_', 120).'.exr',
        ] as $name) {
            self::assertFalse(
                NamePattern::parse('{shot}_{task}_v{version:3}.{frame:4}.{ext}')->read($name, self::values())->aligns(),
                $name,
            );
        }
    }

    public function test_the_pieces_of_a_reading_make_up_the_name(): void
    {
        $pattern = NamePattern::parse('{shot}_{task}_v{version:3}.{frame:4}.{ext}');
        foreach ([
            'TC_010_light_v003.1001.exr',
            'tc-010 light_v02.1.exr',
            'TC_010__light_v003.1001.png',
            'what ever 12',
        ] as $name) {
            $text = implode(
                '',
                array_map(
                    static fn (PieceReading $p): string => $p->found,
                    $pattern->read($name, self::values())->pieces,
                ),
            );
            self::assertSame($name, $text);
        }
    }

    public function test_scene_names_count_frames_as_programs_do(): void
    {
        foreach ([
            'a.####.exr' => 'a.{frame:4}.exr',
            'a.%04d.exr' => 'a.{frame:4}.exr',
            'a.{frame:4}.exr' => 'a.{frame:4}.exr',
            'a_#' => 'a_{frame:1}',
            'a.%d.exr' => 'a.{frame}.exr',
            'dir\\a.##.png' => 'dir/a.{frame:2}.png',
            'a.exr' => 'a.exr',
        ] as $set => $read) {
            self::assertSame($read, (string) NamePattern::parseSceneName($set));
        }
    }

    public function test_patterns_that_cannot_be_used_are_refused_in_words(): void
    {
        foreach ([
            '', '{frame}{frame}', '{ext}.{frame}', '{', 'a}b', '{}', '{9}', '{frame:x}', '{version:0}', "a\nb", 'a\\b',
            '{frame:99}', str_repeat('x', 600),
        ] as $source) {
            try {
                NamePattern::parse($source);
                self::fail("“{$source}” was taken for a pattern.");
            } catch (PatternRefused $refused) {
                self::assertStringContainsString('cannot be used', $refused->getMessage());
            }
        }
    }

    public function test_folders(): void
    {
        $matches = static fn (
            string $pattern,
            string $folder,
        ): bool => NamePattern::parse($pattern)->matchesFolder($folder, self::values());

        self::assertTrue($matches('renders/{shot}', 'renders/TC_010'));
        self::assertTrue($matches('renders/{shot}/', './renders//TC_010'));
        self::assertTrue($matches('.', ''));
        self::assertTrue($matches('renders/*', 'renders/anything'));
        self::assertTrue($matches('renders/v?', 'renders/v3'));
        self::assertTrue($matches('{stage}/{shot}', 'lighting/TC_010'));
        self::assertFalse($matches('renders/*', 'renders/a/b'));
        self::assertFalse($matches('renders/{shot}', 'renders/TC_020'));
        self::assertFalse($matches('.', 'renders'));
    }

    public function test_every_difference_is_a_cause(): void
    {
        foreach (Difference::cases() as $difference) {
            self::assertContains(
                $difference->value,
                array_column(\PlainLedger\Core\Diagnosis\CauseId::cases(), 'value'),
            );
        }
    }
}
