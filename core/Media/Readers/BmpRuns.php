<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileTooLarge;

/**
 * The run lengths of a packed BMP: two bytes, a count and what is repeated; a count of zero escapes, to the end of a
 * line, the end of the picture, a step aside, or so many bytes as they are, filled up to whole two.
 */
final readonly class BmpRuns
{
    /** Pixels that the quick look walks over. */
    public const QUICK = 40_000_000;

    private const PIECE = 1 << 18;

    public function __construct(private ByteSource $source, private BmpHeader $header) {}

    /**
     * Null where they reach the end of the picture.
     *
     * @param  int  $most  pixels
     *
     * @throws FileTooLarge
     */
    public function damage(int $most): ?FileDamaged
    {
        if ($this->header->width() * $this->header->height() > $most) {
            throw FileTooLarge::pixels($this->header->width(), $this->header->height());
        }
        $at = $this->header->pixelPlace();
        [$piece, $from, $size] = ['', $at, $this->source->size()];
        // each step takes two bytes or more, so that the file's own length bounds them
        while ($at + 2 <= $size) {
            if ($at - $from + 2 > strlen($piece)) {
                $from = $at;
                $piece = $this->source->read($at, self::PIECE);
            }
            [$count, $what] = [ord($piece[$at - $from] ?? "\0"), ord($piece[$at - $from + 1] ?? "\1")];
            if ($count === 0 && $what === 1) {
                return null;
            }
            $at += $count > 0 ? 1 + intdiv($this->header->runBits() + 7, 8) : $this->escape($what);
        }

        return FileDamaged::cutShort("the end of the picture is not marked before the file ends, after {$size} bytes");
    }

    /** Bytes of what follows a zero, both of them counted. */
    private function escape(int $what): int
    {
        return match (true) {
            $what === 0 => 2,
            $what === 2 => 4,
            default => 2 + 2 * intdiv(intdiv($what * $this->header->runBits() + 7, 8) + 1, 2),
        };
    }
}
