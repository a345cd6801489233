<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

/** One deliverable as far as it tells whose a scene is. */
final readonly class OwnerCandidate
{
    /** @param  string|null  $learner  the word that stands for its owner in names */
    public function __construct(
        public int $id,
        public string $code,
        public ?string $learner,
        public ?string $owner = null,
    ) {}
}
