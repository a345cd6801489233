<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** What a part hands in. */
enum Delivers: string
{
    case Frames = 'frames';
    case Still = 'still';
    case Movie = 'movie';
    case File = 'file';

    public function isMovie(): bool
    {
        return $this === self::Movie;
    }
}
