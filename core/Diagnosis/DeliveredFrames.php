<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\RequirementId;

/** The frames of one pass beside those that are asked, and beside those that its scene would render. */
final readonly class DeliveredFrames
{
    /** The lines that a wrong set of frames makes unequal. */
    public const TOUCHES = [
        RequirementId::TIME_RANGE, RequirementId::TIME_COUNT, RequirementId::TIME_DURATION, RequirementId::TIME_EXTENT,
        RequirementId::TIME_STEP,
    ];

    public FrameRange $present;

    /** @var FrameRange|null what the scene would render */
    public ?FrameRange $scene;

    public function __construct(public Situation $situation, public PassMatch $pass, public FrameRange $expected)
    {
        $this->present = $pass->present;
        $this->scene = $situation->scene()?->frames();
    }

    /** Seen in the files. */
    public function finding(CauseId $id, string $says, string ...$seen): Finding
    {
        $evidence = ["the files are {$this->present}", ...array_values($seen)];

        return Finding::of($id, Side::Files, $says, $evidence, self::TOUCHES);
    }

    /** The step that is asked. */
    public function askedStep(): int
    {
        return $this->situation->subject->part->step();
    }

    /** The step that the frames keep to, holes and phase aside; null where it is the one asked, or none. */
    public function step(): ?int
    {
        $step = $this->present->commonStep();
        $told = $this->situation->scene()?->step();
        $two = count($this->present) === 2 && $this->present->last() - $this->present->first() === $told;
        if ($told !== null && $told > 1 && $two) {
            $step = $told;
        }

        return $step === null || $step < 2 || $step === $this->askedStep() || ! $this->mostlyKeepsTo($step)
            ? null
            : $step;
    }

    private function mostlyKeepsTo(int $step): bool
    {
        $kept = 0;
        $before = null;
        foreach ($this->present->numbers() as $number) {
            $kept += $before !== null && $number - $before === $step ? 1 : 0;
            $before = $number;
        }

        return 2 * $kept >= count($this->present) - 1;
    }

    public function isStarting(FrameRange $set): bool
    {
        foreach ($this->situation->subject->specification->startingRanges() as $starting) {
            if ($starting->equals($set)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Fix> where the scene is set to another range too, it is mended as well */
    public function setRange(): array
    {
        if ($this->situation->scene() !== null && ($this->scene?->equals($this->expected) ?? true)) {
            return [];
        }
        $listed = $this->situation->scene()?->listedRange();
        if ($listed !== null && $listed->equals($this->expected->span())) {
            // the range is right: what makes it another set has its own fix
            return [];
        }
        $from = $listed === null ? null : (string) $listed;
        $to = (string) $this->expected->span();

        return [Fix::set($this->situation->part(), RequirementId::TIME_RANGE, 'the range', $from, $to)];
    }
}
