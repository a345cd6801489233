<?php

declare(strict_types=1);

namespace Tests\Core\Shotlist;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Shotlist\Column;
use PlainLedger\Core\Shotlist\DueDate;
use PlainLedger\Core\Shotlist\ExistingDeliverable;
use PlainLedger\Core\Shotlist\ListedPerson;
use PlainLedger\Core\Shotlist\ListPlan;
use PlainLedger\Core\Shotlist\PlannedRow;
use PlainLedger\Core\Shotlist\Readers\CsvTable;
use PlainLedger\Core\Shotlist\RowAction;
use PlainLedger\Core\Shotlist\ShotRow;
use PlainLedger\Core\Shotlist\ShotRowReader;
use PlainLedger\Core\Shotlist\Writers\ShotlistCsv;
use PlainLedger\Core\Tabular\Table;
use PlainLedger\Core\Tabular\TableRefused;

/** Lists of deliverables as people keep them. */
final class ListsTest extends TestCase
{
    /** @return list<ShotRow> */
    private static function rows(string $csv): array
    {
        $table = CsvTable::read($csv, 'list.csv');
        $columns = Column::guessAll($table->headings);

        return array_map(
            static fn (array $cells, int $line): ShotRow => ShotRowReader::read($line, $cells, $columns),
            $table->rows,
            $table->lines,
        );
    }

    public function test_a_list_of_shots(): void
    {
        [$a, $b] = self::rows(
            'Shot Code,Frame Range,Handles,Camera,Ver,Owner,Due '
                ."Date\r\nTC_010,1001-1096,8,cam_quay,v003,Ansel,2026-12-01\r\n\r\nTC_020,\"1001-1040, "
                ."1050\",4+8,,,,\r\n",
        );

        self::assertSame(
            ['TC_010', 'Ansel', '2026-12-01 23:59', [], 2],
            [$a->code, $a->details->owner, $a->details->due, $a->faults, $a->line],
        );
        self::assertSame(
            ['time.range' => '1001-1096', 'time.handles' => '8+8', 'camera.name' => 'cam_quay'],
            $a->overrides,
        );
        self::assertSame(['version' => '003'], $a->values);
        self::assertSame(112, $a->frames());
        self::assertSame(
            [4, '1001-1040,1050', '4+8', []],
            [$b->line, $b->overrides['time.range'], $b->overrides['time.handles'], $b->values],
        );
    }

    /** @return iterable<string, array{string, array<string, string>}> */
    public static function shapes(): iterable
    {
        $asked = ['time.range' => '1001-1096'];
        yield 'first and last' => ["shot;first;last\nA;1001;1096\n", $asked];
        yield 'in and out by tab' => ["Shot\tIn\tOut\nA\t1001\t1096\n", $asked];
        yield 'first and a count' => ["shot|start frame|duration\nA|1001|96\n", $asked];
        yield 'first and how many' => ["shot,first,frames\nA,1001,96\n", $asked];
        yield 'first, last and how many' => ["shot,first,last,frames\nA,1001,1096,96\n", $asked];
        yield 'a title above' => ["Tide Clock,,\nprinted today,,\nshot,range,note\nA,1001-1096,x\n", $asked];
        yield 'merged headings' => ["Shot,Frames,,Due\n,first,last,\nA,1001,1096,2026-12-01\n", $asked];
        yield 'old line ends' => ["shot,range\rA,1001-1096\r", $asked];
        yield 'requirements by id and by name' => [
            "shot,range,picture.resolution,Bit depth\nA,1001-1096,1920 x 1080,16\n",
            $asked + ['picture.resolution' => '1920x1080', 'format.bit_depth' => '16'],
        ];
        yield 'handles apart' => ["shot,range,head,tail\nA,1001-1096,8,4\n", $asked + ['time.handles' => '8+4']];
        yield 'rate' => ["shot,range,fps\nA,1001-1096,23.98\n", $asked + ['time.rate' => '24000/1001']];
        yield 'commas in quotes' => ["shot,title,range\n\"A\",\"fog, at dawn; \"\"grey\"\"\",1001-1096\n", $asked];
        yield 'names of shots' => ["Name,First,Last\nA,1001,1096\n", $asked];
        yield 'a name beside a code is its owner’s' => ["Shot,Name,Range\nA,Ansel,1001-1096\n", $asked];
        yield 'negative frames' => ["shot,first,last\nA,-5,10\n", ['time.range' => '-5-10']];
    }

