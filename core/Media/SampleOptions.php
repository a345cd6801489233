<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use Brick\Math\BigRational;

/** What pictures are looked at for, beside their pixels being told apart. */
final readonly class SampleOptions
{
    /**
     * @param  bool  $samples  whether pictures will be compared with each other
     * @param  BigRational|null  $dark  luminance, as a fraction of white, up to which a pixel counts as dark; null
     *   where none are counted
     * @param  array<int, Pixels|null>  $approved  approved pictures by frame; null where one could not be read
     */
    public function __construct(public bool $samples, public ?BigRational $dark = null, public array $approved = []) {}
}
