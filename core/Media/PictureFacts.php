<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use Brick\Math\BigRational;

/** The picture a file shows, whatever way it is stored. Sizes in pixels, of the display window where there is one. */
final readonly class PictureFacts
{
    /**
     * @param  string|null  $region  `full`, or `x,y,width,height` in pixels from the top left of the picture
     * @param  int|null  $density  pixels an inch, across
     * @param  string|null  $colour  the encoding as requirements name it; null where the file says nothing that names
     *   one
     * @param  string|null  $projection  as the file is tagged: `lat-long`, `cube`
     */
    public function __construct(
        public ?int $width = null,
        public ?int $height = null,
        public ?BigRational $pixelAspect = null,
        public ?string $region = null,
        public ?int $density = null,
        public ?string $colour = null,
        public ?string $projection = null,
    ) {}
}
