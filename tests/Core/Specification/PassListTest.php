<?php

declare(strict_types=1);

namespace Tests\Core\Specification;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\PassList;
use PlainLedger\Core\Specification\RequirementValue;
use Tests\Core\Support\Workbench;

/** Passes as they are typed, with what is asked of single ones in brackets. */
final class PassListTest extends TestCase
{
    /** @return iterable<string, array{string, list<mixed>}> */
    public static function typed(): iterable
    {
        $own = static fn (string $name, array $require): array => ['name' => $name, 'require' => $require];
        yield 'one' => ['beauty', ['beauty']];
        yield 'several' => ['beauty, mist | shadow', ['beauty', 'mist', 'shadow']];
        yield 'with spaces in them' => ['light one, light two', ['light one', 'light two']];
        yield 'by id' => ['beauty, mist (format.bit_depth 16)', ['beauty', $own('mist', ['format.bit_depth' => '16'])]];
        yield 'by label' => ['mist (bit depth 16)', [$own('mist', ['format.bit_depth' => '16'])]];
        yield 'with a colon' => [
            'mist (Bit depth: 16; Alpha = straight)',
            [$own('mist', ['format.bit_depth' => '16', 'format.alpha' => 'straight'])],
        ];
        yield 'commas within' => [
            'mist (format.channels R,G,B), shadow',
            [$own('mist', ['format.channels' => 'R,G,B']), 'shadow'],
        ];
        yield 'a list as JSON' => [
            'mist (format.compression ["zip","zips"])',
            [$own('mist', ['format.compression' => ['zip', 'zips']])],
        ];
        yield 'text with brackets, quoted' => ['mist (burn_in_of "a")', []];
    }

    /** @param  list<mixed>  $list */
    #[DataProvider('typed')]
    public function test_what_is_typed(string $text, array $list): void
    {
        if ($list === []) {
            $this->expectException(NotUnderstood::class);
        }
        self::assertEquals($list, PassList::parse($text));
    }

    /** @return iterable<string, array{string, string}> */
    public static function strange(): iterable
    {
        yield 'not closed' => ['mist (bit depth 16', 'bracket'];
        yield 'closed twice' => ['mist (bit depth 16))', 'bracket'];
        yield 'behind a bracket' => ['mist (bit depth 16) more', 'no pass'];
        yield 'nothing known' => ['mist (colour of the sky blue)', 'begins with no requirement'];
        yield 'no such value' => ['mist (bit depth deep)', 'of mist'];
        yield 'a scene alone tells it' => ['mist (samples 4)', 'not shown by the files of one pass'];
        yield 'passes of a pass' => ['mist (passes a)', 'not shown by the files of one pass'];
    }

    #[DataProvider('strange')]
    public function test_what_is_wrong_with_it_is_said(string $text, string $says): void
    {
        try {
            PassList::parse($text);
            self::fail("“{$text}” was taken.");
        } catch (NotUnderstood $refused) {
            self::assertStringContainsString($says, $refused->getMessage());
        }
    }

    /** Whatever is asked is written so that it is read as the same. */
    public function test_it_is_written_as_it_is_read(): void
    {
        $passes = Catalogue::standard()->find('passes') ?? self::fail('no passes');
        foreach ([
            ['beauty', 'mist'],
            [
                'beauty',
                [
                    'name' => 'mist',
                    'require' => [
                        'format.bit_depth' => 16,
                        'format.compression' => ['zip', 'zips'],
                        'render.samples' => ['min' => 3],
                    ],
                ],
            ],
            [['name' => 'a b', 'require' => ['naming.pattern' => '{shot} (a;b).{frame:4}.exr']]],
        ] as $list) {
            $ask = RequirementValue::read($passes, $list);
            $own = array_map(static fn (array $r): array => array_diff_key($r, ['render.samples' => 1]), $ask->own);
            $written = PassList::write(
                RequirementValue::read(
                    $passes,
                    array_map(
                        static fn (string $name): array => ['name' => $name, 'require' => $own[$name] ?? []],
                        $ask->values,
                    ),
                ),
            );
            $again = RequirementValue::read($passes, $written);
            self::assertEquals([$ask->values, array_filter($own)], [$again->values, $again->own], $written);
        }
    }

    public function test_what_one_pass_is_asked_is_said(): void
    {
        $asked = Workbench::specification(
            [
                'passes' => [
                    'beauty',
                    ['name' => 'mist', 'require' => ['format.bit_depth' => 16, 'format.kind' => 'png']],
                ],
            ],
        );
        $sentence = $asked->parts[0]->requirements['passes']->sentence();

        self::assertStringStartsWith('The passes are beauty and mist. Of mist: ', $sentence);
        self::assertStringContainsString('16', $sentence);
    }
}
