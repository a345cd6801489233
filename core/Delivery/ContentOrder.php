<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** What of a scan's files is looked at besides their heads and tails. */
final readonly class ContentOrder
{
    /**
     * @param  array{compares: bool, dark: string|null, approved: array<int, string>}|null  $looksFor  in pixels; null:
     *   nothing
     * @param  array<int, array{folder: string, name: string}>  $approved  by frame: in which folder, at its real
     *   place, an approved picture lies
     * @param  bool  $sums  whether lists of checksums are compared
     */
    public function __construct(
        public ?array $looksFor = null,
        public array $approved = [],
        public bool $sums = false,
    ) {}
}
