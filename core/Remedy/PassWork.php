<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy;

use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\PassEntries;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\FixKind;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\RequirementId;

/**
 * What has to be done for one pass besides what its causes name: frames to render, old files out of the way, frames
 * beyond.
 */
final readonly class PassWork
{
    /** Frames to be rendered, by the numbers asked. */
    public FrameRange $rerender;

    /** What is added to the numbers that are there, where they count from elsewhere. */
    private int $shift;

    /** @param  list<Cause>  $causes  that concern this pass */
    public function __construct(
        private Subject $subject,
        private PassMatch $pass,
        private int $place,
        private ?PassEntries $lines,
        private array $causes,
    ) {
        $this->shift = $this->shiftOf();
        $this->rerender = $this->toRender();
    }

    private function shiftOf(): int
    {
        foreach ($this->causes as $cause) {
            if (
                $cause->finding->id === CauseId::NumberedFromElsewhere
                && $cause->finding->side === Side::Files
                && $this->isRenumbered($cause)
                && $this->pass->expected !== null
                && ! $this->pass->isEmpty()
            ) {
                return $this->pass->expected->first() - $this->pass->present->first();
            }
        }

        return 0;
    }

    private function isRenumbered(Cause $cause): bool
    {
        $own = fn (Fix $f): bool => isset($f->details['shift'])
            && ($f->details['pass'] ?? $this->pass->pass) === $this->pass->pass;

        return array_filter($cause->finding->fixes, $own) !== [];
    }

    /**
     * Missing, damaged, and those whose unequal facts only a render can mend; within what is expected. Frames that are
     * only numbered from elsewhere need no render.
     */
    private function toRender(): FrameRange
    {
        $isNone = in_array($this->subject->part->delivers, [Delivers::Movie, Delivers::File], true);
        if ($isNone || $this->areTakenOut()) {
            return FrameRange::none();
        }
        $wrong = $this->unusable();
        $expected = $this->pass->expected;
        if ($expected === null) {
            $onePicture = $this->subject->nothingDelivered() && ! $this->subject->isNumbered();

            return $onePicture ? FrameRange::of(0, 0) : $wrong;
        }
        if ($this->shift !== 0) {
            return $wrong->and($this->pass->present)
                ->plus($expected->shifted(-$this->shift)->minus($this->pass->present))
                ->shifted($this->shift)
                ->and($expected);
        }
        $missing = $this->isWaived(RequirementId::TIME_RANGE) ? FrameRange::none() : $this->pass->missing();

        return $missing->plus($wrong)->and($expected);
    }

    /** Whether they are had from a movie that came instead. */
    private function areTakenOut(): bool
    {
        foreach ($this->causes as $cause) {
            $isInstead = $cause->finding->id === CauseId::MovieInsteadOfFrames && $cause->finding->side === Side::Files;
            foreach ($isInstead ? $cause->finding->fixes : [] as $fix) {
                if ($fix->kind === FixKind::Encode) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Damaged, or wrong in what only a render can mend. */
    private function unusable(): FrameRange
    {
        $wrong = $this->isWaived(RequirementId::CONTENT_WHOLE)
            ? FrameRange::none()
            : $this->pass->damaged->and($this->pass->relevant());
        foreach ($this->causes as $cause) {
            foreach ($cause->finding->standing->render ? $cause->explains : [] as $id) {
                $wrong = $wrong->plus($this->lines?->entries[$id]?->files->wrong[$this->place] ?? FrameRange::none());
            }
        }

        return $wrong;
    }

    /** What is accepted as it is needs no work. */
    private function isWaived(string $id): bool
    {
        return ($this->lines?->entries[$id] ?? null)?->waiver !== null;
    }

    /** @return list<Fix> */
    public function fixes(): array
    {
        $fixes = [...$this->outOfTheWay(), ...$this->beyond()];
        $render = $this->waits() ? $this->rerender->minus($this->pass->missing()) : $this->rerender;
        if (! $render->isEmpty()) {
            $again = $this->shift === 0 && $this->pass->present->covers($render);
            $fixes[] = $this->subject->isNumbered()
                ? Fix::render($this->subject->part->name, $render, $again, $this->nameAsked())
                : Fix::renderPicture($this->subject->part->name, ! $this->pass->isEmpty());
        }

        return array_map(fn (Fix $f): Fix => $f->ofPass($this->pass->pass), $fixes);
    }

    /** What is rendered would be named as before, unless somebody says how. */
    private function nameAsked(): ?string
    {
        foreach ($this->causes as $cause) {
            foreach ($cause->finding->fixes as $fix) {
                $isOwn = $fix->kind === FixKind::Rename && ! $this->isOfAnotherPass($fix);
                if ($isOwn && $fix->details['to'] !== $fix->details['from']) {
                    return (string) $fix->details['to'];
                }
            }
        }

        return null;
    }

    private function waits(): bool
    {
        return array_filter(
            $this->causes,
            static fn (Cause $c): bool => $c->finding->id === CauseId::StillArriving,
        ) !== [];
    }

    /**
     * Files that are rendered again under another name, or in another folder, stay behind: they are set aside.
     *
     * @return list<Fix>
     */
    private function outOfTheWay(): array
    {
        $fixes = [];
        foreach ($this->pass->takes as $take) {
            $old = $this->rerender->shifted(-$this->shift)->and($take->frames);
            if (! $old->isEmpty() && ! $this->pass->lone && $this->liesInTheWay($take)) {
                $fixes[] = Fix::setAside(
                    $this->subject->part->name,
                    $take->path(),
                    count($old),
                    $this->subject->isNumbered() ? $old : null,
                );
            }
        }

        return $fixes;
    }

    private function liesInTheWay(Take $take): bool
    {
        return $this->shift !== 0 || ! $take->folderFits || ! $take->misnamed()->isEmpty();
    }

    /** @return list<Fix> frames that nobody asked for */
    private function beyond(): array
    {
        $extra = $this->pass->extra();
        $counts = $this->subject->part->delivers === Delivers::Frames && ! $this->isWaived(RequirementId::TIME_RANGE);
        if ($this->shift !== 0 || $extra->isEmpty() || ! $counts || ! $this->rangeIsWrong()) {
            return [];
        }
        $fixes = [];
        foreach ($this->pass->takes as $take) {
            $own = $take->frames->and($extra);
            if (! $own->isEmpty() && $take->sequence->column !== null) {
                $fixes[] = Fix::setAside($this->subject->part->name, $take->path(), count($own), $own);
            }
        }

        return $fixes;
    }

    private function rangeIsWrong(): bool
    {
        foreach ([RequirementId::TIME_RANGE, RequirementId::TIME_COUNT] as $id) {
            if (($this->lines?->entries[$id] ?? null)?->isUnequal() === true) {
                return true;
            }
        }

        return false;
    }

    /**
     * Frames for which the right files are handed in: where those lie, and how they are saved, is their own matter.
     *
     * @param  list<array{Fix, int}>  $named
     */
    private function delivered(array $named): FrameRange
    {
        $frames = FrameRange::none();
        foreach ($named as [$fix]) {
            $own = ($fix->details['pass'] ?? $this->pass->pass) === $this->pass->pass;
            $which = $fix->details['frames'] ?? '';
            $frames = $own && $fix->kind === FixKind::Deliver && is_string($which) && $which !== ''
                ? $frames->plus(FrameRange::parse($which))
                : $frames;
        }

        return $frames;
    }

    /**
     * The work that is named, less what this pass's own replaces: frames that are rendered again, or set aside, are
     * neither renamed nor saved first; and what is renamed to other numbers is renamed once.
     *
     * @param  list<array{Fix, int}>  $named
     * @return list<array{Fix, int}>
     */
    public function spared(array $named): array
    {
        $gone = $this->rerender->shifted(-$this->shift);
        $gone = $this->shift === 0 ? $gone->plus($this->pass->extra()) : $gone;
        $delivered = $this->shift === 0 ? $this->delivered($named) : FrameRange::none();
        $left = [];
        foreach ($named as [$fix, $at]) {
            $spared = $this->isOfAnotherPass($fix)
                ? $fix
                : $this->less($fix, $fix->kind === FixKind::Deliver ? $gone : $gone->plus($delivered));
            $spared ??= $this->instead($fix);
            if ($spared !== null) {
                $left[] = [$spared, $at];
            }
        }

        return $left;
    }

    /**
     * What is rendered anyway comes out as it is set: where nobody knows how that is, it is told to be set. A scene
     * that was read has its own say.
     */
    private function instead(Fix $fix): ?Fix
    {
        $isSaved = in_array($fix->kind, [FixKind::Encode, FixKind::Retag], true);
        $scene = ($this->lines?->entries[(string) ($fix->details['id'] ?? '')] ?? null)?->scene;
        $which = $fix->details['frames'] ?? null;
        $frames = is_string($which) ? FrameRange::parse($which) : null;
        $isRendered = $frames === null || ! $frames->and($this->rerender->shifted(-$this->shift))->isEmpty();

        return $isSaved && $isRendered && ($scene === null || $scene->mark === Mark::Unknown)
            ? $fix->asSetting()
            : null;
    }

    private function isOfAnotherPass(Fix $fix): bool
    {
        return isset($fix->details['pass']) && $fix->details['pass'] !== $this->pass->pass;
    }

    private function less(Fix $fix, FrameRange $gone): ?Fix
    {
        if ($this->shift !== 0 && $fix->kind === FixKind::Rename && ! isset($fix->details['shift'])) {
            return null;
        }
        if ($this->subject->isNumbered()) {
            return $fix->without($gone, $this->pass->present, $this->shift);
        }

        return $this->rerender->isEmpty() || ! $fix->isSparedByRender() ? $fix : null;
    }
}
