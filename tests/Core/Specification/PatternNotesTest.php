<?php

declare(strict_types=1);

namespace Tests\Core\Specification;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\ExampleNames;
use PlainLedger\Core\Specification\PatternNotes;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** What is said of a pattern's names before anybody uses them. */
final class PatternNotesTest extends TestCase
{
    /** @param  array<string, mixed>  $more */
    private static function specification(string $pattern, string $range, array $more = []): Specification
    {
        return Workbench::specification(
            ['naming.pattern' => $pattern, 'format.kind' => 'png']
                + ($range === '' ? [] : ['time.range' => $range])
                + $more,
            ['values' => ['shot' => 'TC_010', 'version' => 3, 'task' => 'light']],
        );
    }

    /** @return iterable<string, array{string, string, list<string>}> pattern, range, a part of each note */
    public static function patterns(): iterable
    {
        yield 'a sound one' => ['{shot}_v{version:3}.{frame:4}.{ext}', '1001-1096', []];
        yield 'a sound one with a dash' => ['{shot}-v{version:3}-{frame:4}.{ext}', '1-96', []];
        yield 'the version in the folder is no collision' => ['{shot}.{frame:4}.{ext}', '1-96', []];
        yield 'not filled with zeros' => ['{shot}_v{version:3}.{frame}.{ext}', '1-96', ['do not sort']];
        yield 'not filled, and one digit is enough' => ['{shot}_v{version:3}.{frame}.{ext}', '1-9', []];
        yield 'the number is not last' => [
            '{shot}_v{version:3}.{frame:4}.{task}.{ext}',
            '1-96',
            ['do not see a sequence'],
        ];
        yield 'text after the number' => [
            '{shot}_v{version:3}.{frame:4}_final.{ext}',
            '1-96',
            ['do not see a sequence'],
        ];
        yield 'digits right before the number' => [
            '{shot}_v{version:3}{frame:4}.{ext}',
            '1-96',
            ['nobody can tell where it begins'],
        ];
        yield 'a literal digit right before the number' => [
            '{shot}_v{version:3}_take2{frame:4}.{ext}',
            '1-96',
            ['nobody can tell where it begins'],
        ];
        yield 'negative frames' => ['{shot}_v{version:3}.{frame:4}.{ext}', '-8-96', ['Negative frames']];
        yield 'no version anywhere' => ['{shot}/x.{frame:4}.{ext}', '1-96', ['lies over the last one']];
        yield 'spaces' => ['{shot} v{version:3}.{frame:4}.{ext}', '1-96', ['spaces']];
        yield 'characters some file systems refuse' => [
            '{shot}_v{version:3}:a.{frame:4}.{ext}',
            '1-96',
            ['some file systems refuse'],
        ];
        yield 'too long for a file system' => [
            str_repeat('a', 250).'_v{version:3}.{frame:4}.{ext}',
            '1-96',
            ['file systems hold 255'],
        ];
        yield 'no range known' => ['{shot}_v{version:3}.{frame:4}.{ext}', '', []];
    }

    /** @param  list<string>  $expected */
    #[DataProvider('patterns')]
    public function test_notes(string $pattern, string $range, array $expected): void
    {
        $specification = self::specification(
            $pattern,
            $range,
            str_contains($pattern, 'version') || $expected !== [] ? [] : ['naming.folder' => 'v{version:3}'],
        );
        $notes = PatternNotes::of(NamePattern::parse($pattern), $specification, $specification->parts[0]);

        self::assertCount(count($expected), $notes, implode("\n", $notes));
        foreach ($expected as $n => $says) {
            self::assertStringContainsString($says, $notes[$n]);
        }
    }

    public function test_a_still_is_no_sequence(): void
    {
        $still = Workbench::specification(
            ['naming.pattern' => '{shot}_v{version:3}.{ext}', 'format.kind' => 'png'],
            ['delivers' => 'still', 'values' => ['shot' => 'TC_010', 'version' => 3]],
        );
        self::assertSame(
            [],
            PatternNotes::of(NamePattern::parse('{shot}_v{version:3}.{ext}'), $still, $still->parts[0]),
        );
    }

    public function test_example_names_and_their_tree(): void
    {
        $specification = self::specification(
            '{shot}_{pass}_v{version:3}.{frame:4}.{ext}',
            '1001-1010',
            ['passes' => ['beauty', 'mist'], 'naming.folder' => '{shot}/v{version:3}/{pass}'],
        );
        $names = ExampleNames::of($specification, $specification->parts[0]) ?? self::fail('There are names.');

        self::assertSame(['beauty', 'mist'], array_column($names->sets, 'pass'));
        self::assertSame(
            ['TC_010_mist_v003.1001.png', 'TC_010_mist_v003.1005.png', 'TC_010_mist_v003.1010.png'],
            $names->sets[1]['names'],
        );
        self::assertSame(
            [
                'TC_010/',
                '  v003/',
                '    beauty/',
                '      TC_010_beauty_v003.1001.png',
                '      …',
                '      TC_010_beauty_v003.1010.png',
                '    mist/',
                '      TC_010_mist_v003.1001.png',
                '      …',
                '      TC_010_mist_v003.1010.png',
            ],
            $names->tree(),
        );
    }

    public function test_the_middle_is_a_frame_that_is_asked(): void
    {
        $specification = self::specification('{shot}.{frame:4}.{ext}', '1-5,100-105');
        self::assertSame(
            ['TC_010.0001.png', 'TC_010.0100.png', 'TC_010.0105.png'],
            ExampleNames::of($specification, $specification->parts[0])?->sets[0]['names'],
        );
        self::assertNull(
            ExampleNames::of(
                Workbench::specification(['time.range' => '1-5']),
                Workbench::specification(['time.range' => '1-5'])->parts[0],
            ),
        );
    }
}
