<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Media\ColourEncoding;
use PlainLedger\Core\Media\FileLabels;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Movie\CodecFacts;
use PlainLedger\Core\Media\Movie\MovieFacts;
use PlainLedger\Core\Media\Movie\PictureOrder;
use PlainLedger\Core\Media\Movie\PictureTiming;
use PlainLedger\Core\Media\Movie\PictureTrack;
use PlainLedger\Core\Media\Movie\SoundTrack;
use PlainLedger\Core\Media\PictureEncoding;
use PlainLedger\Core\Media\PictureFacts;
use PlainLedger\Core\Media\Readers\Codecs\CodecHeaders;
use PlainLedger\Core\Media\TimingFacts;
use PlainLedger\Core\Media\Wholeness;

/** What readers of all containers have found out about a movie, as the facts of a file. */
final readonly class MovieDescription
{
    public const MOST_TRACKS = 1000;

    private const UNSPECIFIED = 2;

    /** A second; no more is believed. */
    private const MOST_BITS = 1_000_000_000_000_000;

    /** @param  array<string, string>  $notes */
    private function __construct(
        private string $codec,
        private CodecFacts $own,
        private PictureTrack $track,
        private PictureFacts $picture = new PictureFacts,
        private ?string $alphaKind = null,
        private array $notes = [],
    ) {}

    public static function of(string $codec, CodecFacts $own, PictureTrack $track): self
    {
        return new self($codec, $own, $track);
    }

    /**
     * A track as its codec has it, where the container says no more.
     *
     * @param  PictureOrder  $order  as the container's tables have it
     * @param  int|null  $bitRate  of the pictures alone
     */
    public static function track(
        string $codec,
        CodecFacts $own,
        PictureTiming $timing,
        PictureOrder $order,
        ?int $bitRate,
        ?string $scan = null,
        int $rotation = 0,
    ): PictureTrack {
        return new PictureTrack(
            $timing,
            CodecHeaders::isIntra($codec) && $order->longestInterval === null
                ? PictureOrder::everyOne($timing->count)
                : $order,
            $own->profile,
            $scan ?? $own->scan,
            $rotation,
            $bitRate,
            $own->shape->isLossless,
        );
    }

    /** Bits a second, to the nearest whole; null where the length is nothing. */
    public static function bitRate(int $bytes, ?BigRational $seconds): ?int
    {
        if ($seconds === null || $seconds->isLessThanOrEqualTo(0) || $bytes < 1) {
            return null;
        }
        $rate = BigRational::of(8)->multipliedBy($bytes)->dividedBy($seconds)->toScale(0, RoundingMode::HALF_UP);

        return $rate->isGreaterThan(self::MOST_BITS) ? null : $rate->toInt();
    }

    /**
     * A file of tracks without a picture.
     *
     * @param  list<SoundTrack>  $sound
     */
    public static function ofSound(Kind $kind, array $sound): MediaFacts
    {
        return new MediaFacts(
            $kind,
            wholeness: Wholeness::whole(),
            movie: new MovieFacts(new PictureTrack(new PictureTiming(0)), $sound),
        );
    }

    /** @param  BigRational|null  $pixelAspect  as the container has it; null: as the codec has it, else square */
    public function sized(int $width, int $height, ?BigRational $pixelAspect): self
    {
        return $this->with(picture: new PictureFacts(
            $width > 0 ? $width : $this->own->shape->width,
            $height > 0 ? $height : $this->own->shape->height,
            $pixelAspect ?? $this->own->pixelAspect() ?? BigRational::one(),
        ));
    }

    /** @param  array{int, int}|null  $points  colour primaries and transfer */
    public function coloured(?array $points): self
    {
        $points ??= $this->own->codePoints;
        $isTold = $points !== null && ! in_array(self::UNSPECIFIED, $points, true);
        $colour = $isTold ? ColourEncoding::fromCodePoints(...$points) : null;
        $is = $this->picture;

        return $this->with(
            picture: new PictureFacts($is->width, $is->height, $is->pixelAspect, colour: $colour),
            notes: $isTold && $colour === null ? ['colour code points' => implode(', ', $points)] : [],
        );
    }

    public function tagged(?string $projection, ?string $alphaKind): self
    {
        $is = $this->picture;

        return $this->with(
            picture: new PictureFacts(
                $is->width,
                $is->height,
                $is->pixelAspect,
                colour: $is->colour,
                projection: $projection,
            ),
            alphaKind: $alphaKind,
        );
    }

    /** @param  array<string, string>  $notes */
    public function noted(array $notes): self
    {
        return $this->with(notes: $notes);
    }

    /** @param  array<string, string>  $notes */
    private function with(?PictureFacts $picture = null, ?string $alphaKind = null, array $notes = []): self
    {
        return new self(
            $this->codec,
            $this->own,
            $this->track,
            $picture ?? $this->picture,
            $alphaKind ?? $this->alphaKind,
            $this->notes + $notes,
        );
    }

    /** @param  list<SoundTrack>  $sound */
    public function facts(Kind $kind, array $sound): MediaFacts
    {
        $timing = $this->track->timing;
        $hasAlpha = in_array('A', $this->own->channels ?? [], true);

        return new MediaFacts(
            $kind,
            $this->picture,
            new PictureEncoding(
                $this->own->bitDepth,
                $this->own->bitDepth === null ? null : 'uint',
                $this->own->channels,
                codec: $this->codec,
                chroma: $this->own->chroma,
            ),
            new TimingFacts($timing->rate, $timing->count, duration: $timing->duration),
            new FileLabels(header: $this->notes, alphaKind: $hasAlpha ? $this->alphaKind : null),
            Wholeness::whole(),
            new MovieFacts($this->track, $sound),
        );
    }
}
