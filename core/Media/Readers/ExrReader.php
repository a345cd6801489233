<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\ColourEncoding;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\FileLabels;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureEncoding;
use PlainLedger\Core\Media\PictureFacts;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\TimingFacts;
use PlainLedger\Core\Media\Wholeness;

/**
 * OpenEXR, file layout of version 2: scanline, tiled, deep and multi-part. The quick look reads the headers, the
 * offset tables and the lead of the last chunk; in full, every chunk's lead is followed and deflated ones unpacked.
 */
final readonly class ExrReader implements OutliningReader
{
    public function kind(): Kind
    {
        return Kind::Exr;
    }

    public function outline(FileEnds $file, MediaFacts $facts): ?HeaderOutline
    {
        return ExrOutline::of($file, ExrHeader::read($file->source, $file->head), $facts);
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        $header = ExrHeader::read($file->source, $file->head);
        $facts = self::facts($header);
        try {
            (new ExrChunks($file, $header))->check($depth);
        } catch (FileDamaged $damaged) {
            return $facts->withDamage($damaged->damage, $damaged->reason);
        } catch (FileTooLarge $over) {
            return $facts->withUnread($over->getMessage());
        }

        return $facts;
    }

    private static function facts(ExrHeader $file): MediaFacts
    {
        $part = $file->parts[0];
        [$bits, $sample] = $part->channels->depth();
        $labels = $part->labels;

        return new MediaFacts(
            Kind::Exr,
            new PictureFacts(
                $part->display->width(),
                $part->display->height(),
                $labels->pixelAspect(),
                $part->data->regionOf($part->display),
                $labels->density(),
                ColourEncoding::inTexts($labels->texts),
                $labels->projection(),
            ),
            new PictureEncoding($bits, $sample, Channels::sorted($part->channels->names()), $part->storage->name()),
            new TimingFacts(
                $labels->frameRate(),
                frameNumber: $labels->frameNumber(),
                timecode: $labels->timecode(),
            ),
            self::labels($file),
            wholeness: Wholeness::whole(),
        );
    }

    private static function labels(ExrHeader $file): FileLabels
    {
        $layers = [];
        $header = $file->parts[0]->labels->texts;
        foreach ($file->parts as $n => $part) {
            $names = $part->channels->names();
            foreach ($names as $name) {
                $layers[Channels::split($name)[0]] = true;
            }
            if ($part->labels->name() !== null && count($file->parts) > 1) {
                $layers[$part->labels->name()] = true;
                $header['part '.($n + 1)] = $part->labels->name().': '.Channels::write($names);
            }
        }
        unset($layers['']);

        return new FileLabels($file->parts[0]->labels->camera(), array_map(strval(...), array_keys($layers)), $header);
    }
}
