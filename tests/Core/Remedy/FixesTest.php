<?php

declare(strict_types=1);

namespace Tests\Core\Remedy;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Report\BlockerSummary;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\CsvReport;
use PlainLedger\Core\Report\JunitReport;
use PlainLedger\Core\Report\TextReport;
use Tests\Core\Support\Workbench;

/** The least work that puts things right, and how it is told. */
final class FixesTest extends TestCase
{
    private const REQUIRE = [
        'picture.resolution' => '64x36',
        'time.range' => '1001-1010',
        'format.kind' => 'png',
        'naming.pattern' => '{shot}.{frame:4}.{ext}',
        'content.whole' => 'yes',
        'delivery.extras' => 'none',
    ];

    /** @return list<array<string, mixed>> without their sentences */
    private static function fixes(Workbench $bench, array $require = self::REQUIRE): array
    {
        return array_map(
            static fn (array $f): array => array_diff_key($f, ['says' => 1, 'part' => 1]),
            $bench->check(Workbench::specification($require))['fixes'],
        );
    }

    public function test_a_rename_is_one_fix_a_pattern(): void
    {
        $bench = (new Workbench)->frames('TC-010.%05d.png', '1001-1010', Workbench::png());

        self::assertSame(
            [
                [
                    'kind' => 'rename',
                    'from' => 'TC-010.#####.png',
                    'to' => 'TC_010.####.png',
                    'frames' => '1001-1010',
                    'count' => 10,
                ],
            ],
            self::fixes($bench),
        );
    }

    public function test_only_names_that_change_are_renamed(): void
    {
        $bench = (new Workbench)->frames('TC_010.%d.png', '998-1007', Workbench::png());

        self::assertSame(
            [
                [
                    'kind' => 'rename',
                    'from' => 'TC_010.###.png',
                    'to' => 'TC_010.####.png',
                    'frames' => '998-999',
                    'count' => 2,
                ],
            ],
            self::fixes($bench, ['time.range' => '998-1007'] + self::REQUIRE),
        );
    }

    public function test_shifted_numbers_say_by_how_much(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1-10', Workbench::png());

        self::assertSame(
            [
                [
                    'kind' => 'rename', 'from' => 'TC_010.####.png', 'to' => 'TC_010.####.png', 'frames' => '1-10',
                    'count' => 10, 'shift' => 1000,
                ],
            ],
            array_values(array_filter(self::fixes($bench), static fn (array $f): bool => $f['kind'] === 'rename')),
        );
    }

    public function test_missing_damaged_and_wrong_frames_are_rendered_in_one_range(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1001-1010', Workbench::png())
            ->put('TC_010.1002.png', '')
            ->put('TC_010.1005.png', Workbench::png(32, 18))
            ->without('TC_010.1008.png');

        self::assertContains(['kind' => 'render', 'frames' => '1002-1008x3', 'count' => 3], self::fixes($bench));
    }

    public function test_what_is_only_arriving_is_waited_for(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1001-1004', Workbench::png(), 15);

        self::assertSame([['kind' => 'wait']], self::fixes($bench));
    }

    public function test_moves_and_what_is_set_aside(): void
    {
        $bench = (new Workbench)->frames('out/TC_010.%04d.png', '1001-1010', Workbench::png())->put('notes.txt', 'x');

        self::assertSame([
            ['kind' => 'set-aside', 'from' => 'notes.txt', 'count' => 1],
            [
                'kind' => 'move', 'from' => 'out', 'to' => 'TC_010', 'files' => 'TC_010.####.png',
                'frames' => '1001-1010', 'count' => 10,
            ],
        ], self::fixes($bench, ['naming.folder' => '{shot}'] + self::REQUIRE));
    }

