<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\TgaHeader;

/**
 * The run lengths of a packed TGA: a byte whose upper bit says whether one pixel follows for all of a run or each has
 * its own, and whose lower seven how many they are, less one.
 */
final readonly class TgaPackets
{
    /** Pixels that the quick look walks over. */
    public const QUICK = 40_000_000;

    private const PIECE = 1 << 18;

    /** @param  int  $end  where what is no picture any more begins: a footer, or the end of the file */
    public function __construct(private ByteSource $source, private TgaHeader $header, private int $end) {}

    /**
     * Null where they come to all of the picture.
     *
     * @param  int  $most  pixels
     *
     * @throws FileTooLarge
     */
    public function damage(int $most): ?FileDamaged
    {
        $left = $this->header->width() * $this->header->height();
        if ($left > $most) {
            throw FileTooLarge::pixels($this->header->width(), $this->header->height());
        }
        $pixel = $this->header->pixelLength();
        $at = $this->header->pixelPlace();
        [$piece, $from, $size] = ['', $at, $this->end];
        while ($left > 0) {
            if ($at - $from >= strlen($piece)) {
                $from = $at;
                $piece = $this->source->read($at, min(self::PIECE, max(0, $size - $at)));
                if ($piece === '') {
                    return FileDamaged::cutShort("its picture ends at byte {$size}, {$left} pixels too early");
                }
            }
            $lead = ord($piece[$at - $from]);
            $count = ($lead & 127) + 1;
            $at += 1 + ($lead > 127 ? $pixel : $count * $pixel);
            $left -= $count;
        }

        return match (true) {
            $at > $size => FileDamaged::cutShort("its picture ends at byte {$size}, inside its last run of pixels"),
            $left < 0 => FileDamaged::checksum('its last run reaches '.-$left.' pixels beyond the picture'),
            default => null,
        };
    }
}
