<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree;

use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Text\Text;

/** Files of a tree that belong together: a sequence, or one file. */
final readonly class TreeUnit
{
    /**
     * @param  list<int>  $rows  of the group
     * @param  string  $pattern  the name, `#` for each digit of the frame number
     * @param  FrameRange|null  $frames  null of a file without a number
     * @param  list<string>  $candidates  keys of deliverables that it fits alike
     */
    public function __construct(
        public NameGroup $group,
        public array $rows,
        public string $pattern,
        public ?FrameRange $frames,
        public array $candidates = [],
    ) {}

    /** @param  list<string>  $candidates */
    public function fitting(array $candidates): self
    {
        return new self($this->group, $this->rows, $this->pattern, $this->frames, $candidates);
    }

    /** By which it is assigned by hand: folder and pattern. */
    public function place(): string
    {
        return Text::shown($this->group->folder === '' ? $this->pattern : "{$this->group->folder}/{$this->pattern}");
    }

    /** @return array{folder: string, pattern: string, frames: string, files: int, candidates: list<string>} */
    public function toArray(): array
    {
        return [
            'folder' => Text::shown($this->group->folder),
            'pattern' => Text::shown($this->pattern),
            'frames' => $this->frames === null ? '' : (string) $this->frames,
            'files' => count($this->rows),
            'candidates' => $this->candidates,
        ];
    }
}
