<?php

declare(strict_types=1);

namespace Tests\Core\Checking;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checking\EarlierFiles;
use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Checking\Waiver;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Report\CheckComparison;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\JunitReport;
use PlainLedger\Core\Report\TextReport;
use PlainLedger\Core\Scene\EffectiveSettings;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Specification;
use Tests\Core\Support\Workbench;

/** Lines that are accepted as they are; what must not be written over; what has become of a check since. */
final class WaiverTest extends TestCase
{
    private static function entry(CheckReport $account, string $id): Entry
    {
        return array_values(array_filter($account->check->entries, static fn (Entry $e): bool => $e->id() === $id))[0];
    }

    /** @return list<string> */
    private static function causes(CheckReport $account): array
    {
        return array_map(static fn (Cause $c): string => $c->finding->id->value, $account->causes);
    }

    public function test_an_accepted_line_balances_and_has_no_cause(): void
    {
        $asked = Workbench::specification(['picture.resolution' => '64x36', 'time.rate' => 24]);
        $scene = Workbench::scene(['picture.resolution' => '64x36', 'picture.scale' => 50, 'time.rate' => 25]);
        $before = CheckReport::of($asked, $scene, null);
        self::assertSame(['scale-below-full', 'rate-of-another-standard'], self::causes($before));

        $waiver = Waiver::of(self::entry($before, 'time.rate'), 'agreed with the museum', 'Odile');
        $after = CheckReport::of($asked, $scene, null, [$waiver]);
        self::assertSame(
            [Verdict::Unbalanced, Mark::Waived, ['scale-below-full']],
            [$after->check->verdict, self::entry($after, 'time.rate')->mark, self::causes($after)],
        );
        self::assertSame([1, 2], $after->check->balance());

        $both = CheckReport::of(
            $asked,
            $scene,
            null,
            [$waiver, Waiver::of(self::entry($before, 'picture.resolution'), 'a preview will do')],
        );
        self::assertSame(
            [Verdict::Balanced, [], []],
            [$both->check->verdict, self::causes($both), $both->remedy->fixes],
        );
        $document = $both->toArray();
        self::assertSame(
            [['mark' => 'waived', 'found' => '32x18'], ['reason' => 'a preview will do']],
            [$document['entries'][0]['scene'], $document['entries'][0]['waiver']],
        );
        self::assertStringContainsString(
            '≈ Frame rate: agreed with the museum (Odile)',
            (new TextReport)->write($both),
        );
        self::assertStringContainsString('≈ 25', (new TextReport)->write($both));
        self::assertStringContainsString('failures="0"', (new JunitReport)->write($both));
    }

    public function test_it_ends_when_the_value_or_what_is_asked_changes(): void
    {
        $asked = Workbench::specification(['time.rate' => 24]);
        $waiver = Waiver::of(
            self::entry(CheckReport::of($asked, Workbench::scene(['time.rate' => 25]), null), 'time.rate'),
            'agreed',
        );
        $mark = static fn (Specification $asked, SceneSettings $scene): Mark => self::entry(
            CheckReport::of($asked, $scene, null, [$waiver]),
            'time.rate',
        )->mark;

        self::assertSame(Mark::Waived, $mark($asked, Workbench::scene(['time.rate' => '25/1'])));
        self::assertSame(Mark::Unequal, $mark($asked, Workbench::scene(['time.rate' => 30])));
        self::assertSame(
            Mark::Unequal,
            $mark(Workbench::specification(['time.rate' => 48]), Workbench::scene(['time.rate' => 25])),
        );
        self::assertSame(Mark::Equal, $mark($asked, Workbench::scene(['time.rate' => 24])));
        self::assertSame(Mark::Unknown, $mark($asked, Workbench::scene([])));
    }

    public function test_of_a_scene_it_holds_for_files_that_show_the_same_and_for_no_others(): void
    {
        $bench = (new Workbench)->frames('a.%04d.png', '1-4', Workbench::png(32, 18));
        $asked = Workbench::specification(
            ['picture.resolution' => '64x36', 'time.range' => '1-4', 'naming.pattern' => 'a.{frame:4}.{ext}'],
        );
        $scene = Workbench::scene(
            ['picture.resolution' => '32x18', 'time.range' => '1-4', 'naming.pattern' => 'a.####.png'],
        );
        $waiver = Waiver::of(
            self::entry(CheckReport::of($asked, $scene, null), 'picture.resolution'),
            'half is enough',
        );

        self::assertSame(Verdict::Balanced, CheckReport::of($asked, $scene, $bench->scan(), [$waiver])->check->verdict);
        $bench->put('a.0002.png', Workbench::png(16, 9));
        $mixed = CheckReport::of($asked, $scene, $bench->scan(), [$waiver]);
        self::assertSame(
            [Mark::Unequal, '1-4'],
            [self::entry($mixed, 'picture.resolution')->mark, (string) $mixed->remedy->rerender['frames'][0]],
        );
    }

