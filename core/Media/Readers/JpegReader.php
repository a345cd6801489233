<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\FileLabels;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureEncoding;
use PlainLedger\Core\Media\PictureFacts;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\Wholeness;

/** JPEG (ITU-T T.81) with JFIF density (ITU-T T.871): frame header, end mark; in full, the markers to the end. */
final readonly class JpegReader implements OutliningReader
{
    /** So near the end the end mark is looked for. */
    private const TAIL = 64;

    private const MOST_SEGMENTS = 2000;

    /** What is read of a segment before the frame header, in bytes. */
    private const SEGMENT = 4096;

    /** How far the quick look searches for an end mark that is not at the end, in bytes. */
    private const QUICK_REACH = 32 << 20;

    public function kind(): Kind
    {
        return Kind::Jpeg;
    }

    private function tailDamage(FileEnds $file): ?FileDamaged
    {
        if (str_contains(substr($file->tail(), -self::TAIL), "\xFF\xD9")) {
            return null;
        }

        // something after the end mark: only a walk through the markers can tell it from a file cut short
        return $this->bodyDamage($file->source, self::QUICK_REACH);
    }

    public function outline(FileEnds $file, MediaFacts $facts): ?HeaderOutline
    {
        $head = $file->head;
        for ($at = 2; $at + 4 <= strlen($head); $at = $end) {
            $marker = ord($head[$at + 1]);
            if ($head[$at] !== "\xFF" || $marker === JpegMarkers::FILL || JpegMarkers::standsAlone($marker)) {
                return null;
            }
            $end = $at + 2 + (ord($head[$at + 2]) << 8 | ord($head[$at + 3]));
            if (JpegFrame::isHeadedBy($marker)) {
                return $end > strlen($head)
                    ? null
                    : new FixedOutline(FixedBytes::of($head, $end, []), $facts, $this->tailDamage(...));
            }
        }

        return null;
    }

    /** @throws FileTooLarge */
    private function bodyDamage(ByteSource $source, int $reach): ?FileDamaged
    {
        try {
            return JpegMarkers::reachEnd($source, $reach)
                ? null
                : FileDamaged::cutShort('the end mark is missing after '.$source->size().' bytes');
        } catch (FileDamaged $damaged) {
            return $damaged;
        }
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        $facts = $this->header($file);
        try {
            $damaged = $depth === ScanDepth::Full
                ? $this->bodyDamage($file->source, PHP_INT_MAX)
                : $this->tailDamage($file);
        } catch (FileTooLarge $over) {
            return $facts->withUnread($over->getMessage());
        }

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->reason);
    }

    private function header(FileEnds $file): MediaFacts
    {
        $segments = new JpegSegments;
        $at = 2;
        for ($i = 0; $i < self::MOST_SEGMENTS; $i++) {
            $lead = $file->read($at, 4);
            $marker = self::markerOf($lead, $at, $file->size());
            if ($marker === JpegMarkers::FILL || JpegMarkers::standsAlone($marker)) {
                $at += $marker === JpegMarkers::FILL ? 1 : 2;

                continue;
            }
            $length = self::lengthOf($lead, $marker, $at);
            if (JpegFrame::isHeadedBy($marker)) {
                $frame = JpegFrame::read($file->read($at + 4, $length - 2), $marker);

                return self::facts($frame, $segments);
            }
            $segments->take($marker, self::segment($file, $at + 4, $length - 2));
            $at += 2 + $length;
        }
        throw FileDamaged::header('there is no frame header among the first '.self::MOST_SEGMENTS.' segments');
    }

    /** Of a block of Exif its beginning, which is before any preview; of a packet all, since a fact may stand last. */
    private static function segment(FileEnds $file, int $at, int $length): string
    {
        $start = $file->read($at, min($length, self::SEGMENT));

        return $length > self::SEGMENT && ! str_starts_with($start, 'Exif') && str_contains($start, 'xmpmeta')
            ? $file->read($at, $length)
            : $start;
    }

    private static function markerOf(string $lead, int $at, int $size): int
    {
        if (strlen($lead) < 4) {
            throw FileDamaged::cutShort("the file ends inside its header, after {$size} bytes");
        }
        if ($lead[0] !== "\xFF") {
            throw FileDamaged::header("a marker is expected at byte {$at} and something else stands there");
        }

        return ord($lead[1]);
    }

    private static function lengthOf(string $lead, int $marker, int $at): int
    {
        if ($marker === JpegMarkers::END || $marker === JpegMarkers::SCAN) {
            throw FileDamaged::header('the picture begins before any frame header');
        }
        $length = ord($lead[2]) << 8 | ord($lead[3]);
        if ($length < 2) {
            throw FileDamaged::header("the segment at byte {$at} names a length of {$length}");
        }

        return $length;
    }

    private static function facts(JpegFrame $frame, JpegSegments $segments): MediaFacts
    {
        $header = [...$segments->header, 'process' => $frame->process()];
        if ($segments->inksTransformed !== null && $frame->hasInks()) {
            $header['ink'] = $segments->inksTransformed ? 'YCCK' : 'CMYK';
        }
        if ($segments->jfifDensity() !== null) {
            $header['density'] = "{$segments->jfifDensity()} ppi";
        }

        return new MediaFacts(
            Kind::Jpeg,
            new PictureFacts(
                $frame->width,
                $frame->height === 0 ? null : $frame->height,
                $segments->pixelAspect(),
                density: $segments->density(),
                colour: $segments->colour,
                projection: $segments->projection,
            ),
            new PictureEncoding(
                $frame->bits,
                'uint',
                $frame->channels(),
                compression: 'jpeg',
                chroma: $frame->chroma(),
                quality: $segments->quality,
            ),
            labels: new FileLabels(header: $header),
            wholeness: Wholeness::whole(),
        );
    }
}
