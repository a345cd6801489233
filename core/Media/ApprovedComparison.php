<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\Decoders\PixelsRefused;

/** Approved pictures, decoded once, that frames are compared with. */
final readonly class ApprovedComparison
{
    /**
     * All of them are held at once: so many pixels together, some three at twice 4K, or two dozen in high definition
     * each.
     */
    private const MOST_PIXELS = 60_000_000;

    /**
     * @param  array<int, string>  $paths  by frame
     * @param  \Closure(string): ByteSource  $open
     * @return array<int, Pixels|null> by frame; null for what is not there, is no picture that can be decoded, or is
     *   more than can be held
     */
    public static function pictures(array $paths, \Closure $open): array
    {
        $pictures = [];
        $room = self::MOST_PIXELS;
        foreach ($paths as $frame => $path) {
            try {
                $source = $open($path);
                $facts = Probe::standard()->read($source);
                $decoder = PictureDecoder::standard();
                $takes = ($facts->picture->width ?? 0) * ($facts->picture->height ?? 0);
                $pictures[$frame] = $takes <= $room
                    && $facts->kind !== null
                    && $facts->isWhole()
                    && $decoder->decodes($facts->kind)
                    ? $decoder->decode($source, $facts)
                    : null;
                $room -= $pictures[$frame] === null ? 0 : $takes;
            } catch (PixelsRefused|FileTooLarge|SourceUnreadable|BytesMissing) {
                $pictures[$frame] = null;
            }
        }

        return $pictures;
    }
}