    public function test_what_needs_no_render_is_retagged_or_saved_again(): void
    {
        $bench = (new Workbench)->frames(
            'TC_010.%04d.exr',
            '1001-1010',
            Workbench::exr(compression: 'none', rate: [25, 1], pixelAspect: 2.0),
        );
        $fixes = self::fixes(
            $bench,
            [
                'format.kind' => 'exr',
                'format.compression' => 'zip',
                'time.rate' => 24,
                'picture.pixel_aspect' => 1,
            ] + self::REQUIRE,
        );

        self::assertSame(['retag', 'retag', 'encode'], array_column($fixes, 'kind'));
        self::assertNotContains('render', array_column($fixes, 'kind'));
    }

    public function test_what_holds_it_up_in_a_few_words(): void
    {
        $says = static fn (Workbench $bench, array $require = self::REQUIRE): string => BlockerSummary::inWords(
            CheckReport::of(Workbench::specification($require), null, $bench->scan()),
        );
        $png = Workbench::png();

        self::assertSame('balances', $says((new Workbench)->frames('TC_010.%04d.png', '1001-1010', $png)));
        self::assertSame('4 frames to render', $says((new Workbench)->frames('TC_010.%04d.png', '1001-1006', $png)));
        self::assertSame('1 frame to render', $says((new Workbench)->frames('TC_010.%04d.png', '1001-1009', $png)));
        // again is what lies there already
        self::assertSame(
            '10 frames to render again',
            $says((new Workbench)->frames('TC_010.%04d.png', '1001-1010', Workbench::png(32, 18))),
        );
        self::assertSame(
            '10 frames to render',
            $says((new Workbench)->frames('TC_010.%04d.png', '1001-1006', Workbench::png(32, 18))),
        );
        self::assertSame(
            '1 frame to render again',
            $says(
                (new Workbench)->frames('TC_010.%04d.png', '1001-1010', $png)->put(
                    'TC_010.1004.png',
                    substr($png, 0, 40),
                ),
            ),
        );
        self::assertSame('10 files to rename', $says((new Workbench)->frames('TC-010.%05d.png', '1001-1010', $png)));
        self::assertSame('nothing delivered', $says(new Workbench));
        self::assertSame('still arriving', $says((new Workbench)->frames('TC_010.%04d.png', '1001-1006', $png, 5)));
        self::assertSame(
            '1 file left over',
            $says((new Workbench)->frames('TC_010.%04d.png', '1001-1010', $png)->put('x.txt', 'x')),
        );
        $scene = CheckReport::of(
            Workbench::specification(['time.rate' => 24, 'camera.single' => 'yes']),
            Workbench::scene(['time.rate' => 25, 'camera.chosen' => []]),
            null,
        );
        self::assertSame('scene, 2 causes', BlockerSummary::inWords($scene));
        self::assertSame(
            '1 line not told',
            BlockerSummary::inWords(
                CheckReport::of(Workbench::specification(['time.rate' => 24]), Workbench::scene([]), null),
            ),
        );
    }

    public function test_reports_never_let_names_do_harm(): void
    {
        $bench = (new Workbench)->frames('TC_010.%04d.png', '1001-1010', Workbench::png())
            ->put("=cmd|' /C calc'!A0.txt", 'x')
            ->put("\e[2Jred]]>&<.txt", 'x')
            ->put("bad\xFF.txt", 'x');
        $account = CheckReport::of(
            Workbench::specification(
                ['camera.name' => '=2+3'] + self::REQUIRE,
                ['title' => "T\e[2J<&>", 'delivers' => 'frames', 'values' => ['shot' => 'TC_010']],
            ),
            Workbench::scene(['camera.name' => "=1+1\r\n"]),
            $bench->scan(),
        );
        $text = (new TextReport)->write($account);
        $csv = (new CsvReport)->write($account);
        $xml = (new JunitReport)->write($account);

        self::assertStringNotContainsString("\e", $text.$csv.$xml);
        self::assertTrue(mb_check_encoding($text.$csv.$xml, 'UTF-8'));
        self::assertStringContainsString("'=2+3", $csv);
        self::assertDoesNotMatchRegularExpression('~(^|,)=~m', $csv);
        self::assertNotFalse(simplexml_load_string($xml));
    }
}