    public function test_accepted_missing_and_damaged_frames_are_not_rendered_again(): void
    {
        $bench = (new Workbench)->frames('a.%04d.png', '1-8', Workbench::png())
            ->without('a.0003.png')
            ->put('a.0006.png', substr(Workbench::png(), 0, 60));
        $asked = Workbench::specification(
            ['time.range' => '1-8', 'content.whole' => 'yes', 'naming.pattern' => 'a.{frame:4}.{ext}'],
        );
        $before = CheckReport::of($asked, null, $bench->scan());
        self::assertSame('3,6', (string) $before->remedy->rerender['frames'][0]);
        $range = Waiver::of(self::entry($before, 'time.range'), 'cut from the film');
        self::assertSame(
            '6',
            (string) CheckReport::of($asked, null, $bench->scan(), [$range])->remedy->rerender['frames'][0],
        );
        $all = CheckReport::of(
            $asked,
            null,
            $bench->scan(),
            [$range, Waiver::of(self::entry($before, 'content.whole'), 'never shown')],
        );
        self::assertSame([Verdict::Balanced, ''], [$all->check->verdict, (string) $all->remedy->rerender['frames'][0]]);
    }

    public function test_a_should_and_a_line_of_another_part_are_not_touched(): void
    {
        $parts = Workbench::specification(
            [],
            [
                'require' => ['time.rate' => 24],
                'parts' => [
                    ['name' => 'a', 'delivers' => 'frames', 'require' => []],
                    ['name' => 'b', 'delivers' => 'frames', 'require' => []],
                ],
            ],
        );
        $scene = Workbench::scene([])->withOutputs(
            [Workbench::scene(['time.rate' => 25])->making('a'), Workbench::scene(['time.rate' => 25])->making('b')],
        );
        $waiver = Waiver::of(CheckReport::of($parts, $scene, null)->check->entries[1], 'b alone');
        self::assertSame(
            [Mark::Unequal, Mark::Waived],
            array_map(
                static fn (Entry $e): Mark => $e->mark,
                CheckReport::of($parts, $scene, null, [$waiver])->check->entries,
            ),
        );
    }

    public function test_good_files_of_before_are_not_written_over(): void
    {
        $bench = (new Workbench)->frames('a.%04d.png', '1-8', Workbench::png())
            ->without('a.0003.png')
            ->put('a.0006.png', '');
        $asked = Workbench::specification(
            [
                'time.range' => '1-8',
                'content.whole' => 'yes',
                'naming.pattern' => 'a.{frame:4}.{ext}',
                'output.overwrites' => 'no',
            ],
        );
        $delivered = CheckReport::of($asked, null, $bench->scan());
        $earlier = EarlierFiles::of($delivered->check, $delivered->remedy->rerender, 'TC_010/v003');
        $check = static fn (
            string $range,
            string $name = 'a.####.png',
            string $folder = 'renders/TC_010/v003',
            array $more = [],
        ): CheckReport => CheckReport::of(
            $asked,
            Workbench::scene($more + ['time.range' => $range, 'naming.pattern' => $name, 'output.folder' => $folder]),
            null,
            [],
            $earlier,
        );
        $cell = static fn (CheckReport $account): array => [
            self::entry($account, 'output.overwrites')->mark,
            self::entry($account, 'output.overwrites')->scene?->found,
        ];

        self::assertSame([Mark::Unequal, 'yes, 6 files: 1-2,4-5,7-8'], $cell($all = $check('1-8')));
        self::assertContains('fixed-name-overwrites', self::causes($all));
        self::assertStringContainsString('6 files: 1-2,4-5,7-8', $all->causes[0]->finding->says);
        // frames that are due again may be written again
        self::assertSame([Mark::Equal, 'no'], $cell($check('3,6')));
        self::assertSame([Mark::Equal, 'no'], $cell($check('1-8', folder: 'renders/TC_010/v004')));
        self::assertSame([Mark::Equal, 'no'], $cell($check('1-8', name: 'b.####.png')));
        self::assertSame([Mark::Equal, 'no'], $cell($check('1-8', more: ['output.overwrites' => 'no'])));
        self::assertSame([Mark::Unequal, 'yes'], $cell($check('1-8', more: ['output.overwrites' => 'yes'])));
        // one name for all overwrites itself
        $one = $check('1-8', name: 'a.png');
        self::assertSame([Mark::Unequal, 'yes, one name for all frames'], $cell($one));
        self::assertSame(
            ['fixed-name-overwrites'],
            array_values(array_intersect(['fixed-name-overwrites'], self::causes($one))),
        );
        // where nothing is known of before it is not guessed
        $alone = CheckReport::of(
            $asked,
            Workbench::scene(['time.range' => '1-8', 'naming.pattern' => 'a.####.png', 'output.folder' => 'v003']),
            null,
        );
        self::assertSame(Mark::Unknown, self::entry($alone, 'output.overwrites')->mark);
    }

