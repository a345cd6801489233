<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Readers\ExrHeader;
use PlainLedger\Core\Media\Readers\ExrPart;

/**
 * OpenEXR of half or float samples, in scanlines or tiles, unpacked or packed by run lengths, deflate, wavelets or
 * 24 bits a float (OpenEXR file layout); of several parts the first, or the one that has the layer.
 */
final class ExrDecoder implements Decoder
{
    private const HEAD = 4096;

    private const MOST_PIXELS = 12_000_000;

    private const LARGEST_CHUNK = 64 << 20;

    /** All chunks together, in bytes: half a minute of work. */
    private const MOST_UNPACKED = 800 << 20;

    public function decodes(Kind $kind): bool
    {
        return $kind === Kind::Exr;
    }

    /** Its packed pixels themselves: whoever packs the same picture twice gets the same bytes. */
    public function tellsApart(ByteSource $source, MediaFacts $facts): ?string
    {
        try {
            $file = ExrHeader::read($source, $source->read(0, self::HEAD));
        } catch (FileDamaged) {
            return null;
        }
        $at = $file->end;
        foreach ($file->parts as $part) {
            $at += 8 * $part->chunks();
        }
        $print = hash_init('xxh128');
        for ($size = $source->size(); $at < $size; $at += 1 << 20) {
            hash_update($print, $source->read($at, 1 << 20));
        }

        return hash_final($print, true);
    }

    public function decode(ByteSource $source, MediaFacts $facts, string $layer = ''): ExrPixels
    {
        try {
            $file = ExrHeader::read($source, $source->read(0, self::HEAD));
        } catch (FileDamaged $damaged) {
            throw PixelsRefused::because('its header is broken', $damaged);
        }
        if ($layer === '') {
            $this->refuseOthers($file->parts[0]);
        }
        $view = ExrView::find($file, $layer);
        $part = $file->parts[$view->part];
        $this->refuseOthers($part);
        $bands = new ExrBands($source, $file, $view->part);
        self::refuseLarge($part, $bands->height());
        $lines = [];
        $coverage = [];
        foreach ($bands->all() as [$blocks, $count]) {
            for ($line = 0; $line < $count; $line++) {
                $lines[] = implode('', array_map(
                    static fn (array $block): string => $view->line($block[0], $line, $block[1]),
                    $blocks,
                ));
                if ($view->hasAlpha()) {
                    $coverage[] = implode('', array_map(
                        static fn (array $block): string => $view->coverage($block[0], $line, $block[1]),
                        $blocks,
                    ));
                }
            }
        }

        return new ExrPixels($part->data->width(), $part->data->height(), $lines, $coverage);
    }

    /** @param  int  $lines  that are unpacked together */
    private static function refuseLarge(ExrPart $part, int $lines): void
    {
        if ($part->data->width() * $part->data->height() > self::MOST_PIXELS) {
            throw FileTooLarge::pixels($part->data->width(), $part->data->height());
        }
        $line = $part->channels->bytesOfPixel() * $part->data->width();
        $all = $part->unpacked();
        if ($all > self::MOST_UNPACKED || $line * min($lines, $part->data->height()) > self::LARGEST_CHUNK) {
            [$width, $height] = [number_format($part->data->width()), number_format($part->data->height())];
            $channels = count($part->channels->types);
            $size = (string) ByteSize::of($all);
            throw FileTooLarge::of("{$width} × {$height} pixels in {$channels} channels, {$size} uncompressed");
        }
    }

    private function refuseOthers(ExrPart $part): void
    {
        $why = match (true) {
            $part->storage->deep => 'it is deep',
            ! ExrUnpacker::unpacks($part->storage->compression) => "what is packed by {$part->storage->name()}"
                .' is not decoded here',
            ! $part->channels->allSampled => 'its channels are not all of one size',
            $part->channels->holdWholeNumbers() => 'it holds whole numbers',
            default => null,
        };
        if ($why !== null) {
            throw PixelsRefused::because($why);
        }
    }
}
