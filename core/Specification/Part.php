<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Kind;

/** One part of what a deliverable owes, with its requirements resolved. */
final readonly class Part
{
    /**
     * @param  array<string, Requirement>  $requirements  by id, in the ledger's order
     * @param  array<string, array<string, Requirement>>  $ofPasses  what is asked of one pass alone, by pass and id
     */
    public function __construct(
        public string $name,
        public Delivers $delivers,
        public ?string $madeFrom,
        public array $requirements,
        public array $ofPasses = [],
    ) {}

    /** The part as one pass of it has to be: its own requirements laid over those of all. */
    public function ofPass(?string $pass): self
    {
        $own = $this->ofPasses[$pass ?? ''] ?? [];

        return $own === []
            ? $this
            : new self($this->name, $this->delivers, $this->madeFrom, $own + $this->requirements);
    }

    public function find(string $id): ?Requirement
    {
        return $this->requirements[$id] ?? null;
    }

    /** @return list<string> what is asked by that id, one of which will do; none where nothing is, or bounds alone */
    public function values(string $id): array
    {
        return $this->find($id)->value->values ?? [];
    }

    public function single(string $id): ?string
    {
        return $this->find($id)?->value->single();
    }

    /** @return list<Kind> formats that will do; empty where none is asked */
    public function kinds(): array
    {
        return array_values(array_filter(array_map(Kind::tryFrom(...), $this->values(RequirementId::FORMAT_KIND))));
    }

    /**
     * Handles asked: head and tail, frames.
     *
     * @return array{int, int}
     */
    public function handles(): array
    {
        [$head, $tail] = explode('+', $this->single(RequirementId::TIME_HANDLES) ?? '0+0');

        return [(int) $head, (int) $tail];
    }

    public function step(): int
    {
        return max(1, (int) ($this->single(RequirementId::TIME_STEP) ?? 1));
    }

    /**
     * The range as asked, without handles and step; null where none is asked or it is the animation's own and not
     * known.
     */
    public function cutRange(?FrameRange $timeline = null): ?FrameRange
    {
        $asked = $this->single(RequirementId::TIME_RANGE);

        return match ($asked) {
            null => null,
            'timeline' => $timeline,
            default => FrameRange::parse($asked),
        };
    }

    /** The frames to be delivered: the range widened by the handles, taken by the step. */
    public function expected(?FrameRange $timeline = null): ?FrameRange
    {
        [$head, $tail] = $this->handles();

        return $this->cutRange($timeline)?->widened($head, $tail)->every($this->step());
    }

    /** @return list<string> passes asked, by name */
    public function passes(): array
    {
        return $this->values(RequirementId::PASSES);
    }

    /** Whether each pass comes in files of its own, since a pattern names it. */
    public function passesByFiles(): bool
    {
        if ($this->passes() === []) {
            return false;
        }
        foreach ([$this->requirements, ...array_values($this->ofPasses)] as $requirements) {
            foreach ([RequirementId::NAMING_PATTERN, RequirementId::NAMING_FOLDER] as $id) {
                if (str_contains((string) ($requirements[$id] ?? null)?->value->single(), '{pass')) {
                    return true;
                }
            }
        }
        // or each has a pattern of its own
        foreach ($this->ofPasses as $own) {
            if (isset($own[RequirementId::NAMING_PATTERN]) || isset($own[RequirementId::NAMING_FOLDER])) {
                return true;
            }
        }

        return false;
    }
}
