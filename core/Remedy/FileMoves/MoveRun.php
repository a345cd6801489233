<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\FileMoves;

use PlainLedger\Core\Media\FileState;

/**
 * Renames the files of a plan, so that none is ever written over: first all of them to names of their own where they
 * are to lie, then each to its last name. Whoever ends it meanwhile leaves a journal; begun again, it goes on. Where it
 * cannot go on, all goes back to where it was.
 */
final readonly class MoveRun
{
    private MoveJournal $journal;

    private function __construct(private string $root)
    {
        $this->journal = new MoveJournal($root);
    }

    /**
     * @param  string  $folder  the delivery's folder
     *
     * @throws MoveRefused
     */
    public static function in(string $folder): self
    {
        $root = realpath($folder);
        if ($root === false || ! is_dir($root)) {
            throw MoveRefused::because($folder, 'is no folder');
        }

        return new self($root);
    }

    /**
     * All of it in one go.
     *
     * @param  string  $id  names this work; later ones sort after earlier ones
     *
     * @throws MoveRefused
     */
    public function apply(MovePlan $plan, string $id): void
    {
        self::through($this->steps($plan, $id));
    }

    /**
     * The same step by step: after each, whatever happens, it can be gone on with.
     *
     * @return \Generator<int, string> what was done
     *
     * @throws MoveRefused
     */
    public function steps(MovePlan $plan, string $id): \Generator
    {
        if (preg_match('~^[0-9A-Za-z-]{1,64}$~', $id) !== 1) {
            throw MoveRefused::because('', 'work is named by letters and digits');
        }
        $this->journal->lock();
        try {
            yield from $this->goOn();
            foreach ($plan->moves as $move) {
                $this->expectUnchanged($move);
            }
            $moves = array_map(static fn (PlannedMove $m): array => [$m->from, $m->to], $plan->moves);
            $this->expectRoom($moves);
            yield from $this->carryOut(new MoveWork($id, $moves, $this->foldersToMake($moves)));
        } finally {
            $this->journal->unlock();
        }
    }

    /** @param  \Generator<int, string>  $steps */
    private static function through(\Generator $steps): void
    {
        foreach ($steps as $_) {
            continue;
        }
    }

    /** Goes on with what was begun and not ended; nothing where there is none. */
    public function resume(): void
    {
        self::through($this->resumeSteps());
    }

    /** @return \Generator<int, string> */
    public function resumeSteps(): \Generator
    {
        $this->journal->lock();
        try {
            yield from $this->goOn();
        } finally {
            $this->journal->unlock();
        }
    }

    /** @return list<string> ids of what can be undone, the newest last */
    public function undoable(): array
    {
        return $this->journal->done();
    }

    /**
     * Undoes the newest work, or the one named, as one.
     *
     * @return int how many files are where they were
     *
     * @throws MoveRefused
     */
    public function undo(?string $id = null): int
    {
        $this->journal->lock();
        try {
            self::through($this->goOn());
            $ids = $this->journal->done();
            $id ??= $ids === [] ? '' : $ids[count($ids) - 1];
            $work = $id === '' ? null : $this->journal->doneBy($id);
            if ($work === null) {
                throw MoveRefused::because('', 'there is nothing to undo here');
            }
            $moves = array_map(static fn (array $move): array => [$move[1], $move[0]], $work->moves);
            foreach ($moves as [$from]) {
                if (FileState::at("{$this->root}/{$from}")?->isRegular() !== true) {
                    throw MoveRefused::because($from, 'is not there any more, so that this cannot be undone as one');
                }
            }
            $this->expectRoom($moves);
            self::through($this->carryOut(new MoveWork("{$id}-undo", $moves, $work->folders, $id)));

            return count($moves);
        } finally {
            $this->journal->unlock();
        }
    }

    private function expectUnchanged(PlannedMove $move): void
    {
        $state = FileState::at("{$this->root}/{$move->from}");
        $isSame = $state !== null
            && $state->isRegular()
            && $state->size === $move->size
            && $state->modified === $move->modified
            && ($move->identity === 0 || $state->identity === $move->identity);
        if (! $isSame) {
            throw MoveRefused::because($move->from, 'was changed since it was looked at. Check again first');
        }
    }

    /**
     * Every name is free by then, and every folder one that may be entered.
     *
     * @param  list<array{string, string}>  $moves
     */
    private function expectRoom(array $moves): void
    {
        $leaving = array_flip(array_column($moves, 0));
        foreach ($moves as [, $to]) {
            if (! isset($leaving[$to]) && FileState::at("{$this->root}/{$to}") !== null) {
                throw MoveRefused::because($to, 'is there already');
            }
            for ($folder = dirname($to); $folder !== '.' && $folder !== ''; $folder = dirname($folder)) {
                $state = FileState::at("{$this->root}/{$folder}");
                if ($state !== null && ! $state->isFolder()) {
                    throw MoveRefused::because($folder, 'is no folder of its own');
                }
            }
        }
    }

    /** @return \Generator<int, string> */
    private function carryOut(MoveWork $work): \Generator
    {
        $this->journal->begin($work);
        yield 'written down';
        yield from $this->goOn();
    }

    /**
     * @param  list<array{string, string}>  $moves
     * @return list<string> the deepest last
     */
    private function foldersToMake(array $moves): array
    {
        $folders = [];
        foreach ($moves as [, $to]) {
            for ($folder = dirname($to); $folder !== '.' && ! isset($folders[$folder]); $folder = dirname($folder)) {
                if (FileState::at("{$this->root}/{$folder}") === null) {
                    $folders[$folder] = substr_count($folder, '/');
                }
            }
        }
        asort($folders);

        return array_map(strval(...), array_keys($folders));
    }

    /** @return \Generator<int, string> */
    private function goOn(): \Generator
    {
        $work = $this->journal->underWay();
        if ($work === null) {
            return;
        }
        if (in_array($this->journal->phase(), [MovePhase::OutOfPlace, MovePhase::Back], true)) {
            yield from $this->goBack($work);

            return;
        }
        try {
            yield from $this->goAhead($work);
        } catch (MoveRefused $refused) {
            $isInPlace = $this->journal->phase() === MovePhase::IntoPlace;
            $this->journal->enter($isInPlace ? MovePhase::OutOfPlace : MovePhase::Back);
            yield 'turned about';
            yield from $this->goBack($work);
            throw $refused;
        }
        foreach ($work->undoes === null ? [] : array_reverse($work->folders) as $folder) {
            @rmdir("{$this->root}/{$folder}");
        }
        $this->journal->end($work, $work->undoes === null);
        if ($work->undoes !== null) {
            $this->journal->forget($work->undoes);
        }
        yield 'done';
    }

    /** @return \Generator<int, string> */
    private function goAhead(MoveWork $work): \Generator
    {
        if ($this->journal->phase() === MovePhase::OutOfTheWay) {
            foreach ($work->moves as $number => [$from, $to]) {
                $this->makeFolder(dirname($to));
                $isMoved = $this->isThere($work->temporary($number));
                if (! $isMoved || $this->areOne($from, $work->temporary($number))) {
                    yield from $this->step($from, $work->temporary($number));
                }
            }
            $this->journal->enter(MovePhase::IntoPlace);
            yield 'all out of the way';
        }
        foreach ($work->moves as $number => [, $to]) {
            yield from $this->step($work->temporary($number), $to);
        }
    }

    /**
     * All that was moved so far, back to where it was.
     *
     * @return \Generator<int, string>
     */
    private function goBack(MoveWork $work): \Generator
    {
        if ($this->journal->phase() === MovePhase::OutOfPlace) {
            foreach ($work->moves as $number => [, $to]) {
                if (! $this->isThere($work->temporary($number))) {
                    yield from $this->step($to, $work->temporary($number));
                }
            }
            $this->journal->enter(MovePhase::Back);
        }
        foreach ($work->moves as $number => [$from]) {
            yield from $this->step($work->temporary($number), $from);
        }
        foreach (array_reverse($work->folders) as $folder) {
            @rmdir("{$this->root}/{$folder}");
        }
        $this->journal->end($work, false);
        yield 'as it was';
    }

    /** Whether it was ended between the two halves of a step, so that a file has both names. */
    private function areOne(string $a, string $b): bool
    {
        return FileState::at("{$this->root}/{$a}")?->identity === FileState::at("{$this->root}/{$b}")?->identity;
    }

    private function isThere(string $path): bool
    {
        return FileState::at("{$this->root}/{$path}") !== null;
    }

    /**
     * One file from one name to another; nothing where that has been done.
     *
     * @return \Generator<int, string>
     */
    private function step(string $from, string $to): \Generator
    {
        if ($this->isThere($from)) {
            $this->move($from, $to);
            yield "{$from} is {$to}";
        }
    }

    private function makeFolder(string $folder): void
    {
        if ($folder === '.' || is_dir("{$this->root}/{$folder}")) {
            return;
        }
        if (! @mkdir("{$this->root}/{$folder}", 0o775, true) && ! is_dir("{$this->root}/{$folder}")) {
            throw MoveRefused::because($folder, 'may not be made here');
        }
    }

    /** Never over another file: a second name is given, which fails where there is one, before the first is taken. */
    private function move(string $from, string $to): void
    {
        [$source, $target] = ["{$this->root}/{$from}", "{$this->root}/{$to}"];
        $there = FileState::at($target);
        if ($there !== null) {
            $isSame = $there->identity === FileState::at($source)?->identity && $there->isRegular();
            if ($isSame && self::hasTwoNames($source)) {
                @unlink($source);

                return;
            }
            throw MoveRefused::because($to, 'has appeared meanwhile');
        }
        if (@link($source, $target)) {
            @unlink($source);

            return;
        }
        // where a file cannot have two names
        if (FileState::at($target) !== null || ! @rename($source, $target)) {
            throw MoveRefused::because($from, 'could not be renamed: permission is missing, or it is gone');
        }
    }

    private static function hasTwoNames(string $path): bool
    {
        $stat = @lstat($path);

        return $stat !== false && $stat['nlink'] > 1;
    }
}
