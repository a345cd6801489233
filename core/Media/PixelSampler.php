<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Media\Decoders\Decoder;
use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\Decoders\PixelsRefused;

/** Decodes pictures and looks at all their pixels, for the few requirements that ask what is in them. */
final readonly class PixelSampler
{
    /** Lines that are looked at together, so that a large picture is never there twice. */
    private const LINES = 128;

    public function __construct(private Decoder $decoder, private SampleOptions $for) {}

    public static function standard(SampleOptions $for): self
    {
        return new self(PictureDecoder::standard(), $for);
    }

    /** In bytes. */
    private function sampleLength(): int
    {
        return $this->for->samples ? 3 * PixelSample::SAMPLE_SIDE ** 2 : 0;
    }

    /** @return list<int> frames that have an approved picture */
    public function approvedFrames(): array
    {
        return array_keys($this->for->approved);
    }

    /**
     * How far a picture is from the one approved for its frame; null where either cannot be decoded here.
     *
     * @throws BytesMissing|SourceUnreadable
     */
    public function distance(ByteSource $source, MediaFacts $facts, int $frame): ?PictureDistance
    {
        if (
            ($this->for->approved[$frame] ?? null) === null
            || $facts->kind === null
            || ! $facts->isWhole()
            || ! $this->decoder->decodes($facts->kind)
        ) {
            return null;
        }
        try {
            return $this->distanceOf($this->decoder->decode($source, $facts), $frame);
        } catch (PixelsRefused|FileTooLarge) {
            return null;
        }
    }

    /**
     * Null for what cannot be decoded here, or has no pixels.
     *
     * @throws BytesMissing|SourceUnreadable
     */
    public function sample(ByteSource $source, MediaFacts $facts): ?PixelSample
    {
        if ($facts->kind === null || ! $facts->isWhole() || ! $this->decoder->decodes($facts->kind)) {
            return null;
        }
        $apart = $this->decoder->tellsApart($source, $facts);
        try {
            $hasAlpha = $facts->encoding->hasAlpha() === true;

            return $this->sampleOf($this->decoder->decode($source, $facts), $hasAlpha, $apart ?? '');
        } catch (PixelsRefused) {
            return $apart === null
                ? null
                : new PixelSample($apart, null, null, str_repeat("\0", $this->sampleLength()));
        } catch (FileTooLarge $over) {
            return PixelSample::tooLarge($over->getMessage(), $apart ?? '');
        }
    }

    /** Packed, of the same length in bytes for every file. */
    public function packed(?PixelSample $look): string
    {
        $packed = $look === null || $look->print === '' ? PixelSample::none($this->sampleLength()) : $look->packed();

        return str_pad($packed, PixelSample::PACKED + $this->sampleLength(), "\0");
    }

    /** How far decoded pixels are from the picture approved for a frame; null where that could not be read. */
    public function distanceOf(Pixels $pixels, int $frame): ?PictureDistance
    {
        $approved = $this->for->approved[$frame] ?? null;

        return $approved === null ? null : PictureDistance::between($pixels, $approved);
    }

    /** @param  string  $apart  bytes that tell it apart where its pixels as they come do not */
    public function sampleOf(Pixels $pixels, bool $hasAlpha, string $apart = ''): PixelSample
    {
        $print = hash_init('xxh128');
        $sums = new ChannelSums;
        $dark = 0;
        $outline = new Outline($pixels->width(), $pixels->height());
        foreach ($pixels->lines(self::LINES) as $bytes) {
            hash_update($print, $bytes);
            $outline->add($bytes);
            $dark += $this->for->dark === null ? 0 : self::darkIn($bytes, $this->for->dark);
            $sums->add($bytes);
        }
        $plain = hash_final($print, true);
        // what is opaque looks the same on any ground
        $grounds = $hasAlpha
            ? [$this->onGround($pixels, 255), $this->onGround($pixels, 0)]
            : [];
        $seenThrough = $grounds === [] ? null : $grounds !== [$plain, $plain];
        $more = ($seenThrough === true ? implode('', $grounds) : '').$apart;

        return new PixelSample(
            $more === '' ? $plain : hash('xxh128', $plain.$more, true),
            Brightness::ofSums($sums->all(), $pixels->width() * $pixels->height(), $dark),
            $seenThrough,
            $this->for->samples ? $pixels->sample(PixelSample::SAMPLE_SIDE) : '',
            $outline->box(),
        );
    }

    /** How many of these pixels have at most so much luminance. */
    private static function darkIn(string $bytes, BigRational $most): int
    {
        $limit = $most->multipliedBy(255 * 10_000)->toScale(0, RoundingMode::DOWN)->toInt();
        [$blue, $green, $red] = Brightness::WEIGHTS;
        $dark = 0;
        /** @var array<int, int> $values */
        $values = unpack('C*', $bytes);
        for ($i = 1, $many = count($values); $i + 2 <= $many; $i += 3) {
            if ($blue * $values[$i] + $green * $values[$i + 1] + $red * $values[$i + 2] <= $limit) {
                $dark++;
            }
        }

        return $dark;
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
