<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

/** A cause that holds by its own evidence, before it is settled which entries it explains. */
final readonly class Finding
{
    /**
     * @param  string  $side  `scene` or `files`
     * @param  list<string>  $evidence
     * @param  list<string>  $touches  ids it would explain where they are unequal
     * @param  list<Fix>  $fixes
     * @param  bool  $alternative  one of several readings of the same facts: told as an `or` where an earlier one explains all it would
     * @param  bool  $render  the frames that are wrong in what it explains must be rendered again
     * @param  list<string>  $or  causes that the same facts allow
     */
    public function __construct(
        public string $id,
        public string $side,
        public string $says,
        public array $evidence,
        public array $touches,
        public array $fixes = [],
        public bool $alternative = false,
        public bool $render = false,
        public array $or = [],
    ) {}

    /** The same, as a mistake of its own beside whatever else explains its lines. */
    public function independent(): self
    {
        return new self($this->id, $this->side, $this->says, $this->evidence, $this->touches, $this->fixes, false, $this->render, $this->or);
    }

    /** The same, explaining one line more. */
    public function touching(string $id): self
    {
        return new self($this->id, $this->side, $this->says, $this->evidence, [...$this->touches, $id], $this->fixes, $this->alternative, $this->render, $this->or);
    }

    /** @param  list<Fix>  $fixes */
    public function withFixes(array $fixes): self
    {
        return new self($this->id, $this->side, $this->says, $this->evidence, $this->touches, $fixes, $this->alternative, $this->render, $this->or);
    }

    /** The same, with causes that the facts allow besides. */
    public function orElse(string ...$or): self
    {
        return new self($this->id, $this->side, $this->says, $this->evidence, $this->touches, $this->fixes, $this->alternative, $this->render, array_values(array_unique([...$this->or, ...$or])));
    }
}