    public function test_what_has_become_of_it_since(): void
    {
        $asked = Workbench::specification(
            [
                'picture.resolution' => '64x36',
                'time.rate' => 24,
                'time.range' => '1-8',
                'camera.name' => 'cam_a',
                'format.kind' => 'png',
            ],
        );
        $settings = [
            'picture.resolution' => '64x36', 'time.rate' => 24, 'time.range' => '1-8', 'camera.chosen' => ['cam_a'],
            'format.kind' => 'png', 'render.samples' => 128, 'camera.placement' => '0, 0, 5', 'camera.lens' => '35',
        ];
        $first = Workbench::scene(['time.rate' => 25, 'picture.scale' => 50] + $settings);
        $second = Workbench::scene(
            ['format.kind' => 'exr', 'render.samples' => 64, 'camera.placement' => '0, 0, 6'] + $settings,
        );
        $third = Workbench::scene(['time.rate' => 25] + $settings);
        $documents = array_map(
            static fn (SceneSettings $s): array => CheckReport::of($asked, $s, null)->toArray(),
            [$first, $second, $third],
        );

        $since = CheckComparison::of($documents[1], [$documents[0]], $second, $first);
        self::assertSame(
            [['Resolution', 'Frame rate'], ['Format'], [], []],
            [$since->putRight, $since->new, $since->back, $since->still],
        );
        // what was asked for is no surprise; the camera that moved and the samples are
        self::assertSame(
            [
                'format.kind' => ['png', 'exr'],
                'render.samples' => ['128', '64'],
                'camera.placement' => ['0, 0, 5', '0, 0, 6'],
            ],
            array_combine(
                array_column($since->unasked, 'id'),
                array_map(static fn (array $u): array => [$u['from'], $u['to']], $since->unasked),
            ),
        );

        $again = CheckComparison::of($documents[2], [$documents[1], $documents[0]], $third, $second);
        self::assertSame([['Format'], [], ['Frame rate']], [$again->putRight, $again->new, $again->back]);
        $waived = CheckReport::of(
            $asked,
            $first,
            null,
            [Waiver::of(self::entry(CheckReport::of($asked, $first, null), 'time.rate'), 'agreed')],
        )->toArray();
        $accepted = CheckComparison::of($waived, [$documents[0]]);
        self::assertSame(
            [[], ['Frame rate'], ['Resolution']],
            [$accepted->putRight, $accepted->accepted, $accepted->still],
        );
        $same = CheckComparison::of($documents[0], [$documents[0]], $first, $first);
        self::assertSame(
            [[], [], [], [], ['Resolution', 'Frame rate'], []],
            [$same->putRight, $same->accepted, $same->new, $same->back, $same->still, $same->unasked],
        );
    }

    public function test_what_settings_come_to(): void
    {
        $asked = Workbench::specification(
            ['picture.resolution' => '64x36', 'naming.pattern' => '{shot}.{frame:4}.{ext}', 'format.kind' => 'png'],
        );
        $says = static fn (array $settings): array => array_column(
            EffectiveSettings::of(Workbench::scene($settings), $asked, $asked->parts[0]),
            'says',
            'id',
        );

        self::assertSame([
            'picture.resolution' => '1999x1001 at 50 %: 1000x501 pixels',
            'time.range' => '1001-1009x2: 5 frames, every 2nd alone, 0.209 s at 24000/1001',
            'camera.name' => 'cam_a; not cam_b', 'naming.pattern' => 'renders/x/TC_010.1001.png … TC_010.1009.png',
        ], $says([
            'picture.resolution' => '1999x1001',
            'picture.scale' => 50,
            'time.range' => '1001-1010',
            'time.step' => 2,
            'time.rate' => '23.976',
            'camera.chosen' => ['cam_a'],
            'camera.all' => ['cam_a', 'cam_b'],
            'output.folder' => 'renders/x',
            'naming.pattern' => '{shot}.%04d.{ext}',
        ]));
        self::assertSame(
            [
                'picture.resolution' => '64x36 pixels',
                'time.range' => '7: 1 frame, since one frame alone is set',
                'camera.name' => 'top, a working view; not cam_a',
                'naming.pattern' => 'still.png',
            ],
            $says(
                [
                    'picture.resolution' => '64x36', 'time.extent' => 'one', 'time.range' => '7-9',
                    'camera.chosen' => ['top'], 'camera.all' => ['cam_a'], 'camera.views' => ['top'],
                    'naming.pattern' => 'still.png',
                ],
            ),
        );
        self::assertSame([], $says([]));
    }
}
