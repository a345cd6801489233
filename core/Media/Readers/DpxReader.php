<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

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
 * DPX (SMPTE ST 268-1) of both byte orders. All facts stand in its first two kilobytes; it has no checksums, and whole
 * is what reaches both its told length and that of its picture.
 */
final readonly class DpxReader implements OutliningReader
{
    public function kind(): Kind
    {
        return Kind::Dpx;
    }

    public function outline(FileEnds $file, MediaFacts $facts): HeaderOutline
    {
        return DpxOutline::of($this, $file, DpxHeader::read($file), $facts);
    }

    private function tailDamage(FileEnds $file): ?FileDamaged
    {
        $header = DpxHeader::read($file);

        return $this->shortness($file, $header, $header->end());
    }

    /**
     * @param  DpxHeader  $header  of this file, or of one that differs from it in its told length alone
     * @param  int  $end  of its picture, in bytes
     */
    public function shortness(FileEnds $file, DpxHeader $header, int $end): ?FileDamaged
    {
        $dues = ['the file says that it has' => $header->toldSizeIn($file->head), 'the picture reaches to' => $end];
        foreach ($dues as $of => $due) {
            if ($due > $file->size()) {
                return FileDamaged::cutShort("{$of} {$due} bytes and the file ends after {$file->size()}");
            }
        }

        return null;
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        $header = DpxHeader::read($file);
        $element = $header->element(0);
        $facts = new MediaFacts(
            Kind::Dpx,
            new PictureFacts(
                $header->width,
                $header->height,
                $header->pixelAspect(),
                colour: $element->colour(),
            ),
            new PictureEncoding(
                $element->bits,
                $element->bits >= 32 ? 'float' : 'uint',
                $header->channels(),
                $element->isPacked ? 'rle' : 'none',
                chroma: $element->chroma(),
            ),
            new TimingFacts($header->rate(), timecode: $header->timecode()),
            new FileLabels(header: $header->texts()),
            wholeness: Wholeness::whole(),
        );
        $damaged = $this->tailDamage($file);

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->reason);
    }
}
