<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** One file as a listing names it. */
final readonly class ListedFile
{
    /**
     * @param  string  $folder  relative to the delivery's root, `""` for the root itself; raw bytes
     * @param  int  $size  bytes
     * @param  int  $modified  seconds since 1970, UTC
     * @param  string|null  $refused  why it is not to be opened; null where it may be
     */
    public function __construct(public string $folder, public string $name, public int $size, public int $modified, public ?string $refused = null) {}
}
