<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;

/** A header whose length is not known beforehand: what has been read, and more as it is asked for. */
final class HeaderBytes
{
    private const STEP = 8192;

    private int $base = 0;

    public function __construct(
        private readonly ByteSource $source,
        private string $bytes,
        private readonly int $largest,
    ) {}

    /** @throws FileDamaged if the file ends before, or the header grows past what any header is */
    public function take(int $at, int $length): string
    {
        if ($at + $length > $this->largest) {
            throw FileDamaged::header('the header does not end');
        }
        if ($at < $this->base || $at + $length > $this->base + strlen($this->bytes)) {
            $this->bytes = $this->source->read($at, max($length, self::STEP));
            $this->base = $at;
        }
        $taken = substr($this->bytes, $at - $this->base, $length);
        if (strlen($taken) < $length) {
            throw FileDamaged::cutShort('the file ends inside its header, after '.$this->source->size().' bytes');
        }

        return $taken;
    }

    /** Makes sure that so many bytes can be there. */
    public function skip(int $at, int $length): void
    {
        if ($at + $length > $this->source->size()) {
            throw FileDamaged::cutShort('the file ends inside its header, after '.$this->source->size().' bytes');
        }
    }

    /** @return array{string, int} a text up to its zero byte, at most 255 long, and where it ends */
    public function text(int $at): array
    {
        $room = min(256, $this->source->size() - $at);
        $bytes = $room > 0
            ? $this->take($at, $room)
            : throw FileDamaged::cutShort('the file ends inside its header, after '.$this->source->size().' bytes');
        $end = strpos($bytes, "\0");
        if ($end === false) {
            throw $room < 256
                ? FileDamaged::cutShort('the file ends inside its header, after '.$this->source->size().' bytes')
                : FileDamaged::header('a name in the header does not end');
        }

        return [substr($bytes, 0, $end), $at + $end + 1];
    }
}
