<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use PlainLedger\Core\Media\Decoders\Decoder;
use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\Decoders\PixelsRefused;

/** Decodes pictures and looks at all their pixels, for the few requirements that ask what is in them. */
final readonly class Looker
{
    /** Lines that are looked at together, so that a large picture is never there twice. */
    private const LINES = 128;

    /** @param  bool  $samples  whether pictures will be compared with each other */
    public function __construct(private Decoder $decoder, private bool $samples) {}

    public static function standard(bool $samples): self
    {
        return new self(PictureDecoder::standard(), $samples);
    }

    /** In bytes. */
    private function sampleLength(): int
    {
        return $this->samples ? 3 * Look::SAMPLE_SIDE ** 2 : 0;
    }

    /**
     * Null for what cannot be decoded here, or has no pixels.
     *
     * @throws BytesMissing|SourceGone
     */
    public function look(ByteSource $source, MediaFacts $facts): ?Look
    {
        if ($facts->kind === null || ! $facts->isWhole() || ! $this->decoder->decodes($facts->kind)) {
            return null;
        }
        $apart = $this->decoder->tellsApart($source, $facts);
        try {
            return $this->at($this->decoder->decode($source, $facts), $facts, $apart ?? '');
        } catch (PixelsRefused) {
            return $apart === null ? null : new Look($apart, null, 0, null, str_repeat("\0", $this->sampleLength()));
        }
    }

    /** Packed, of the same length in bytes for every file. */
    public function packed(?Look $look): string
    {
        return $look === null ? Look::none($this->sampleLength()) : $look->packed();
    }

    private function at(Pixels $pixels, MediaFacts $facts, string $apart): Look
    {
        $print = hash_init('xxh128');
        $sums = [0, 0, 0];
        $mask = [];
        foreach ($pixels->lines(self::LINES) as $bytes) {
            hash_update($print, $bytes);
            $length = strlen($bytes);
            // one byte of each three left standing: counting those is the quickest way to a sum
            foreach ([0, 1, 2] as $channel) {
                $mask[$length][$channel] ??= str_repeat(substr_replace("\0\0\0", "\xFF", $channel, 1), intdiv($length, 3));
                foreach (count_chars($bytes & $mask[$length][$channel], 1) as $value => $many) {
                    $sums[$channel] += $value * $many;
                }
            }
        }
        $light = 0;
        foreach (Look::WEIGHTS as $channel => $weight) {
            $light += $weight * $sums[$channel];
        }
        $plain = hash_final($print, true);
        // what is opaque looks the same on any ground
        $grounds = $facts->alpha === true ? [$this->onGround($pixels, 255), $this->onGround($pixels, 0)] : [];
        $seenThrough = $grounds === [] ? null : $grounds[0] !== $plain || $grounds[1] !== $plain;
        $more = ($seenThrough === true ? implode('', $grounds) : '').$apart;

        return new Look($more === '' ? $plain : hash('xxh128', $plain.$more, true), $light, $pixels->width() * $pixels->height(), $seenThrough, $this->samples ? $pixels->sample(Look::SAMPLE_SIDE) : '');
    }

    private function onGround(Pixels $pixels, int $ground): string
    {
        $print = hash_init('xxh128');
        foreach ($pixels->lines(self::LINES, $ground) as $bytes) {
            hash_update($print, $bytes);
        }

        return hash_final($print, true);
    }
}
