<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;

/** What answers by what it holds, where no name says so: one picture for frames, or the sequence that does best. */
final readonly class FallbackMatching
{
    /** So many pictures in a row are frames. */
    private const MANY = 4;

    /**
     * @param  list<NameGroup>  $groups  the largest first
     * @param  array<string, list<string>>  $others  values of other deliverables, by piece of a name
     */
    public function __construct(
        private Specification $specification,
        private Delivery $delivery,
        private array $groups,
        private Claims $claims,
        private NameReadings $names,
        private array $others,
    ) {}

    /**
     * One picture without a number, where frames are asked: it is one frame of them, whichever.
     *
     * @return list<Take>
     */
    public function lone(ExpectedFiles $files): array
    {
        $one = $files->expected !== null && count($files->expected) < 2;
        if (! $files->numbered || $files->part->delivers !== Delivers::Frames || $files->pattern === null || $one) {
            return [];
        }
        foreach ($this->groups as $group) {
            if ($this->mayBeLone($group, $files)) {
                return [$this->asOneOf($files, $group)];
            }
        }

        return [];
    }

    private function mayBeLone(NameGroup $group, ExpectedFiles $files): bool
    {
        return $group->count() === 1
            && ! $this->claims->touches($group)
            && $this->names->couldAnswer($group, $files->part)
            && $files->mayLieIn($group->folder)
            && $this->names->exactName($files, $group, false)?->read($group->name(0)) !== null;
    }

    private function asOneOf(ExpectedFiles $files, NameGroup $group): Take
    {
        $first = $files->expected?->first() ?? 1;
        $take = new Take(
            $this->claims->sequences($group, null)[0],
            $this->names->readFirst($files, $group),
            $files->folderFits($group->folder),
            FrameRange::of($first, $first),
        );

        return $this->claims->take($take, true);
    }

    /**
     * What is plainly another deliverable's is not taken.
     *
     * @return list<Take>
     */
    public function best(ExpectedFiles $files): array
    {
        $best = $files->part->delivers === Delivers::File ? null : $this->bestSequence($files);
        if ($best === null) {
            return [];
        }
        if ($files->numbered && $this->isOneWithoutNumber($files, $best)) {
            return [$this->asOneOf($files, $best->group)];
        }
        $frames = $files->numbered ? $best->frames : FrameRange::of(0, 0);
        $take = new Take($best, $this->names->read($files, $best), $files->folderFits($best->folder()), $frames);

        return [$this->claims->take($take, $files->numbered ? $frames : true)];
    }

    private function bestSequence(ExpectedFiles $files): ?Sequence
    {
        $best = null;
        $score = [];
        foreach ($this->delivery->groups as $group) {
            foreach ($this->sequencesFor($files, $group) as $sequence) {
                $own = $this->score($files, $sequence);
                if ($own !== null && $own > $score && ! $this->isOfAnother($files, $sequence)) {
                    [$best, $score] = [$sequence, $own];
                }
            }
        }

        return $best;
    }

    /** @return list<Sequence> of a group, that may answer */
    private function sequencesFor(ExpectedFiles $files, NameGroup $group): array
    {
        if (! $this->names->couldAnswer($group, $files->part)) {
            return [];
        }
        if (! $files->numbered && ($this->isOfFrames($group) || $this->claims->touches($group))) {
            return [];
        }
        $sequences = $this->claims->sequences($group, $files->numbered ? Sequence::likelyColumn($group) : null);

        return array_values(array_filter($sequences, fn (Sequence $s): bool => ! $this->claims->isClaimed($s)));
    }

    /**
     * Many pictures numbered in a row, where frames are owed too: they are frames, if of another take, and none is a
     * still.
     */
    private function isOfFrames(NameGroup $group): bool
    {
        $isFrames = static fn (Part $part): bool => $part->delivers === Delivers::Frames;
        $owesFrames = array_filter($this->specification->parts, $isFrames) !== [];
        $column = $owesFrames && $group->count() >= self::MANY ? Sequence::likelyColumn($group) : null;

        return $column !== null && count($this->claims->sequences($group, $column)[0]->frames) >= self::MANY;
    }

    /** @return list<int>|null the higher the better; null where it is none */
    private function score(ExpectedFiles $files, Sequence $sequence): ?array
    {
        $several = $files->expected === null || count($files->expected) > 1;
        $isSequence = $sequence->column !== null && ($sequence->count() > 1 || ! $several);
        // one file and no more is looked at, whatever it is called
        if ($files->numbered && ! $isSequence && $this->delivery->fileCount() !== 1) {
            return null;
        }

        return [
            $files->asksFor($this->delivery->kindAmong($sequence->group, $sequence->rows)) ? 1 : 0,
            $files->expected === null ? 0 : count($sequence->frames->and($files->expected)),
            $sequence->count(),
            -substr_count($sequence->folder(), '/'),
        ];
    }

    private function isOfAnother(ExpectedFiles $files, Sequence $sequence): bool
    {
        $reading = $this->names->read($files, $sequence);

        return $reading !== null && $reading->isNear() && $reading->isOfAnother($this->others);
    }

    /** A single file whose digits, if it has any, are no number of a frame that is asked. */
    private function isOneWithoutNumber(ExpectedFiles $files, Sequence $sequence): bool
    {
        $expected = $files->expected;
        $several = $expected === null || count($expected) > 1;
        $noneAsked = $expected !== null && $sequence->frames->and($expected)->isEmpty();

        return $sequence->count() === 1 && $several && ($sequence->column === null || $noneAsked);
    }
}
