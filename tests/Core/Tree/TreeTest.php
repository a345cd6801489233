<?php

declare(strict_types=1);

namespace Tests\Core\Tree;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Tree\OwedDelivery;
use PlainLedger\Core\Tree\OwnerWords;
use PlainLedger\Core\Tree\TreeCheck;
use PlainLedger\Core\Tree\TreeReport;
use PlainLedger\Core\Tree\TreeRow;
use PlainLedger\Core\Tree\TreeUnit;
use PlainLedger\Core\Tree\Writers\TreeCsv;
use PlainLedger\Core\Tree\Writers\TreeJson;
use PlainLedger\Core\Tree\Writers\TreeJunit;
use PlainLedger\Core\Tree\Writers\TreeText;
use Tests\Core\Support\Workbench;

/** One delivered tree, many deliverables: whose is what, and is it judged as if it had come alone. */
final class TreeTest extends TestCase
{
    private const ENCODERS = __DIR__.'/../../fixtures/encoders/';

    /**
     * @param  array<string, mixed>  $require
     * @param  array<string, mixed>  $more
     */
    private static function shot(string $code, array $require = [], array $more = []): OwedDelivery
    {
        $require += [
            'picture.resolution' => '64x36', 'time.range' => '1-4', 'format.kind' => 'png',
            'naming.pattern' => '{shot}_v{version:3}.{frame:4}.{ext}',
        ];

        return new OwedDelivery("{$code}.json", Workbench::specification($require, $more + [
            'title' => '', 'values' => ['shot' => $code, 'version' => 3],
        ]));
    }

    /**
     * @param  list<OwedDelivery>  $owed
     * @param  array<string, string>  $byHand
     */
    private static function checked(Workbench $bench, array $owed, array $byHand = []): TreeReport
    {
        $listing = PlaceListing::of($bench->folder);
        $check = new TreeCheck($owed, $listing, Probe::standard(), static fn (): array => []);

        return $check->of((new Scan($listing, Probe::standard()))->run(time()), $byHand);
    }

    /** @return array<string, array{string, int}> what it says and how many files, by code */
    private static function rows(TreeReport $tree): array
    {
        $rows = [];
        foreach ($tree->rows as $row) {
            $rows[(string) $row->owed->code()] = [$row->says(), $row->files];
        }

        return $rows;
    }

    /**
     * @param  list<TreeUnit>  $units
     * @return list<string>
     */
    private static function places(array $units): array
    {
        return array_map(static fn (TreeUnit $unit): string => $unit->place(), $units);
    }

    private static function frames(Workbench $bench, string $format, string $range = '1-4'): Workbench
    {
        return $bench->frames($format, $range, Workbench::png(64, 36));
    }

    public function test_each_sequence_goes_where_its_code_says_however_it_is_written(): void
    {
        $bench = new Workbench;
        foreach ([
            'TC_010/TC_010_v003.%04d.png', 'TC_020_v003.%04d.png', 'all/TC_030_v003.%04d.png',
            'TC-040_v003.%04d.png', 'tc 50/beauty.%04d.png', 'TC060_v003.%04d.png',
        ] as $format) {
            self::frames($bench, $format);
        }
        $owed = array_map(self::shot(...), ['TC_010', 'TC_020', 'TC_030', 'TC_040', 'TC_050', 'TC_060', 'TC_070']);
        $tree = self::checked($bench, $owed);

        $rows = self::rows($tree);
        self::assertSame([4, 4, 4, 4, 4, 4, 0], array_column($rows, 1));
        self::assertSame(['balances', 4], $rows['TC_010']);
        self::assertSame(['balances', 4], $rows['TC_030']);
        self::assertSame('4 files to rename', $rows['TC_040'][0]);
        self::assertSame('nothing delivered', $rows['TC_070'][0]);
        self::assertSame([], $tree->assignment->none);
        self::assertSame([], $tree->assignment->several);
    }

    public function test_a_code_within_another_is_not_taken_for_it(): void
    {
        $owed = array_map(self::shot(...), ['TC_010', 'TC_010_B', 'TC_01', 'TC_100']);
        $words = OwnerWords::of($owed);
        foreach ([
            'TC_010_v003.1001.png' => ['TC_010.json'],
            'TC_010_B_v003.1001.png' => ['TC_010_B.json'],
            'TC_010B.png' => ['TC_010_B.json'],
            'tc100/x.png' => ['TC_100.json'],
            'xTC_100.png' => [],
            'TC_1000.png' => [],
            'TC_010 and TC_100' => ['TC_010.json', 'TC_100.json'],
        ] as $text => $keys) {
            $found = array_intersect($words->in($text), ['TC_010.json', 'TC_010_B.json', 'TC_100.json']);
            sort($found);
            self::assertSame($keys, $found, $text);
        }
    }

