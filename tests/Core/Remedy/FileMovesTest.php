<?php

declare(strict_types=1);

namespace Tests\Core\Remedy;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Delivery\SetAside;
use PlainLedger\Core\Remedy\FileMoves\MovePlan;
use PlainLedger\Core\Remedy\FileMoves\MovePlanner;
use PlainLedger\Core\Remedy\FileMoves\MoveRefused;
use PlainLedger\Core\Remedy\FileMoves\MoveRun;
use PlainLedger\Core\Remedy\FileMoves\MoveScript;
use PlainLedger\Core\Remedy\FileMoves\PlannedMove;
use Tests\Core\Support\Workbench;

/** Renaming, moving and setting aside on real files: ended at any step, gone on with, undone, and never over another. */
final class FileMovesTest extends TestCase
{
    /** @param  list<array<string, mixed>>  $fixes */
    private static function plan(Workbench $bench, array $fixes): MovePlan
    {
        return MovePlanner::plan($fixes, PlaceListing::of($bench->folder), 'today');
    }

    /**
     * All files with their contents; of what is set aside only where it was.
     *
     * @return array<string, string>
     */
    private static function files(Workbench $bench): array
    {
        $files = [];
        $walk = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(
            $bench->folder,
            \FilesystemIterator::SKIP_DOTS,
        ));
        foreach ($walk as $file) {
            \assert($file instanceof \SplFileInfo);
            $path = substr($file->getPathname(), strlen($bench->folder) + 1);
            if (! str_ends_with($path, '.json') && ! in_array(basename($path), ['lock', 'phase'], true)) {
                $files[$path] = $file->isFile() ? (string) file_get_contents($file->getPathname()) : '';
            }
        }
        ksort($files);

