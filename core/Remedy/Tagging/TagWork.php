<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

/** One file of which a copy is made with other tags. */
final readonly class TagWork
{
    /** @param  string  $path  below the folder of the delivery */
    public function __construct(public string $path, public Tags $tags) {}
}
