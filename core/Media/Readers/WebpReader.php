<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\FileLabels;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureEncoding;
use PlainLedger\Core\Media\PictureFacts;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\TimingFacts;
use PlainLedger\Core\Media\Wholeness;

/**
 * WebP (RFC 9649): lossy, lossless, the extended form with alpha, animation and what is noted behind. It has no
 * checksums of its own: whole is what reaches its told length, chunk by chunk.
 */
final readonly class WebpReader implements OutliningReader
{
    /** So many bytes at the end are no pixels if all of them are zero. */
    private const ZEROS = 512;

    public function kind(): Kind
    {
        return Kind::Webp;
    }

    /** Of a picture without more than itself: its size, and whether it has alpha. */
    public function outline(FileEnds $file, MediaFacts $facts): ?HeaderOutline
    {
        // lengths differ, and what a lossy frame is packed with
        $without = match (substr($file->head, 12, 4)) {
            'VP8 ' => [[4, 4], [16, 7]],
            'VP8L' => [[4, 4], [16, 4]],
            default => null,
        };
        $end = substr($file->head, 12, 4) === 'VP8 ' ? 30 : 25;

        return $without === null
            ? null
            : new FixedOutline(FixedBytes::of($file->head, $end, $without), $facts, $this->tailDamage(...));
    }

    private function tailDamage(FileEnds $file): ?FileDamaged
    {
        $due = 8 + ByteOrder::Little->u32($file->head, 4);

        return match (true) {
            $due > $file->size() => FileDamaged::cutShort(
                "the file says that it has {$due} bytes and ends after {$file->size()}",
            ),
            // packed pixels do not end in zeros; a copy that broke off may
            self::endsInZeros($file) => FileDamaged::cutShort('nothing but zeros stands at its end'),
            default => self::alone($file),
        };
    }

    /** Of a picture without more than itself: whether its one chunk is all there. */
    private static function alone(FileEnds $file): ?FileDamaged
    {
        if (! in_array(substr($file->head, 12, 4), ['VP8 ', 'VP8L'], true)) {
            return null;
        }
        $end = 20 + ByteOrder::Little->u32($file->head, 16);

        return $end <= $file->size()
            ? null
            : FileDamaged::cutShort("a chunk reaches to byte {$end} and the file ends after {$file->size()}");
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        $picture = WebpPicture::read($file);
        $facts = self::facts($picture);
        $damaged = $this->tailDamage($file) ?? self::chunkDamage($picture, $file);

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->reason);
    }

    private static function chunkDamage(WebpPicture $picture, FileEnds $file): ?FileDamaged
    {
        return match (true) {
            $picture->end > $file->size() => FileDamaged::cutShort(
                "a chunk reaches to byte {$picture->end} and the file ends after {$file->size()}",
            ),
            ! $picture->hasPixels => FileDamaged::cutShort('no picture is among its chunks'),
            default => null,
        };
    }

    private static function endsInZeros(FileEnds $file): bool
    {
        return $file->size() > self::ZEROS && trim(substr($file->tail(), -self::ZEROS), "\0") === '';
    }

    private static function facts(WebpPicture $picture): MediaFacts
    {
        return new MediaFacts(
            Kind::Webp,
            new PictureFacts(
                $picture->width,
                $picture->height,
                BigRational::one(),
                density: $picture->density,
                colour: $picture->colour,
                projection: $picture->projection,
            ),
            new PictureEncoding(
                8,
                'uint',
                ['R', 'G', 'B', ...($picture->hasAlpha ? ['A'] : [])],
                $picture->isLossless ? 'lossless' : 'lossy',
                chroma: $picture->isLossless ? null : '4:2:0',
            ),
            new TimingFacts(frameCount: $picture->frames > 0 ? $picture->frames : null),
            new FileLabels(header: $picture->frames > 0 ? ['animation frames' => (string) $picture->frames] : []),
            wholeness: Wholeness::whole(),
        );
    }
}
