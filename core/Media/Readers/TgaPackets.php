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

    public function __construct(private ByteSource $source, private TgaHeader $header) {}

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
        [$piece, $from, $size] = ['', $at, $this->source->size()];
        while ($left > 0) {
            if ($at - $from >= strlen($piece)) {
                $from = $at;
                $piece = $this->source->read($at, self::PIECE);
                if ($piece === '') {
                    return FileDamaged::cutShort("the file ends after {$size} bytes, {$left} pixels before its picture");
                }
            }
            $lead = ord($piece[$at - $from]);
            $count = ($lead & 127) + 1;
            $at += 1 + ($lead > 127 ? $pixel : $count * $pixel);
            $left -= $count;
        }

        return match (true) {
            $at > $size => FileDamaged::cutShort("the file ends after {$size} bytes, inside its last run of pixels"),
            $left < 0 => FileDamaged::checksum('its last run reaches '.-$left.' pixels beyond the picture'),
            default => null,
        };
    }
}
