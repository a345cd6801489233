<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\Decoders\PixelsRefused;

/** Approved pictures, decoded once, that frames are compared with. */
final readonly class Approving
{
    /**
     * @param  array<int, string>  $paths  by frame
     * @param  \Closure(string): ByteSource  $open
     * @return array<int, Pixels|null> by frame; null for what is not there, or is no picture that can be decoded
     */
    public static function pictures(array $paths, \Closure $open): array
    {
        $pictures = [];
        foreach ($paths as $frame => $path) {
            try {
                $source = $open($path);
                $facts = Probe::standard()->read($source);
                $decoder = PictureDecoder::standard();
                $pictures[$frame] = $facts->kind !== null && $facts->isWhole() && $decoder->decodes($facts->kind) ? $decoder->decode($source, $facts) : null;
            } catch (PixelsRefused|SourceGone|BytesMissing) {
                $pictures[$frame] = null;
            }
        }

        return $pictures;
    }
}