    /** @param  array<string, string>  $asked */
    #[DataProvider('shapes')]
    public function test_the_same_in_many_shapes(string $csv, array $asked): void
    {
        $row = self::rows($csv)[0];
        self::assertSame(['A', [], $asked], [$row->code, $row->faults, $row->overrides]);
    }

    public function test_whatever_the_encoding(): void
    {
        $csv = "shot,title,range\nA,Nebelbänke,1-2\n";
        foreach ([
            $csv,
            "\xEF\xBB\xBF{$csv}",
            "\xFF\xFE".mb_convert_encoding($csv, 'UTF-16LE', 'UTF-8'),
            "\xFE\xFF".mb_convert_encoding($csv, 'UTF-16BE', 'UTF-8'),
            mb_convert_encoding($csv, 'Windows-1252', 'UTF-8'),
        ] as $bytes) {
            self::assertSame('Nebelbänke', self::rows($bytes)[0]->details->title);
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function faulty(): iterable
    {
        yield 'no code' => ["shot,range\n,1-2\n", 'it has no code'];
        yield 'a path' => ["shot,range\n../x,1-2\n", 'is no code'];
        yield 'markup' => ["shot,range\n<b>x</b>,1-2\n", 'is no code'];
        yield 'a formula as a code' => ["shot,range\n=1+1,1-2\n", 'is no code'];
        yield 'a formula as a range' => ["shot,range\nA,=B1\n", 'range'];
        yield 'a range backwards' => ["shot,range\nA,9-1\n", 'ends before it starts'];
        yield 'one end alone' => ["shot,first\nA,1\n", 'only one end'];
        yield 'no frames' => ["shot,first,count\nA,1,0\n", 'is none'];
        yield 'no number' => ["shot,first,last\nA,one,2\n", 'frame number'];
        yield 'absurd' => ["shot,range\nA,1-1000000000000\n", 'frame range: '];
        yield 'no date' => ["shot,due\nA,soon\n", 'due'];
        yield 'two dates' => ["shot,due\nA,1/2/2026\n", 'could be two days'];
        yield 'handles' => ["shot,handles\nA,many\n", 'handles: '];
        yield 'a size of nothing' => ["shot,resolution\nA,0x0\n", 'resolution: '];
    }

    #[DataProvider('faulty')]
    public function test_what_is_wrong_with_a_row_is_said_of_it(string $csv, string $says): void
    {
        $row = self::rows($csv)[0];
        self::assertStringContainsString($says, implode(' ', $row->faults));
        self::assertSame(RowAction::Refuse, ListPlan::of([$row], [], [])->rows[0]->does);
    }

    /** @return iterable<string, array{string, string}> */
    public static function noLists(): iterable
    {
        yield 'empty' => ['', 'no row has headings'];
        yield 'no headings' => ["a,b\nc,d\n", 'no row has headings'];
        yield 'nothing below' => ["shot,range\n", 'there are no rows'];
        yield 'a spreadsheet by another name' => ["PK\x03\x04rest", 'no text'];
        yield 'bytes' => [str_repeat("\0\1", 500), 'no text'];
        yield 'too many rows' => ["shot\n".implode("\n", range(1, 100_000)), 'more than 10,000 rows'];
    }

    #[DataProvider('noLists')]
    public function test_what_is_no_list_is_refused_whole(string $csv, string $says): void
    {
        $this->expectException(TableRefused::class);
        $this->expectExceptionMessage($says);
        self::rows($csv);
    }

    public function test_rows_from_a_spreadsheet(): void
    {
        $table = Table::of(
            [
                ['Shot', 'First', 'Last', 'Due', null],
                ['A', 1001, 1096.0, '2026-12-01', null],
                [null, null, null, null, null],
                ['B', 1, 2, true, 'x'],
            ],
            'list.xlsx',
            Column::isHeading(...),
        );

        self::assertSame([['A', '1001', '1096', '2026-12-01', ''], ['B', '1', '2', 'yes', 'x']], $table->rows);
        self::assertSame([2, 4], $table->lines);
    }

    public function test_columns_are_guessed_once_each(): void
    {
        self::assertSame(
            ['code', null, 'owner', 'range', null, null],
            array_map(
                static fn (?Column $c): ?string => $c?->word,
                Column::guessAll(['Shot', 'Clip', 'Assigned to', 'Frames', '', 'Mood']),
            ),
        );
        self::assertSame('value:unit', (string) Column::of('value:unit'));
        $this->expectException(\ValueError::class);
        Column::of('mood');
    }

    public function test_a_plan_says_what_would_be_made_changed_and_refused(): void
    {
        $people = [
            new ListedPerson(1, 'Ansel Reed', 'ansel', 'ansel@harbour.example'),
            new ListedPerson(2, 'Wren Reed', 'wren', 'wren@harbour.example'),
        ];
        $known = [
            new ExistingDeliverable('TC_010', 'quay', 1, null, ['version' => '2'], ['time.range' => '1-10']),
            new ExistingDeliverable('TC_030', 'slipway', 2, null, [], []),
        ];
        $rows = self::rows(
            "shot,title,range,version,owner\nTC_010,quay,1-12,3,wren\nTC_020,fog,1-5,,Ansel\n"
                ."tc_020,again,1-5,,\nTC_030,slipway,,,Wren Reed\nTC_040,,,,Reed\nTC_050,,,,nobody here\n",
        );
        $plan = ListPlan::of($rows, $known, $people);

        self::assertSame(
            ['change', 'make', 'refuse', 'same', 'refuse', 'refuse'],
            array_map(static fn (PlannedRow $r): string => $r->does->value, $plan->rows),
        );
        self::assertSame(
            [
                ['what' => 'owner', 'from' => 'another', 'to' => 'Wren Reed'],
                ['what' => '{version}', 'from' => '2', 'to' => '3'],
                ['what' => 'time.range', 'from' => '1-10', 'to' => '1-12'],
            ],
            $plan->rows[0]->changes,
        );
        self::assertSame(['tc_020 stands in line 3 already.'], $plan->rows[2]->row->faults);
        self::assertSame(['owner: “Reed” could be Ansel Reed or Wren Reed.'], $plan->rows[4]->row->faults);
        self::assertSame(
            [1, 1, 1, 3],
            array_map($plan->count(...), RowAction::cases()),
        );
        self::assertSame($plan->seal(), ListPlan::of($rows, $known, $people)->seal());
        self::assertNotSame($plan->seal(), ListPlan::of($rows, [], $people)->seal());
    }

    public function test_dates(): void
    {
        foreach ([
            ['2026-12-01', '2026-12-01 23:59'],
            ['2026-12-01 18:00', '2026-12-01 18:00'],
            ['2026-12-01T08:30:00.000Z', '2026-12-01 08:30'],
            ['1.12.2026', '2026-12-01 23:59'],
            ['13/12/2026', '2026-12-13 23:59'],
            ['12/13/2026', '2026-12-13 23:59'],
            ['5/5/2026', '2026-05-05 23:59'],
            ['20261201', '2026-12-01 23:59'],
            ['1 December 2026', '2026-12-01 23:59'],
            ['Tuesday, 1 Dec 2026', '2026-12-01 23:59'],
            ['Dec 1, 2026', '2026-12-01 23:59'],
        ] as [$written, $date]) {
            self::assertSame($date, DueDate::parse($written), $written);
        }
        foreach (['2026-02-30', '31.4.2026', 'never', '1/2/2026', '0000-00-00', '9999-01-01'] as $wrong) {
            try {
                DueDate::parse($wrong);
                self::fail($wrong);
            } catch (NotUnderstood $refused) {
                self::assertStringContainsString($wrong, $refused->getMessage());
            }
        }
    }

    public function test_a_list_written_and_read_again_is_the_same(): void
    {
        $lines = [
            [
                'code' => 'TC_010', 'title' => '=fog, "grey"', 'range' => '1001-1096', 'handles' => '8+8',
                'camera' => 'cam_quay', 'version' => '3', 'owner' => 'ansel', 'due' => '2026-12-01 18:00',
                'rate' => '24',
            ],
            [
                'code' => 'TC_020', 'title' => '-', 'range' => '-5-10', 'handles' => '', 'camera' => '',
                'version' => '', 'owner' => '', 'due' => '', 'rate' => '24000/1001',
            ],
        ];
        $csv = ShotlistCsv::write($lines);
        self::assertStringNotContainsString("\n=", $csv);
        [$a, $b] = self::rows($csv);

        self::assertSame(
            [
                '=fog, "grey"',
                'ansel',
                '2026-12-01 18:00',
                [
                    'time.range' => '1001-1096',
                    'time.handles' => '8+8',
                    'camera.name' => 'cam_quay',
                    'time.rate' => '24',
                ],
                ['version' => '3'],
            ],
            [$a->details->title, $a->details->owner, $a->details->due, $a->overrides, $a->values],
        );
        self::assertSame(
            ['-', ['time.range' => '-5-10', 'time.rate' => '24000/1001'], [], []],
            [$b->details->title, $b->overrides, $b->values, $b->faults],
        );
    }
}
