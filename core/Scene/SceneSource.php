<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

/** What a scene says of itself: which file it is, and what it stands on. */
final readonly class SceneSource
{
    /**
     * @param  string|null  $part  the part that its settings make, where they say so
     * @param  list<array{path: string, present: bool|null}>|null  $links  files that it is linked to
     */
    public function __construct(
        public ?string $file = null,
        public ?bool $saved = null,
        public ?string $projectFolder = null,
        public ?string $part = null,
        public ?array $links = null,
    ) {}

    public function making(string $part): self
    {
        return new self($this->file, $this->saved, $this->projectFolder, $part, $this->links);
    }
}
