<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

/** What the header of an OpenEXR tells besides its size and channels. */
final readonly class ExrAttributes
{
    /**
     * @param  array{int, int, int, int}|null  $dataWindow  left, top, right, bottom, inclusive; null for all of it
     * @param  array{int, int}|null  $rate  numerator and denominator
     * @param  array<string, string>  $texts
     */
    public function __construct(
        public ?array $dataWindow = null,
        public float $pixelAspect = 1.0,
        public ?array $rate = null,
        public array $texts = [],
    ) {}
}
