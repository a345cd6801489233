<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\FileState;

/** One file as a listing names it. */
final readonly class ListedFile
{
    /**
     * @param  string  $folder  relative to the delivery's root, `""` for the root itself; raw bytes
     * @param  int  $size  bytes
     * @param  int  $modified  seconds since 1970, UTC
     * @param  string|null  $refused  why it is not to be opened; null where it may be
     * @param  int  $identity  by which its listing knows it again; 0 where it has none
     */
    public function __construct(
        public string $folder,
        public string $name,
        public int $size,
        public int $modified,
        public ?string $refused = null,
        public int $identity = 0,
    ) {}

    /** From the delivery's root on. */
    public function path(): string
    {
        return $this->folder === '' ? $this->name : "{$this->folder}/{$this->name}";
    }

    public function state(): FileState
    {
        return FileState::told($this->size, $this->modified, $this->identity);
    }
}
