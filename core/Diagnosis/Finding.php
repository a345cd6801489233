<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Checking\Side;

/** A cause that holds by its own evidence, before it is settled which entries it explains. */
final readonly class Finding
{
    /**
     * @param  list<string>  $evidence
     * @param  list<string>  $touches  ids it would explain where they are unequal
     * @param  list<Fix>  $fixes
     */
    private function __construct(
        public CauseId $id,
        public Side $side,
        public string $says,
        public array $evidence,
        public array $touches,
        public array $fixes,
        public Standing $standing,
    ) {}

    /**
     * @param  list<string>  $evidence
     * @param  list<string>  $touches
     * @param  list<Fix>  $fixes
     */
    public static function of(
        CauseId $id,
        Side $side,
        string $says,
        array $evidence,
        array $touches,
        array $fixes = [],
    ): self {
        return new self($id, $side, $says, $evidence, $touches, $fixes, new Standing);
    }

    /** The same, as one of several readings of the same facts. */
    public function asAlternative(bool $alternative = true): self
    {
        return $this->standing(new Standing($alternative, $this->standing->render, $this->standing->or));
    }

    /** The same, where the frames that are wrong in what it explains must be rendered again. */
    public function rendering(bool $render = true): self
    {
        return $this->standing(new Standing($this->standing->alternative, $render, $this->standing->or));
    }

    /** The same, as a mistake of its own beside whatever else explains its lines. */
    public function independent(): self
    {
        return $this->asAlternative(false);
    }

    /** The same, with causes that the facts allow besides. */
    public function orElse(CauseId ...$or): self
    {
        $all = array_values(array_unique([...$this->standing->or, ...$or], SORT_REGULAR));

        return $this->standing(new Standing($this->standing->alternative, $this->standing->render, $all));
    }

    /** The same, explaining one line more. */
    public function touching(string $id): self
    {
        return $this->touchingOnly([...$this->touches, $id]);
    }

    /** @param  list<string>  $touches */
    public function touchingOnly(array $touches): self
    {
        return new self($this->id, $this->side, $this->says, $this->evidence, $touches, $this->fixes, $this->standing);
    }

    /** @param  list<Fix>  $fixes */
    public function withFixes(array $fixes): self
    {
        return new self($this->id, $this->side, $this->says, $this->evidence, $this->touches, $fixes, $this->standing);
    }

    /** The same as another cause, with one sentence more. */
    public function calledAs(CauseId $id, string $more): self
    {
        $says = "{$this->says} {$more}";

        return new self($id, $this->side, $says, $this->evidence, $this->touches, $this->fixes, $this->standing);
    }

    public function seenIn(Side $side): self
    {
        return new self($this->id, $side, $this->says, $this->evidence, $this->touches, $this->fixes, $this->standing);
    }

    /** The same cause seen in two places: what it says stands once. */
    public function joined(self $other): self
    {
        return new self(
            $this->id,
            $this->side,
            $this->says === $other->says ? $this->says : "{$this->says} {$other->says}",
            array_values(array_unique([...$this->evidence, ...$other->evidence])),
            array_values(array_unique([...$this->touches, ...$other->touches])),
            Fix::eachOnce([...$this->fixes, ...$other->fixes]),
            $this->standing->joined($other->standing),
        );
    }

    private function standing(Standing $standing): self
    {
        return new self($this->id, $this->side, $this->says, $this->evidence, $this->touches, $this->fixes, $standing);
    }
}
