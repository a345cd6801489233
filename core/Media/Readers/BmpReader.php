<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

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

/**
 * BMP with every size of header, 1 to 32 bits, masks and run lengths. Its length follows from its header; where it is
 * packed, from the length that is told, and in full from its runs.
 */
final readonly class BmpReader implements OutliningReader
{
    public function kind(): Kind
    {
        return Kind::Bmp;
    }

    public function outline(FileEnds $file, MediaFacts $facts): ?HeaderOutline
    {
        $header = BmpHeader::read($file);
        $end = $header->pixelPlace();
        // the length of what is packed, and a profile far behind, are of each file's own
        if (! $header->isPlain() || $header->hasProfile() || $end > strlen($file->head)) {
            return null;
        }
        $due = $end + $header->pixelBytes();

        return new FixedOutline(
            FixedBytes::of($file->head, $end, []),
            $facts,
            fn (FileEnds $other): ?FileDamaged => $due <= $other->size() ? null : $this->tailDamage($other),
        );
    }

    private function tailDamage(FileEnds $file): ?FileDamaged
    {
        $header = BmpHeader::read($file);
        $due = $header->pixelPlace() + $header->pixelBytes();
        if ($due > $file->size()) {
            return FileDamaged::cutShort("the picture takes {$due} bytes and the file ends after {$file->size()}");
        }

        return $header->isRuns() && $header->pixelBytes() === 0
            ? (new BmpRuns($file->source, $header))->damage(BmpRuns::QUICK)
            : null;
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        $header = BmpHeader::read($file);
        $facts = self::facts($header, $file);
        try {
            $damaged = $this->tailDamage($file);
            if ($damaged === null && $depth === ScanDepth::Full && $header->isRuns()) {
                $damaged = (new BmpRuns($file->source, $header))->damage(PHP_INT_MAX);
            }
        } catch (FileTooLarge $over) {
            return $facts->withUnread($over->getMessage());
        }

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->reason);
    }

    private static function facts(BmpHeader $header, FileEnds $file): MediaFacts
    {
        $labels = ['header' => $header->length().' bytes']
            + ['origin' => $header->isFromTop() ? 'top left' : 'bottom left']
            + ($header->hasPalette() ? ['palette' => 'yes'] : [])
            + $header->masksText();

        return new MediaFacts(
            Kind::Bmp,
            new PictureFacts(
                $header->width(),
                $header->height(),
                $header->pixelAspect(),
                density: $header->density(),
                colour: $header->colour($file),
            ),
            new PictureEncoding(
                $header->depth(),
                'uint',
                $header->channels($file),
                $header->compression(),
            ),
            labels: new FileLabels(header: $labels),
            wholeness: Wholeness::whole(),
        );
    }
}
