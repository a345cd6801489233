<?php

declare(strict_types=1);

namespace Tests\Core\Checking;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\TextReport;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** Several passes: each is matched, compared, diagnosed and mended by itself, and everything says which. */
final class EachPassTest extends TestCase
{
    private const PASSES = ['beauty', 'mist', 'shadow'];

    /** @param  array<string, mixed>  $require */
    private static function asked(array $require = []): Specification
    {
        return Workbench::specification(array_filter($require + [
            'picture.resolution' => '64x36', 'time.range' => '1001-1010', 'format.kind' => 'png',
            'format.bit_depth' => 8, 'passes' => self::PASSES,
            'naming.pattern' => '{shot}_{pass}.{frame:4}.{ext}',
            'naming.folder' => '{pass}',
            'content.whole' => 'yes',
            'delivery.extras' => 'none',
        ], static fn (mixed $v): bool => $v !== null));
    }

    /** @param  list<string>  $passes */
    private static function good(array $passes = self::PASSES): Workbench
    {
        $bench = new Workbench;
        foreach ($passes as $pass) {
            $bench->frames("{$pass}/TC_010_{$pass}.%04d.png", '1001-1010', Workbench::png());
        }

        return $bench;
    }

    /**
     * @param  array<string, mixed>  $document
     * @return list<string> “id pass” of each cause
     */
    private static function causes(array $document): array
    {
        return array_map(static fn (array $c): string => trim("{$c['id']} ".($c['pass'] ?? '')), $document['causes']);
    }

    public function test_all_good(): void
    {
        $document = self::good()->check(self::asked());

        self::assertSame(['balanced', [], []], [$document['verdict'], $document['causes'], $document['fixes']]);
        self::assertSame(self::PASSES, array_column($document['sequences'], 'pass'));
    }

    /**
     * @param  \Closure(Workbench): mixed  $spoil
     * @param  list<string>  $causes
     * @param  list<string>  $fixes  “kind pass frames”
     */
    #[DataProvider('mistakes')]
    public function test_a_mistake_of_one_pass_is_told_of_that_pass(
        \Closure $spoil,
        array $causes,
        array $fixes,
        array $require = [],
    ): void {
        $bench = self::good();
        $spoil($bench);
        $document = $bench->check(self::asked($require));

        self::assertSame(
            $causes,
            self::causes($document),
            json_encode($document['causes'], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE),
        );
        self::assertSame(
            $fixes,
            array_map(
                static fn (array $f): string => trim(implode(' ', [$f['kind'], $f['pass'] ?? '', $f['frames'] ?? ''])),
                $document['fixes'],
            ),
        );
        self::assertSame('unbalanced', $document['verdict']);
        $holds = (new Validator)->validate(
            json_decode((string) json_encode($document)),
            (string) file_get_contents(dirname(__DIR__, 3).'/docs/schema/check.schema.json'),
        );
        self::assertTrue($holds->isValid(), (string) $holds->error());
        foreach ($document['causes'] as $cause) {
            self::assertSame(isset($cause['pass']), str_starts_with($cause['says'], 'Pass '), $cause['says']);
        }
    }

    /** @return iterable<string, array{0: \Closure, 1: list<string>, 2: list<string>, 3?: array<string, mixed>}> */
    public static function mistakes(): iterable
    {
        $half = Workbench::png(32, 18);
        $png = Workbench::png();
        $again = static fn (
            string $pass,
            string $range,
            string $bytes,
        ): \Closure => static fn (Workbench $b) => $b->frames(
            "{$pass}/TC_010_{$pass}.%04d.png",
            $range,
            $bytes,
        );
        $gone = static fn (Workbench $b, string $pass, string ...$frames): Workbench => $b->without(
            ...array_map(static fn (string $f): string => "{$pass}/TC_010_{$pass}.{$f}.png", $frames),
        );

        yield 'half size' => [
            $again('mist', '1001-1010', $half),
            ['scale-below-full mist'],
            ['set mist', 'render mist 1001-1010'],
        ];
        yield 'half size in all' => [
            static fn (Workbench $b) => array_map(
                static fn (string $p) => $again($p, '1001-1010', $half)($b),
                self::PASSES,
            ),
            ['scale-below-full'],
            ['set', 'render beauty 1001-1010', 'render mist 1001-1010', 'render shadow 1001-1010'],
        ];
        yield 'half size in two' => [
            static fn (Workbench $b) => array_map(
                static fn (string $p) => $again($p, '1001-1010', $half)($b),
                ['mist', 'shadow'],
            ),
            ['scale-below-full mist', 'scale-below-full shadow'],
            ['set mist', 'set shadow', 'render mist 1001-1010', 'render shadow 1001-1010'],
        ];
        yield 'stopped' => [
            static fn (Workbench $b) => $gone($b, 'shadow', '1008', '1009', '1010'),
            ['render-stopped shadow'],
            ['render shadow 1008-1010'],
        ];
        yield 'half size in one, stopped in another' => [
            static fn (Workbench $b) => $gone($again('mist', '1001-1010', $half)($b), 'shadow', '1009', '1010'),
            ['render-stopped shadow', 'scale-below-full mist'],
            ['set mist', 'render shadow 1009-1010', 'render mist 1001-1010'],
        ];
        yield 'both in one' => [
            static fn (Workbench $b) => $gone($again('mist', '1001-1010', $half)($b), 'mist', '1009', '1010'),
            ['render-stopped mist', 'scale-below-full mist'],
            ['set mist', 'render mist 1001-1010'],
        ];
        yield 'cut short' => [
            $again('beauty', '1004', substr($png, 0, 40)),
            ['cut-short beauty'],
            ['render beauty 1004'],
        ];
        yield 'one pass is missing, another has holes' => [
            static fn (Workbench $b) => $gone(
                $gone($b, 'mist', '1004', '1005'),
                'shadow',
                ...array_map(strval(...), range(1001, 1010)),
            ),
            ['pass-missing shadow', 'frames-dropped mist'],
            ['render shadow 1001-1010', 'render mist 1004-1005'],
        ];
        yield 'deeper in one' => [
            $again('shadow', '1001-1010', Workbench::png(bits: 16)),
            ['value-differs shadow'],
            ['encode shadow 1001-1010'],
        ];
        yield 'deep where one alone is asked so' => [
            static fn (Workbench $b) => $b,
            ['depth-dropped mist'],
            ['set mist', 'render mist 1001-1010'],
            ['passes' => ['beauty', ['name' => 'mist', 'require' => ['format.bit_depth' => 16]], 'shadow']],
        ];
    }

