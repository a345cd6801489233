<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\Vocabulary;

/**
 * What one side shows of one requirement.
 *
 * @phpstan-type Run array{frames: string, found: string, pass?: string}
 */
final readonly class Cell
{
    /**
     * @param  string|null  $found  the commonest value; null where it could not be read
     * @param  list<Run>  $runs  where frames, or passes, differ: the rest
     * @param  array<int, FrameRange>  $wrong  frames that are unequal, by the pass's place
     * @param  string|null  $differing  the commonest of the values that are unequal
     * @param  int  $weight  how many frames show what is found
     */
    private function __construct(
        public Mark $mark,
        public ?string $found,
        public array $runs = [],
        public array $wrong = [],
        public bool $stale = false,
        public ?string $differing = null,
        private int $weight = 1,
    ) {}

    /**
     * @param  list<Run>  $runs
     * @param  array<int, FrameRange>  $wrong
     */
    public static function of(
        Mark $mark,
        ?string $found,
        array $runs = [],
        array $wrong = [],
        ?string $differing = null,
        int $weight = 1,
    ): self {
        return new self(
            $mark,
            $found,
            $runs,
            $wrong,
            false,
            $differing ?? ($mark === Mark::Unequal ? $found : null),
            $weight,
        );
    }

    public static function when(bool $equal, string $found): self
    {
        return self::of(Mark::when($equal), $found);
    }

    /** @param  string|null  $why  why it could not be told, where that is worth saying */
    public static function unknown(?string $why = null): self
    {
        return new self(Mark::Unknown, $why);
    }

    /** What a scene tells by a word: one that cannot be placed is not known to be another. */
    public static function ofWord(Requirement $requirement, bool $equal, string $found): self
    {
        return $equal || Vocabulary::has($requirement->descriptor, $found)
            ? self::when($equal, $found)
            : self::of(Mark::Unknown, $found);
    }

    /**
     * What several passes show, as one: the commonest of their values, and the passes that show another.
     *
     * @param  non-empty-array<int, self>  $cells  by the pass's place
     * @param  array<int, string>  $names  of the passes
     */
    public static function together(array $cells, array $names): self
    {
        $found = self::commonest($cells);
        $runs = [];
        $wrong = [];
        foreach ($cells as $place => $cell) {
            $own = $cell->found === $found ? [] : $cell->asRun($place);
            foreach ([...$own, ...$cell->runs] as $run) {
                $runs[] = $run + ['pass' => $names[$place] ?? ''];
            }
            $wrong += $cell->wrong;
        }
        $mark = Mark::together(...array_values(array_map(static fn (self $c): Mark => $c->mark, $cells)));
        $differing = array_filter(array_map(static fn (self $c): ?string => $c->differing, $cells), is_string(...));

        return new self($mark, $found, $runs, $wrong, false, array_values($differing)[0] ?? null);
    }

    /**
     * Of two that as many frames show, the wrong one.
     *
     * @param  array<int, self>  $cells
     */
    private static function commonest(array $cells): ?string
    {
        $weights = [];
        foreach ($cells as $cell) {
            if ($cell->found !== null) {
                $weights[$cell->found] = ($weights[$cell->found] ?? 0) + $cell->weight + ($cell->isUnequal() ? 0.5 : 0);
            }
        }
        arsort($weights);

        return $weights === [] ? null : (string) array_key_first($weights);
    }

    /** @return list<Run> what it shows, as one run among those of other passes; none where it shows nothing */
    private function asRun(int $place): array
    {
        if ($this->found === null) {
            return [];
        }
        $wrong = $this->runs === [] ? $this->wrong[$place] ?? null : null;

        return [['frames' => (string) $wrong, 'found' => $this->found]];
    }

    /** Without what differs from pass to pass by nature, where all of it is right. */
    public function plainWhereEqual(): self
    {
        return $this->mark === Mark::Equal
            ? new self($this->mark, $this->found, [], [], $this->stale, null, $this->weight)
            : $this;
    }

    public function asStale(): self
    {
        return new self($this->mark, $this->found, $this->runs, $this->wrong, true, $this->differing);
    }

    /** An unequal cell that is accepted; any other stays as it is. */
    public function asWaived(): self
    {
        return $this->isUnequal() && ! $this->stale
            ? new self(Mark::Waived, $this->found, $this->runs, $this->wrong, false, $this->differing)
            : $this;
    }

    public function isUnequal(): bool
    {
        return $this->mark === Mark::Unequal;
    }
}
