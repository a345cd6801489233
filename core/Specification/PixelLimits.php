<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** How near pixels are to be, where a requirement looks at them. Fractions of white, as canonical texts. */
final readonly class PixelLimits
{
    /**
     * @param  string|null  $threshold  of black frames: the mean luminance that is still black
     * @param  string|null  $share  of black frames: the most percent of a picture's pixels that may be dark
     * @param  string|null  $tolerance  of held frames: the mean difference that is none
     */
    public function __construct(
        public ?string $threshold = null,
        public ?string $share = null,
        public ?string $tolerance = null,
    ) {}
}