        return $files;
    }

    /** @return array<string, mixed> */
    private static function rename(string $from, string $to, string $frames, int $count, int $shift = 0): array
    {
        return [
            'kind' => 'rename', 'from' => $from, 'to' => $to, 'frames' => $frames, 'count' => $count, 'shift' => $shift,
        ];
    }

    /** @return array<string, mixed> */
    private static function move(string $to, string $files, string $frames, int $count): array
    {
        return compact('to', 'files', 'frames', 'count') + ['kind' => 'move', 'from' => '.'];
    }

    private static function numbered(int $from, int $to): Workbench
    {
        $bench = new Workbench;
        for ($n = $from; $n <= $to; $n++) {
            $bench->put(sprintf('a.%04d.png', $n), "frame {$n}");
        }

        return $bench;
    }

    public function test_fixes_are_carried_out_in_their_order_and_each_file_moves_once(): void
    {
        $bench = self::numbered(1, 3)->put('old (1).png', 'copy')->put('b.0004.png', 'right');
        $plan = self::plan($bench, [
            ['kind' => 'set', 'says' => 'Set the range.'],
            ['kind' => 'set-aside', 'from' => 'old (1).png', 'count' => 1],
            self::rename('a.####.png', 'b.####.png', '1-3', 3),
            self::move('frames', 'b.####.png', '1-4', 4),
            ['kind' => 'render', 'says' => 'Render 5.'],
        ]);
        self::assertCount(5, $plan->moves);
        self::assertSame(['Set the range.', 'Render 5.'], $plan->left);
        self::assertSame(
            [['a.####.png', 'frames/b.####.png', '1-3', 3], ['b.0004.png', 'frames/b.0004.png', '', 1],
                ['old (1).png', '_set-aside/today/old (1).png', '', 1]],
            array_map(static fn (array $f): array => array_slice(array_values($f), 0, 4), $plan->folded()),
        );
        MoveRun::in($bench->folder)->apply($plan, 'x1');
        self::assertSame([
            '_set-aside/today/old (1).png' => 'copy', 'frames/b.0001.png' => 'frame 1',
            'frames/b.0002.png' => 'frame 2', 'frames/b.0003.png' => 'frame 3', 'frames/b.0004.png' => 'right',
        ], self::files($bench));
        // what was set aside is in no later check
        self::assertCount(4, [...PlaceListing::of($bench->folder)->files()]);
    }

    /** Numbers that overlap, names in a circle, and folders made and left: ended before each single step. */
    public function test_ended_at_any_step_it_is_gone_on_with_and_undone_as_one(): void
    {
        $kinds = [
            'numbers raised' => [
                static fn (): Workbench => self::numbered(1, 6),
                [self::rename('a.####.png', 'a.####.png', '1-6', 6, 3)],
            ],
            'numbers lowered' => [
                static fn (): Workbench => self::numbered(3, 8),
                [self::rename('a.####.png', 'a.####.png', '3-8', 6, -2)],
            ],
            'into folders' => [static fn (): Workbench => self::numbered(1, 4), [
                ['kind' => 'set-aside', 'from' => 'a.####.png', 'frames' => '1', 'count' => 1],
                self::move('x/y', 'a.####.png', '2-4', 3),
            ]],
        ];
        foreach ($kinds as $what => [$make, $fixes]) {
            $bench = $make();
            $before = self::files($bench);
            MoveRun::in($bench->folder)->apply(self::plan($bench, $fixes), 'whole');
            $after = self::files($bench);
            self::assertNotSame($before, $after);
            for ($ended = 1; ; $ended++) {
                $bench = $make();
                $steps = MoveRun::in($bench->folder)->steps(self::plan($bench, $fixes), 'x1');
                $taken = 0;
                foreach ($steps as $_) {
                    if (++$taken === $ended) {
                        break;
                    }
                }
                unset($steps, $_);
                self::assertSame(
                    array_values($before),
                    self::sorted(array_values(self::files($bench)), $before),
                    "{$what}: lost after {$ended}",
                );
                MoveRun::in($bench->folder)->resume();
                self::assertSame($after, self::files($bench), "{$what}: gone on after {$ended}");
                self::assertSame(count($before), MoveRun::in($bench->folder)->undo());
                self::assertSame($before, self::files($bench), "{$what}: undone after {$ended}");
                self::assertDirectoryDoesNotExist("{$bench->folder}/x");
                if ($taken < $ended) {
                    break;
                }
            }
            self::assertGreaterThan(8, $ended);
        }
    }

    /**
     * @param  list<string>  $contents
     * @param  array<string, string>  $like
     * @return list<string>
     */
    private static function sorted(array $contents, array $like): array
    {
        $order = array_flip(array_values($like));
        usort($contents, static fn (string $a, string $b): int => ($order[$a] ?? 99) <=> ($order[$b] ?? 99));

        return $contents;
    }

    public function test_names_in_a_circle_change_places(): void
    {
        $bench = (new Workbench)->put('a.png', 'A')->put('b.png', 'B')->put('c.png', 'C');
        $stat = static fn (string $name): PlannedMove => new PlannedMove(
            $name,
            ['a.png' => 'b.png', 'b.png' => 'c.png', 'c.png' => 'a.png'][$name],
            1,
            (int) filemtime("{$bench->folder}/{$name}"),
            0,
        );
        MoveRun::in($bench->folder)->apply(new MovePlan(array_map($stat, ['a.png', 'b.png', 'c.png'])), 'x1');
        self::assertSame(['a.png' => 'C', 'b.png' => 'A', 'c.png' => 'B'], self::files($bench));
    }

    /** Somebody writes a file of that name before each single step: it stays, and all the others are as they were. */
    public function test_a_name_that_appears_midway_is_not_written_over(): void
    {
        for ($at = 1; $at < 12; $at++) {
            $bench = self::numbered(1, 4);
            $before = self::files($bench);
            $steps = MoveRun::in($bench->folder)->steps(
                self::plan($bench, [self::rename('a.####.png', 'b.####.png', '1-4', 4)]),
                'x1',
            );
            $taken = 0;
            $isWritten = false;
            try {
                foreach ($steps as $_) {
                    if (++$taken === $at && ! file_exists("{$bench->folder}/b.0003.png")) {
                        $bench->put('b.0003.png', 'a stranger');
                        $isWritten = true;
                    }
                }
                $refused = null;
            } catch (MoveRefused $refused) {
                self::assertStringContainsString('b.0003.png', $refused->getMessage());
            }
            unset($steps);
            if ($isWritten) {
                self::assertNotNull($refused, "at {$at}");
                self::assertSame($before + ['b.0003.png' => 'a stranger'], self::files($bench), "at {$at}");
                self::assertSame([], MoveRun::in($bench->folder)->undoable());
            }
        }
    }

    /** Turned about, and ended while it goes back. */
    public function test_going_back_is_gone_on_with_too(): void
    {
        for ($ended = 1; $ended < 25; $ended++) {
            $bench = self::numbered(1, 4);
            $before = self::files($bench);
            $steps = MoveRun::in($bench->folder)->steps(
                self::plan($bench, [self::rename('a.####.png', 'a.####.png', '1-4', 4, 2)]),
                'x1',
            );
            $taken = 0;
            try {
                foreach ($steps as $step) {
                    // the last name of all is taken as soon as it can be
                    if ($step === 'all out of the way') {
                        $bench->put('a.0006.png', 'a stranger');
                    }
                    if (++$taken === $ended) {
                        break;
                    }
                }
            } catch (MoveRefused) {
                $taken = 0;
            }
            unset($steps, $step);
            try {
                MoveRun::in($bench->folder)->resume();
            } catch (MoveRefused $refused) {
                self::assertStringContainsString('a.0006.png', $refused->getMessage());
            }
            $stranger = is_file("{$bench->folder}/a.0006.png") && self::files($bench)['a.0006.png'] === 'a stranger';
            $shifted = [
                'a.0003.png' => 'frame 1', 'a.0004.png' => 'frame 2', 'a.0005.png' => 'frame 3',
                'a.0006.png' => 'frame 4',
            ];
            self::assertSame(
                $stranger ? $before + ['a.0006.png' => 'a stranger'] : $shifted,
                self::files($bench),
                "ended after {$ended}",
            );
        }
    }

    public function test_what_is_otherwise_than_the_check_tells_is_not_touched(): void
    {
        $one = static fn (string $to): array => [self::rename('a.####.png', $to, '1', 1)];
        foreach ([
            'one is gone' => [
                self::numbered(1, 3),
                [self::rename('a.####.png', 'b.####.png', '1-4', 4)],
                '4 files then, 3 now',
            ],
            'the name is taken' => [
                self::numbered(1, 3)->put('b.0002.png', 'x'),
                [self::rename('a.####.png', 'b.####.png', '1-3', 3)],
                '“b.0002.png” is the name of another file',
            ],
            'two for one name' => [self::numbered(1, 3), [self::rename('a.####.png', 'b.png', '1-3', 3)], 'two files'],
            'out of the delivery' => [self::numbered(1, 1), $one('../b.####.png'), 'outside'],
            'to an absolute place' => [self::numbered(1, 1), $one('/tmp/b.png'), 'outside'],
            'through a drive' => [self::numbered(1, 1), $one('C:b.png'), 'outside'],
        ] as $what => [$bench, $fixes, $says]) {
            $before = self::files($bench);
            try {
                self::plan($bench, $fixes);
                self::fail($what);
            } catch (MoveRefused $refused) {
                self::assertStringContainsString($says, $refused->getMessage(), $what);
            }
            self::assertSame($before, self::files($bench), $what);
        }
    }

    public function test_files_changed_since_links_and_strange_folders_stop_it_before_anything_is_done(): void
    {
        $bench = self::numbered(1, 3);
        $plan = self::plan($bench, [self::rename('a.####.png', 'x/b.####.png', '1-3', 3)]);
        file_put_contents("{$bench->folder}/a.0002.png", 'another picture');
        $this->refused($bench, $plan, 'was changed since');

        $bench = self::numbered(1, 3);
        $plan = self::plan($bench, [self::rename('a.####.png', 'x/b.####.png', '1-3', 3)]);
        symlink(sys_get_temp_dir(), "{$bench->folder}/x");
        $this->refused($bench, $plan, 'is no folder of its own');
        unlink("{$bench->folder}/x");

        $bench->put('x', 'a file of that name');
        $this->refused($bench, $plan, 'is no folder of its own');

        $bench = self::numbered(1, 3);
        $plan = self::plan($bench, [self::rename('a.####.png', 'b.####.png', '1-3', 3)]);
        symlink(sys_get_temp_dir(), "{$bench->folder}/".SetAside::FOLDER);
        $this->refused($bench, $plan, 'is a link');
        unlink("{$bench->folder}/".SetAside::FOLDER);
    }

    private function refused(Workbench $bench, MovePlan $plan, string $says): void
    {
        $names = self::names($bench);
        try {
            MoveRun::in($bench->folder)->apply($plan, 'x1');
            self::fail($says);
        } catch (MoveRefused $refused) {
            self::assertStringContainsString($says, $refused->getMessage());
        }
        self::assertSame($names, self::names($bench));
    }

    /** @return list<string> */
    private static function names(Workbench $bench): array
    {
        return array_keys(array_filter(self::files($bench), static fn (string $content): bool => $content !== ''));
    }

    public function test_two_at_once_are_one_after_the_other(): void
    {
        $bench = self::numbered(1, 3);
        $plan = self::plan($bench, [self::rename('a.####.png', 'b.####.png', '1-3', 3)]);
        $first = MoveRun::in($bench->folder)->steps($plan, 'x1');
        $first->current();
        try {
            MoveRun::in($bench->folder)->apply($plan, 'x2');
            self::fail('Both were let in.');
        } catch (MoveRefused $refused) {
            self::assertStringContainsString('somebody else', $refused->getMessage());
        }
        while ($first->valid()) {
            $first->next();
        }
        self::assertSame(['b.0001.png', 'b.0002.png', 'b.0003.png'], array_keys(self::files($bench)));
    }

    public function test_several_are_undone_the_newest_first_and_not_where_a_file_is_gone(): void
    {
        $bench = self::numbered(1, 2);
        $run = MoveRun::in($bench->folder);
        $run->apply(self::plan($bench, [self::rename('a.####.png', 'b.####.png', '1-2', 2)]), 'x1');
        $run->apply(self::plan($bench, [self::rename('b.####.png', 'c.####.png', '1-2', 2)]), 'x2');
        self::assertSame(['x1', 'x2'], $run->undoable());
        $run->undo();
        self::assertSame(['b.0001.png', 'b.0002.png'], array_keys(self::files($bench)));
        unlink("{$bench->folder}/b.0002.png");
        $this->expectException(MoveRefused::class);
        $this->expectExceptionMessage('“b.0002.png” is not there any more');
        $run->undo();
    }

    public function test_a_shell_does_the_same_by_the_script_whatever_names_are_like(): void
    {
        $names = ['a.0001.png', 'it’s "odd" $(x) `y` %Z%.png', "quote'd.png", '-dash.png', '#1.png'];
        $bench = new Workbench;
        foreach ($names as $name) {
            $bench->put($name, $name);
        }
        $plan = new MovePlan(array_map(
            static fn (string $name): PlannedMove => new PlannedMove($name, "sub dir/to {$name}", strlen($name), 0, 0),
            $names,
        ));
        file_put_contents("{$bench->folder}/../pl-script.sh", MoveScript::shell($plan));
        exec('cd '.escapeshellarg($bench->folder).' && sh ../pl-script.sh 2>&1', $said, $code);
        self::assertSame([0, []], [$code, $said]);
        $moved = self::files($bench);
        self::assertCount(5, $moved);
        foreach ($moved as $path => $content) {
            self::assertSame("sub dir/to {$content}", $path);
        }
        // once more, nothing is where it says
        exec('cd '.escapeshellarg($bench->folder).' && sh ../pl-script.sh 2>&1', $said, $code);
        self::assertSame(1, $code);
        self::assertSame($moved, self::files($bench));
        unlink("{$bench->folder}/../pl-script.sh");

        $batch = MoveScript::batch($plan);
        self::assertStringContainsString('move "a.0001.png" "sub dir\.plain-ledger-0" >nul', $batch);
        self::assertStringContainsString('%%Z%%', $batch);
        self::assertStringContainsString('"sub dir\\to -dash.png"', $batch);
        self::assertStringStartsWith("from,to\r\na.0001.png,sub dir/to a.0001.png", MoveScript::csv($plan));
    }
}
