<?php

declare(strict_types=1);

namespace Tests\Core\Tools;

/** The same, and more. */
final readonly class ShownMore extends ShownExample
{
    public int $more;

    public function __construct(ShownExample $example)
    {
        parent::__construct(
            $example->code,
            $example->frames,
            $example->verdict,
            $example->places,
            $example->sides,
            $example->hidden,
        );
        $this->more = count($example->places);
    }
}
