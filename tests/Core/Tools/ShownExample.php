<?php

declare(strict_types=1);

namespace Tests\Core\Tools;

use PlainLedger\Core\Checking\Verdict;

/**
 * As pages are given things.
 *
 * @phpstan-type Place array{root: int, below?: string|null}
 */
readonly class ShownExample
{
    public function __construct(
        /** what it is called */
        public string $code,
        public ?int $frames,
        public Verdict $verdict,
        /** @var list<Place> */
        public array $places,
        /** @var array<string, array{int, 'asked'|'found'}> */
        public array $sides,
        protected string $hidden,
    ) {}
}
