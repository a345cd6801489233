<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

/** What most likely went wrong, and the entries it explains. */
final readonly class Cause
{
    /**
     * @param  list<string>  $explains  ids of the part's unequal entries
     * @param  list<CauseId>  $or  causes between which the facts do not decide
     * @param  string|null  $pass  the one pass of several that it concerns; null where it holds for all
     * @param  list<int>  $places  of the passes that it concerns; empty where there are none
     * @param  string|null  $from  the part whose mistake it is, and which this part shows
     */
    public function __construct(
        public Finding $finding,
        public string $part,
        public array $explains,
        public array $or,
        public ?string $pass = null,
        public array $places = [],
        public ?string $from = null,
    ) {}

    /** What another part shows of a mistake that was made there. */
    public function carriedFrom(self $origin): self
    {
        $more = "So it is with {$origin->part}, of which it is made.";
        $finding = $this->finding->calledAs($origin->finding->id, $more);

        return new self($finding, $this->part, $this->explains, $origin->or, null, $this->places, $origin->part);
    }

    /** Whether it is what another part shows of that one. */
    public function isCarriedFrom(self $origin): bool
    {
        return $this->from === $origin->part && $this->finding->id === $origin->finding->id;
    }

    /** What it says, with the pass it says it of. */
    public function says(): string
    {
        return $this->pass === null ? $this->finding->says : "Pass {$this->pass}: {$this->finding->says}";
    }

    /** What makes it the same as another, found in another pass. */
    public function key(): string
    {
        return implode(
            "\0",
            [$this->part, $this->finding->id->value, $this->finding->side->value, $this->finding->says],
        );
    }

    /** The same, seen in one more pass. */
    public function joined(self $other): self
    {
        $finding = $this->finding->joined($other->finding);

        return new self(
            $finding, $this->part, array_values(array_unique([...$this->explains, ...$other->explains])),
            array_values(array_unique([...$this->or, ...$other->or], SORT_REGULAR)),
            null,
            [...$this->places, ...$other->places],
        );
    }

    public function ofPass(?string $pass): self
    {
        $fixes = array_map(static fn (Fix $f): Fix => $f->ofPass($pass), $this->finding->fixes);

        return new self(
            $this->finding->withFixes($fixes),
            $this->part,
            $this->explains,
            $this->or,
            $pass,
            $this->places,
        );
    }
}
