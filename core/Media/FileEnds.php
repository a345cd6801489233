<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** A file by its two ends, which is all that most readers need of one: each is read once, the last only if asked. */
final class FileEnds
{
    /** What a recogniser and most headers need. */
    private const HEAD = 4096;

    /** End marks, footers, and what writers note behind a picture. */
    private const TAIL = 1024;

    /** Bytes of a file elsewhere that are soon sent. */
    private const NEAR_ENOUGH = 16 << 20;

    private ?string $tail = null;

    /** What was read last beside them, and from where on. */
    private string $read = '';

    private int $readFrom = 0;

    private function __construct(public readonly ByteSource $source, public readonly string $head) {}

    /** @throws BytesMissing|SourceUnreadable */
    public static function of(ByteSource $source): self
    {
        return new self($source, $source->read(0, self::HEAD));
    }

    /** Whether it lies elsewhere and each look at it takes its time, so that nobody should walk all through it. */
    public function isFarAway(): bool
    {
        return $this->source instanceof SliceSource && $this->source->size() > self::NEAR_ENOUGH;
    }

    /** In bytes. */
    public function size(): int
    {
        return $this->source->size();
    }

    /**
     * The last bytes, or all of a shorter file.
     *
     * @throws BytesMissing|SourceUnreadable
     */
    public function tail(): string
    {
        if ($this->tail === null) {
            $size = $this->source->size();
            $this->tail = $size <= strlen($this->head)
                ? substr($this->head, -self::TAIL)
                : $this->source->read(max(0, $size - self::TAIL), self::TAIL);
        }

        return $this->tail;
    }

    /**
     * Bytes from anywhere; from the head, or from what was read last, where they lie there.
     *
     * @throws BytesMissing|SourceUnreadable
     */
    public function read(int $offset, int $length): string
    {
        if ($offset >= 0 && $offset + $length <= strlen($this->head)) {
            return substr($this->head, $offset, $length);
        }
        $end = min($offset + $length, $this->source->size());
        if ($offset < $this->readFrom || $end > $this->readFrom + strlen($this->read)) {
            $this->read = $this->source->read($offset, $length);
            $this->readFrom = $offset;
        }

        return substr($this->read, $offset - $this->readFrom, $length);
    }
}
