<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\Damage;
use PlainLedger\Core\Media\FileLabels;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Movie\MovieFacts;
use PlainLedger\Core\Media\Movie\SoundTrack;
use PlainLedger\Core\Media\PictureEncoding;
use PlainLedger\Core\Media\PictureFacts;
use PlainLedger\Core\Media\TimingFacts;
use PlainLedger\Core\Media\Wholeness;

/** Facts as files share them, each kept once and known by a small number. */
final class FactsTable
{
    /** So many different damage texts are kept word for word; later ones lose their numbers. */
    private const MOST_TEXTS = 2000;

    /** @var list<MediaFacts> */
    private array $facts = [];

    /** @var array<string, int> */
    private array $ids = [];

    /**
     * The last facts seen and their id: frames in a row mostly share the very same.
     *
     * @var array{MediaFacts|null, int}
     */
    private array $last = [null, 0];

    public function intern(MediaFacts $facts): int
    {
        if ($this->last[0]?->isOfSame($facts) === true) {
            return $this->last[1];
        }
        if ($facts->damage() !== null && count($this->facts) > self::MOST_TEXTS) {
            $facts = MediaFacts::damaged($facts->kind, $facts->damage(), $facts->damage()->value);
        }
        $plain = $facts->withoutHeader();
        $key = self::key($this->row($plain));
        if (! isset($this->ids[$key])) {
            $this->ids[$key] = count($this->facts);
            $this->facts[] = $plain;
        }
        $this->last = [$facts, $this->ids[$key]];

        return $this->ids[$key];
    }

    /** @param  list<mixed>  $row */
    private static function key(array $row): string
    {
        return (string) json_encode($row, JSON_INVALID_UTF8_SUBSTITUTE);
    }

    public function get(int $id): MediaFacts
    {
        return $this->facts[$id];
    }

    /** Of what was found out about a file after all were read: others that were like it until then are not meant. */
    public function internLater(MediaFacts $facts): int
    {
        // facts in a row are told apart by what readers find, and this is more
        $this->last = [null, 0];
        $id = $this->intern($facts);
        $this->last = [null, 0];

        return $id;
    }

    public function count(): int
    {
        return count($this->facts);
    }

    /** @return list<mixed> in an order that stays, since rows are kept: what had another place once is empty there */
    private function row(MediaFacts $facts): array
    {
        [$picture, $encoding, $timing] = [$facts->picture, $facts->encoding, $facts->timing];

        return [
            $facts->kind?->value,
            $picture->width,
            $picture->height,
            $picture->pixelAspect === null ? null : Fraction::writeFull($picture->pixelAspect),
            $encoding->bitDepth,
            $encoding->sample,
            $encoding->channels,
            $encoding->hasAlpha(),
            $encoding->compression,
            $timing->rate === null ? null : (string) $timing->rate,
            $timing->frameCount,
            $encoding->codec,
            $encoding->chroma,
            $picture->region,
            $facts->labels->camera,
            $facts->labels->layers,
            null,
            $facts->wholeness->complete,
            $facts->wholeness->damage?->value,
            $facts->wholeness->reason,
            $facts->movie?->toArray() ?? [],
            $picture->density,
            $picture->colour,
            $picture->projection,
            $encoding->quality,
            $facts->labels->alphaKind,
        ];
    }

    /** @return list<list<mixed>> */
    public function toArray(): array
    {
        return array_map($this->row(...), $this->facts);
    }

    /** @param  list<list<mixed>>  $rows */
    public static function fromArray(array $rows): self
    {
        $table = new self;
        foreach ($rows as $row) {
            $table->ids[self::key($row)] ??= count($table->facts);
            $table->facts[] = self::factsOf($row);
        }

        return $table;
    }

    /**
     * Rows that were kept before movies were read have sound alone.
     *
     * @param  array<string, mixed>  $tracks
     * @param  array{sample_rate: int|null, channels: int|null, bit_depth: int|null, codec: string}|null  $sound
     */
    private static function movie(array $tracks, ?array $sound): ?MovieFacts
    {
        if ($tracks === []) {
            return $sound === null ? null : new MovieFacts(sound: [SoundTrack::fromArray($sound)]);
        }

        /** @phpstan-ignore argument.type (as it was kept) */
        return MovieFacts::fromArray($tracks);
    }

    private static function rate(?string $text): ?FrameRate
    {
        return $text === null ? null : FrameRate::parse($text);
    }

    /** @param  list<mixed>  $row */
    private static function factsOf(array $row): MediaFacts
    {
        /**
         * @var array{string|null, int|null, int|null, string|null, int|null, string|null, list<string>|null,
         *   bool|null, string|null, string|null, int|null, string|null, string|null, string|null, string|null,
         *   list<string>, array{sample_rate: int|null, channels: int|null, bit_depth: int|null, codec: string}|null,
         *   bool|null, string|null, string|null, array<string, mixed>,
         *   21?: int|null, 22?: string|null, 23?: string|null, 24?: int|null, 25?: string|null} $row
         */
        [
            $kind, $width, $height, $aspect, $bits, $sample, $channels, , $compression, $rate, $frames,
            $codec, $chroma, $region, $camera, $layers, $sound, $complete, $damage, $reason, $tracks,
        ] = $row;
        $movie = self::movie($tracks, $sound);
        $aspect = $aspect === null ? null : Fraction::parse($aspect);
        [$density, $colour, $projection] = [$row[21] ?? null, $row[22] ?? null, $row[23] ?? null];

        return new MediaFacts(
            $kind === null ? null : Kind::from($kind),
            new PictureFacts($width, $height, $aspect, $region, $density, $colour, $projection),
            new PictureEncoding(
                $bits,
                $sample,
                $channels,
                $compression,
                $codec,
                $chroma,
                $row[24] ?? null,
            ),
            new TimingFacts(
                self::rate($rate),
                $frames,
                duration: $movie?->picture->timing->duration,
            ),
            new FileLabels($camera, $layers, [], $row[25] ?? null),
            new Wholeness($complete, $damage === null ? null : Damage::from($damage), $reason),
            $movie,
        );
    }
}