    public function test_a_leftover_folder_does_not_stand_in_for_a_missing_pass(): void
    {
        $document = self::good(['beauty', 'mist'])->frames(
            'old_tests/TC_010_try.%04d.png',
            '1001-1010',
            Workbench::png(),
        )->check(self::asked());

        self::assertContains('pass-missing shadow', self::causes($document));
        self::assertNotContains('move', array_column($document['fixes'], 'kind'));
        self::assertNotContains('rename', array_column($document['fixes'], 'kind'));
    }

    public function test_runs_lines_and_reports_name_the_pass(): void
    {
        $bench = self::good()->frames('mist/TC_010_mist.%04d.png', '1001-1010', Workbench::png(32, 18));
        $delivery = $bench->scan();
        $account = CheckReport::of(self::asked(), null, $delivery);
        $entry = array_column($account->toArray()['entries'], null, 'id')['picture.resolution'];

        self::assertSame('64x36', $entry['files']['found']);
        self::assertSame([['frames' => '1001-1010', 'found' => '32x18', 'pass' => 'mist']], $entry['files']['runs']);
        $text = (new TextReport)->write($account);
        self::assertStringContainsString('Pass mist: ', $text);
        self::assertStringContainsString('(pass mist)', $text);
    }

    /**
     * @param  list<string>  $missing
     */
    #[DataProvider('scenes')]
    public function test_a_scene_that_lists_fewer_says_which_are_missing(
        string $label,
        string $scene,
        array $missing,
        bool $saved = false,
    ): void {
        $account = CheckReport::of(
            self::asked(['naming.folder' => null]),
            (new DetectingReader)->read($scene, $label),
            null,
        );
        $entry = array_column($account->toArray()['entries'], null, 'id')['passes'];

        // that a pass is there does not say that it is saved
        $toldMark = $saved ? 'equal' : 'unknown';
        self::assertSame($missing === [] ? $toldMark : 'unequal', $entry['scene']['mark']);
        $says = implode(' ', array_map(static fn (array $c): string => $c['says'], $account->toArray()['causes']));
        foreach (self::PASSES as $pass) {
            self::assertSame(in_array($pass, $missing, true), preg_match("~\\b{$pass}\\b~", $says) === 1, $says);
        }
    }

    /** @return iterable<string, array{0: string, 1: string, 2: list<string>, 3?: bool}> */
    public static function scenes(): iterable
    {
        $lists = [
            'all' => [['beauty', 'mist', 'shadow'], []],
            'one missing' => [['beauty', 'shadow'], ['mist']],
            'two missing' => [['shadow'], ['beauty', 'mist']],
        ];
        foreach ($lists as $what => [$passes, $missing]) {
            yield "{$what}, lines" => ['a.txt', "resolution = 64x36\npasses = ".implode(', ', $passes)."\n", $missing];
            yield "{$what}, sections" => [
                'a.ini',
                "[output]\nresolution = 64x36\npasses = ".implode(', ', $passes)."\n",
                $missing,
            ];
            yield "{$what}, document" => [
                'a.json',
                (string) json_encode(
                    [
                        'format' => 'plain-ledger/scene',
                        'version' => 1,
                        'settings' => [
                            'picture.resolution' => '64x36',
                            'passes' => array_map(
                                static fn (string $p): array => ['name' => $p, 'saved' => true],
                                $passes,
                            ),
                        ],
                    ],
                ),
                $missing,
                true,
            ];
            yield "{$what}, flat" => [
                'a.json',
                (string) json_encode(['resolution' => '64x36', 'passes' => implode(', ', $passes)]),
                $missing,
            ];
            yield "{$what}, sheet" => [
                'a.csv',
                "setting,value\nresolution,64x36\npasses,\"".implode(', ', $passes)."\"\n",
                $missing,
            ];
        }
        yield 'listed and not saved' => [
            'a.txt',
            "resolution = 64x36\npasses = beauty=yes, mist=no, shadow=yes\n",
            ['mist'],
        ];
        yield 'an unsaved one in a document' => [
            'a.json',
            (string) json_encode(
                [
                    'format' => 'plain-ledger/scene',
                    'version' => 1,
                    'settings' => [
                        'passes' => [
                            ['name' => 'beauty', 'saved' => true],
                            ['name' => 'mist', 'saved' => 'unchecked'],
                            ['name' => 'shadow', 'saved' => 1],
                        ],
                    ],
                ],
            ),
            ['mist'],
        ];
    }

