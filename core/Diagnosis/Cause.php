<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

/** What most likely went wrong, and the entries it explains. */
final readonly class Cause
{
    /**
     * @param  list<string>  $explains  ids of the part's unequal entries
     * @param  list<string>  $or  causes between which the facts do not decide
     * @param  string|null  $pass  the one pass of several that it concerns; null where it holds for all
     * @param  list<int>  $places  of the passes that it concerns; empty where there are none
     */
    public function __construct(
        public Finding $finding,
        public string $part,
        public array $explains,
        public array $or,
        public ?string $pass = null,
        public array $places = [],
    ) {}

    /** What it says, with the pass it says it of. */
    public function says(): string
    {
        return $this->pass === null ? $this->finding->says : "Pass {$this->pass}: {$this->finding->says}";
    }

    /** What makes it the same as another, found in another pass. */
    public function key(): string
    {
        return implode("\0", [$this->part, $this->finding->id, $this->finding->side, $this->finding->says]);
    }

    /** The same, seen in one more pass. */
    public function joined(self $other): self
    {
        $finding = new Finding(
            $this->finding->id, $this->finding->side, $this->finding->says,
            array_values(array_unique([...$this->finding->evidence, ...$other->finding->evidence])),
            array_values(array_unique([...$this->finding->touches, ...$other->finding->touches])),
            self::eachOnce([...$this->finding->fixes, ...$other->finding->fixes]),
            $this->finding->alternative, $this->finding->render || $other->finding->render, $this->finding->or,
        );

        return new self(
            $finding, $this->part, array_values(array_unique([...$this->explains, ...$other->explains])),
            array_values(array_unique([...$this->or, ...$other->or])), null, [...$this->places, ...$other->places],
        );
    }

    public function ofPass(?string $pass): self
    {
        $fixes = array_map(static fn (Fix $f): Fix => $f->ofPass($pass), $this->finding->fixes);

        return new self($this->finding->withFixes($fixes), $this->part, $this->explains, $this->or, $pass, $this->places);
    }

    /**
     * @param  list<Fix>  $fixes
     * @return list<Fix>
     */
    private static function eachOnce(array $fixes): array
    {
        $once = [];
        foreach ($fixes as $fix) {
            $once[serialize($fix->toArray())] = $fix;
        }

        return array_values($once);
    }
}