    public function test_a_name_says_more_than_the_folder_it_lies_in(): void
    {
        $bench = self::frames(new Workbench, 'TC_010/TC_020_v003.%04d.png');
        $rows = self::rows(self::checked($bench, [self::shot('TC_010'), self::shot('TC_020')]));
        self::assertSame([['nothing delivered', 0], ['balances', 4]], array_values($rows));
    }

    public function test_of_one_shot_the_task_whose_pattern_makes_the_name_has_it(): void
    {
        $task = static fn (string $task, string $kind): OwedDelivery => new OwedDelivery(
            $task,
            Workbench::specification(
                ['naming.pattern' => '{shot}_{task}.{frame:4}.{ext}', 'format.kind' => $kind, 'time.range' => '1-4'],
                ['title' => '', 'values' => ['shot' => 'TC_010', 'task' => $task]],
            ),
        );
        $bench = self::frames(new Workbench, 'TC_010_light.%04d.png');
        self::frames($bench, 'TC_010_comq.%04d.png');
        $tree = self::checked($bench, [$task('light', 'png'), $task('comp', 'png'), $task('matte', 'exr')]);
        self::assertSame(['balances', '4 files to rename', 'nothing delivered'], array_map(
            static fn (TreeRow $row): string => $row->says(),
            $tree->rows,
        ));
    }

    public function test_learners_are_found_by_their_names_and_folders(): void
    {
        $owed = [];
        foreach (['ada', 'ben', 'cleo', 'adam'] as $learner) {
            $owed[] = new OwedDelivery($learner, Workbench::specification(
                [
                    'naming.pattern' => '{learner}_vane_{frame:4}.{ext}', 'format.kind' => 'png',
                    'time.range' => '1-4', 'picture.resolution' => '64x36',
                ],
                ['title' => 'Weathervane', 'values' => ['learner' => $learner]],
            ));
        }
        $bench = self::frames(new Workbench, 'ada/ada_vane_%04d.png');
        self::frames($bench, 'Ben final/render%d.png');
        self::frames($bench, 'adam_vane_%04d.png');
        $bench->put('Ben final/notes.txt', 'late, sorry');
        $rows = self::rows(self::checked($bench, $owed));
        self::assertSame(['balances', 4], $rows['ada']);
        self::assertSame(['balances', 4], $rows['adam']);
        self::assertSame(5, $rows['ben'][1]);
        self::assertStringContainsString('to rename', $rows['ben'][0]);
        self::assertSame(0, $rows['cleo'][1]);
    }

    public function test_single_files_with_a_code_are_no_frames_of_one_sequence(): void
    {
        $bench = new Workbench;
        $owed = [];
        foreach (['TC_010', 'TC_020', 'TC_030'] as $code) {
            $bench->put("{$code}_poster.png", Workbench::png(64, 36));
            $owed[] = new OwedDelivery($code, Workbench::specification(
                ['naming.pattern' => '{shot}_poster.{ext}', 'format.kind' => 'png', 'picture.resolution' => '64x36'],
                ['delivers' => 'still', 'title' => '', 'values' => ['shot' => $code]],
            ));
        }
        $bench->put('TC_020_preview.mov', (string) file_get_contents(self::ENCODERS.'other.mov'));
        $rows = self::rows(self::checked($bench, $owed));
        self::assertSame([1, 2, 1], array_column($rows, 1));
        self::assertSame('balances', $rows['TC_010'][0]);
    }

    public function test_what_fits_two_is_told_and_can_be_assigned(): void
    {
        $plain = static fn (string $key): OwedDelivery => new OwedDelivery($key, Workbench::specification(
            ['naming.pattern' => 'frame.{frame:4}.{ext}', 'format.kind' => 'png', 'time.range' => '1-4'],
            ['title' => $key, 'values' => []],
        ));
        $bench = self::frames(new Workbench, 'a/frame.%04d.png');
        self::frames($bench, 'b/frame.%04d.png');
        self::frames($bench, 'c/else_%d.png');
        $owed = [$plain('first'), $plain('second')];
        $tree = self::checked($bench, $owed);
        self::assertSame(['a/frame.####.png', 'b/frame.####.png'], self::places($tree->assignment->several));
        self::assertSame(['first', 'second'], $tree->assignment->several[0]->candidates);
        self::assertSame(['c/else_#.png'], self::places($tree->assignment->none));

        $tree = self::checked($bench, $owed, ['a/frame.####.png' => 'first', 'b/frame.####.png' => 'second']);
        self::assertSame([4, 4], [$tree->rows[0]->files, $tree->rows[1]->files]);
        self::assertSame([], $tree->assignment->several);
        $tree = self::checked($bench, $owed, ['a/frame.####.png' => '', 'b/frame.####.png' => 'nobody known']);
        self::assertSame([0, 0], [$tree->rows[0]->files, $tree->rows[1]->files]);
        self::assertCount(3, $tree->assignment->none);
    }

