<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;

/** The movie that answers a part, with the frames that it is made from as far as they are there. */
final readonly class MovieFound
{
    private function __construct(
        public MediaFacts $facts,
        public ?Part $source,
        private ?PassMatch $frames,
        private Situation $situation,
    ) {}

    /** Null where the part is no movie, or none that could be read is there. */
    public static function in(Situation $situation): ?self
    {
        $pass = $situation->subject->onlyPass();
        if (! $situation->subject->part->delivers->isMovie() || $pass === null || $pass->isEmpty()) {
            return null;
        }
        $facts = $pass->frames->factsAt(0);
        if ($facts->movie === null || ! $facts->isWhole()) {
            return null;
        }
        $source = $situation->subject->source();
        $match = $source === null ? null : $situation->subject->deliveryMatch?->parts[$source->name] ?? null;
        $frames = $match?->passes[0] ?? null;

        return new self($facts, $source, $frames?->isEmpty() === false ? $frames : null, $situation);
    }

    /** Pictures that are asked, by a range, a count, or the part that it is made from; null where none are. */
    public function askedCount(): ?int
    {
        $expected = $this->situation->subject->expected;
        $value = $this->situation->entry(RequirementId::TIME_COUNT)?->requirement->value;
        $rate = $this->facts->timing->rate;

        return match (true) {
            $expected !== null => count($expected),
            $value?->single() !== null => (int) $value->single(),
            $value !== null && $rate !== null => $this->nearestBound((int) $value->min, $value->max),
            default => null,
        };
    }

    private function nearestBound(int $min, ?string $max): int
    {
        $count = (int) $this->facts->timing->frameCount;

        return $max !== null && $count > (int) $max ? (int) $max : max($min, min($count, (int) ($max ?? $count)));
    }

    /** Frames of the part it is made from that are there; null where none are. */
    public function sourceCount(): ?int
    {
        return $this->frames === null ? null : count($this->frames->present);
    }

    /** The frames that it is to be made from: as they are asked, else as they are there. */
    public function sourceRange(): string
    {
        return (string) ($this->source?->expected() ?? $this->frames?->present);
    }

    /** Bits a second that are not pictures: sound, and what the container takes above its usual part. */
    public function besidePictures(): int
    {
        [$seconds, $pictures] = [$this->facts->timing->duration, $this->facts->movie?->picture->bitRate];
        $bytes = $this->situation->subject->onlyPass()?->frames->sizes[0] ?? null;
        if ($seconds === null || $pictures === null || $bytes === null || ($this->facts->movie->sound ?? []) === []) {
            return 0;
        }
        $all = BigRational::of(8 * $bytes)->dividedBy($seconds)->toScale(0, RoundingMode::UP)->toInt();

        return max(0, $all - $pictures);
    }

    /** The facts of the frames it is made from; null where none are there. */
    public function sourceFacts(): ?MediaFacts
    {
        foreach ($this->frames->frames->alike ?? [] as $alike) {
            if ($alike->facts->isWhole()) {
                return $alike->facts;
            }
        }

        return null;
    }

    /** Whether the count is what the same time takes at another rate: frames were repeated or left out to fit it. */
    public function isOnlyRate(int $count, int $asked): bool
    {
        $rate = $this->facts->timing->rate;
        $wanted = $this->situation->entry(RequirementId::TIME_RATE)?->requirement->value->single();
        if ($rate === null || $wanted === null || ! $this->situation->inFiles(RequirementId::TIME_RATE)) {
            return false;
        }
        $due = BigRational::of($asked)->multipliedBy($rate->value)->dividedBy(FrameRate::parse($wanted)->value);
        $least = $due->toScale(0, RoundingMode::FLOOR)->toInt();

        return ! $rate->equals(FrameRate::parse($wanted)) && $count >= $least && $count <= $least + 1;
    }
}
