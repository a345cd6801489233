<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Naming\Difference;

/** Sequences whose names align with the pattern, for frames that no exact name holds. */
final readonly class AlignedMatching
{
    /**
     * @param  list<NameGroup>  $groups  the largest first
     * @param  array<string, list<string>>  $others  values of other deliverables, by piece of a name
     */
    public function __construct(
        private array $groups,
        private Claims $claims,
        private NameReadings $names,
        private array $others,
    ) {}

    /**
     * @param  list<Take>  $exact
     * @return list<Take>
     */
    public function find(ExpectedFiles $files, array $exact): array
    {
        if ($files->pattern === null || $this->isComplete($files, $exact)) {
            return [];
        }
        $candidates = [];
        foreach ($this->groups as $group) {
            if ($this->mayAnswer($group, $files)) {
                $candidates = [...$candidates, ...$this->candidatesOf($group, $files)];
            }
        }
        usort($candidates, Take::nearer(...));
        $candidates = $exact === [] ? $candidates : self::besides($candidates, $exact, $files);

        return $this->claims->claim($candidates, $files->numbered, $exact);
    }

    /** @param  list<Take>  $exact */
    private function isComplete(ExpectedFiles $files, array $exact): bool
    {
        if ($exact === []) {
            return false;
        }

        return ! $files->numbered
            || ($files->expected !== null && Take::framesOf($exact)->covers($files->expected));
    }

    private function mayAnswer(NameGroup $group, ExpectedFiles $files): bool
    {
        return $this->names->couldAnswer($group, $files->part)
            && $files->mayLieIn($group->folder)
            && ! $this->claims->isWhollyTaken($group);
    }

    /**
     * Another version that has frames which are there properly too is a take of its own.
     *
     * @param  list<Take>  $candidates
     * @param  list<Take>  $exact
     * @return list<Take>
     */
    private static function besides(array $candidates, array $exact, ExpectedFiles $files): array
    {
        $have = Take::framesOf($exact);
        $own = array_filter(
            $candidates,
            static fn (Take $t): bool => ! self::isAnotherVersion($t) || $t->frames->and($have)->isEmpty(),
        );

        return array_values(array_map(
            static fn (Take $t): Take => $files->expected === null
                ? $t
                : $t->answering($t->frames->and($files->expected)),
            $own,
        ));
    }

    /** @return list<Take> */
    private function candidatesOf(NameGroup $group, ExpectedFiles $files): array
    {
        $reading = $this->names->readFirst($files, $group);
        $column = $files->numbered ? $reading?->digitRun : null;
        if ($reading === null || ($files->numbered && $column === null)) {
            return [];
        }
        // a group whose first name is of another take may hold names that do align
        if (! $reading->aligns() && $group->columnCount() < 2 && $group->count() === 1) {
            return [];
        }
        $takes = [];
        foreach ($this->claims->sequences($group, $column) as $sequence) {
            $own = $this->claims->isClaimed($sequence) ? null : $this->names->read($files, $sequence);
            $aligns = $own !== null && $own->aligns() && (! $files->numbered || $own->digitRun !== null);
            if ($aligns && ! $own->isOfAnother($this->others)) {
                $takes[] = new Take($sequence, $own, $files->folderFits($group->folder), $sequence->frames);
            }
        }

        return $takes;
    }

    private static function isAnotherVersion(Take $take): bool
    {
        foreach ($take->reading->pieces ?? [] as $piece) {
            if (in_array(Difference::Version, $piece->differences, true)) {
                return true;
            }
        }

        return false;
    }
}
