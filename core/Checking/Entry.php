<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\Requirement;

/** One line of the ledger: what is required, and what the scene and the files show. */
final readonly class Entry
{
    private function __construct(
        public Requirement $requirement,
        public string $part,
        public string $required,
        public Mark $mark,
        public ?Cell $scene,
        public ?Cell $files,
        public ?string $pass,
        public ?Waiver $waiver = null,
    ) {}

    /**
     * Where both sides have a cell the files decide, unless they could not be read. Null where neither has one.
     *
     * @param  string|null  $pass  where it is asked of one pass alone
     */
    public static function of(
        Requirement $requirement,
        string $part,
        string $required,
        ?Cell $scene,
        ?Cell $files,
        ?string $pass = null,
    ): ?self {
        if ($scene === null && $files === null) {
            return null;
        }
        $mark = match (true) {
            $scene === null => $files->mark,
            $files === null, $files->mark === Mark::Unknown => $scene->mark,
            default => $files->mark,
        };
        if ($files !== null && $files->mark === Mark::Equal && $scene !== null && $scene->isUnequal()) {
            $scene = $scene->asStale();
        }

        return new self($requirement, $part, $required, $mark, $scene, $files, $pass);
    }

    /** The same line, accepted as it is; its cells show what they showed. */
    public function waived(Waiver $waiver): self
    {
        return new self(
            $this->requirement,
            $this->part,
            $this->required,
            Mark::Waived,
            $this->scene?->asWaived(),
            $this->files?->asWaived(),
            $this->pass,
            $waiver,
        );
    }

    public function id(): string
    {
        return $this->requirement->id();
    }

    public function level(): Level
    {
        return $this->requirement->level;
    }

    public function isUnequal(): bool
    {
        return $this->mark === Mark::Unequal;
    }
}
