<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\Requirement;

/** One line of the ledger: what is required, and what the scene and the files show. */
final readonly class Entry
{
    /** Where both sides have a cell the files decide, unless they could not be read. */
    public Mark $mark;

    private function __construct(
        public Requirement $requirement,
        public string $part,
        public string $required,
        public ?Cell $scene,
        public ?Cell $files,
        public ?string $pass,
        public ?Waiver $waiver = null,
    ) {
        $this->mark = $waiver === null ? self::markOf($scene, $files) : Mark::Waived;
    }

    private static function markOf(?Cell $scene, ?Cell $files): Mark
    {
        $decides = $files === null || ($files->mark === Mark::Unknown && $scene !== null) ? $scene : $files;

        return $decides->mark ?? Mark::Unknown;
    }

    /**
     * Null where neither side has a cell.
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
        if ($files !== null && $files->mark === Mark::Equal && $scene !== null && $scene->isUnequal()) {
            $scene = $scene->asStale();
        }

        return new self($requirement, $part, $required, $scene, $files, $pass);
    }

    /** The same line, accepted as it is; its cells show what they showed. */
    public function waived(Waiver $waiver): self
    {
        return new self(
            $this->requirement,
            $this->part,
            $this->required,
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