    /** Whatever is asked of folders, pixels and sums, a row says what a check of that folder alone would say. */
    public function test_a_row_says_what_a_check_of_its_folder_alone_says(): void
    {
        mt_srand(21);
        $black = Workbench::png(64, 36);
        for ($case = 0; $case < 25; $case++) {
            $bench = new Workbench;
            $owed = [];
            foreach (['TC_010', 'TC_020', 'TC_030'] as $code) {
                $owed[] = self::shot($code, self::pick([
                    [], ['naming.folder' => '{pass}', 'passes' => ['beauty', 'mist']], ['content.black' => 'none'],
                    ['naming.folder' => '.'], ['delivery.extras' => 'none'], ['delivery.checksums' => 'present'],
                ]));
                foreach (self::pick([['beauty', 'mist'], [''], ['beauty']]) as $below) {
                    $folder = $code.($below === '' ? '' : "/{$below}");
                    $format = "{$folder}/{$code}_v00".mt_rand(2, 3).'.%04d.png';
                    $bench->frames($format, self::pick(['1-4', '1-3', '2-5']), $black);
                }
                $bench->put("{$code}/notes.txt", 'x');
            }
            $tree = self::checked($bench, $owed);
            foreach ($tree->rows as $row) {
                $alone = PlaceListing::of($bench->folder.'/'.$row->owed->code());
                self::assertSame(
                    self::alone($row->owed->specification, $alone),
                    [$row->report->check->verdict, $row->says()],
                    "case {$case}, {$row->owed->key}",
                );
            }
        }
    }

    /** @return array{mixed, string} */
    private static function alone(Specification $specification, \PlainLedger\Core\Delivery\Listing $listing): array
    {
        $sampler = \PlainLedger\Core\Checking\Rules\PixelRules::sampler($specification);
        $sums = \PlainLedger\Core\Checking\Rules\ChecksumsRule::isAskedBy($specification);
        $scan = new Scan($listing, Probe::standard(), sampler: $sampler, sums: $sums);
        $report = CheckReport::of($specification, null, $scan->run(time()), others: [
            'shot' => array_values(array_diff(
                ['TC_010', 'TC_020', 'TC_030'],
                [(string) $specification->values['shot']],
            )),
        ]);

        return [$report->check->verdict, \PlainLedger\Core\Report\BlockerSummary::inWords($report)];
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    private static function pick(array $of): mixed
    {
        return $of[mt_rand(0, count($of) - 1)];
    }

    public function test_a_folder_that_is_asked_from_the_trees_root_on_is_found_there(): void
    {
        $bench = self::frames(new Workbench, 'shots/TC_010/TC_010_v003.%04d.png');
        $tree = self::checked($bench, [self::shot('TC_010', ['naming.folder' => 'shots/{shot}'])]);
        self::assertSame('balances', $tree->rows[0]->says());
        $tree = self::checked($bench, [self::shot('TC_010', ['naming.folder' => 'frames'])]);
        self::assertSame('4 files to move', $tree->rows[0]->says());
    }

    public function test_every_form_tells_rows_totals_and_what_is_nobodys(): void
    {
        $bench = self::frames(new Workbench, 'TC_010_v003.%04d.png');
        self::frames($bench, 'TC_020_v003.%04d.png', '1-2');
        self::frames($bench, 'scrap_%d.png');
        $tree = self::checked($bench, [self::shot('TC_010'), self::shot('TC_020')]);

        $json = (array) json_decode((new TreeJson)->write($tree), true);
        self::assertSame(['plain-ledger/tree', 'unbalanced'], [$json['format'], $json['verdict']]);
        self::assertSame(
            [2, 1, 1, 0, 0, 2, 6, 0, 4],
            array_values((array) $json['totals']),
        );
        self::assertSame('scrap_#.png', $json['nobody_asked'][0]['pattern'] ?? null);
        self::assertSame('render-stopped', $json['deliverables'][1]['check']['causes'][0]['id'] ?? null);

        $text = (new TreeText)->write($tree);
        self::assertStringStartsWith("≠ TC_020  2 frames to render\n", $text);
        self::assertStringContainsString('= TC_010  balances', $text);
        self::assertStringContainsString("Nobody asked for:\n  scrap_#.png 1-4", $text);
        self::assertStringEndsWith("2 deliverables: 1 balanced, 1 unbalanced, 0 open, 2 frames missing.\n", $text);

        $csv = explode("\n", trim((new TreeCsv)->write($tree)));
        self::assertCount(4, $csv);
        self::assertStringContainsString('TC_020,TC_020.json,unbalanced,2 frames to render', $csv[2]);

        $junit = new \SimpleXMLElement((new TreeJunit)->write($tree));
        self::assertSame(['2', '1'], [(string) $junit->testsuite['tests'], (string) $junit->testsuite['failures']]);
    }
}
