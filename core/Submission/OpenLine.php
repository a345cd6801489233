<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

/** A line that must hold and that nothing could tell. */
final readonly class OpenLine
{
    public function __construct(
        public string $id,
        public string $part,
        public ?string $pass,
        public string $required,
    ) {}

    /** By which an answer to it is known: the same line with something else asked is another. */
    public function key(): string
    {
        $line = implode("\0", [$this->id, $this->part, $this->pass ?? '', $this->required]);

        return substr(hash('sha256', $line), 0, 24);
    }
}