    public function test_eighteen_passes_in_folders_of_their_own(): void
    {
        $bench = new Workbench;
        $passes = array_map(static fn (int $n): string => "layer{$n}", range(1, 18));
        foreach ($passes as $pass) {
            $bench->frames("TC_010_v003/{$pass}/TC_010_{$pass}.%04d.png", '1001-1003', Workbench::png());
        }
        $asked = self::asked(
            ['passes' => $passes, 'time.range' => '1001-1003', 'naming.folder' => 'TC_010_v003/{pass}'],
        );

        self::assertSame(['balanced', []], [$bench->check($asked)['verdict'], $bench->check($asked)['fixes']]);
    }

    /** A take of before beside the right one: left over as a whole, and nobody's still and nobody's movie. */
    public function test_an_older_take_is_left_over_as_one(): void
    {
        $asked = Workbench::specification(['time.range' => '1001-1010', 'delivery.extras' => 'none'], ['parts' => [
            [
                'name' => 'frames',
                'delivers' => 'frames',
                'require' => [
                    'format.kind' => 'png',
                    'passes' => ['beauty', 'depth'],
                    'naming.pattern' => '{shot}_{pass}_v{version:3}.{frame:4}.{ext}',
                ],
            ],
            [
                'name' => 'preview',
                'delivers' => 'movie',
                'made_from' => 'frames',
                'require' => ['format.kind' => 'mp4', 'naming.pattern' => '{shot}_preview.{ext}'],
            ],
            [
                'name' => 'poster',
                'delivers' => 'still',
                'require' => ['time.range' => null, 'format.kind' => 'tiff', 'naming.pattern' => '{shot}_poster.{ext}'],
            ],
        ]]);
        $bench = new Workbench;
        foreach (['beauty', 'depth'] as $pass) {
            $bench->frames("TC_010_{$pass}_v003.%04d.png", '1001-1010', Workbench::png());
        }
        $document = $bench->frames('TC_010_beauty_v002.%04d.png', '1001-1010', Workbench::png())->check($asked);

        self::assertSame(
            ['leftovers', 'nothing-delivered', 'nothing-delivered'],
            array_column($document['causes'], 'id'),
            json_encode($document['causes'], JSON_PRETTY_PRINT),
        );
        $aside = array_values(
            array_filter($document['fixes'], static fn (array $f): bool => $f['kind'] === 'set-aside'),
        );
        self::assertSame(
            [['TC_010_beauty_v002.####.png', 10]],
            array_map(static fn (array $f): array => [$f['from'], $f['count']], $aside),
        );
        // a pass that nobody asked for is no movie either
        $other = $bench->frames('TC_010_Z_v003.%04d.png', '1001-1010', Workbench::png())->check($asked);
        self::assertNotContains('frames-instead-of-movie', array_column($other['causes'], 'id'));
        // what looks like the movie, delivered as frames, is told as that
        $document = $bench->frames('TC_010_preview_%04d.png', '1-10', Workbench::png())->check($asked);
        self::assertContains('frames-instead-of-movie', array_column($document['causes'], 'id'));
    }

    /** What is handed in instead lies where it should: it is not moved as well. */
    public function test_what_is_delivered_instead_is_not_moved(): void
    {
        $asked = Workbench::specification(
            [
                'time.range' => '1001-1010',
                'format.kind' => 'png',
                'passes' => ['beauty', 'depth'],
                'naming.pattern' => '{shot}_{pass}_v{version:3}.{frame:4}.{ext}',
                'naming.folder' => '{pass}',
                'delivery.extras' => 'none',
            ],
        );
        $bench = (new Workbench)->frames('beauty/TC_010_beauty_v003.%04d.png', '1001-1010', Workbench::png())->frames(
            'elsewhere/TC_010_depth_v002.%04d.png',
            '1001-1010',
            Workbench::png(),
        );
        $document = $bench->check($asked);

        self::assertSame(
            [['set-aside', 'depth'], ['deliver', 'depth']],
            array_map(static fn (array $f): array => [$f['kind'], $f['pass'] ?? ''], $document['fixes']),
            json_encode($document['fixes'], JSON_PRETTY_PRINT),
        );
    }
}
