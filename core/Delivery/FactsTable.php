<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\Damage;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;

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
        if ($this->last[0] === $facts) {
            return $this->last[1];
        }
        if ($facts->damage !== null && count($this->facts) > self::MOST_TEXTS) {
            $facts = MediaFacts::damaged($facts->kind, $facts->damage, $facts->damage->value);
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

    public function count(): int
    {
        return count($this->facts);
    }

    /** @return list<mixed> */
    private function row(MediaFacts $f): array
    {
        $fraction = static fn (?BigRational $v): ?string => $v === null ? null : Fraction::writeFull($v);

        return [
            $f->kind?->value, $f->width, $f->height, $fraction($f->pixelAspect), $f->bitDepth, $f->sample, $f->channels,
            $f->alpha,
            $f->compression,
            $f->frameRate === null ? null : (string) $f->frameRate,
            $f->frameCount,
            $f->codec,
            $f->chroma,
            $f->region,
            $f->camera, $f->layers, $f->audio, $f->complete, $f->damage?->value, $f->damageSays, $f->tracks,
            $f->density, $f->colour, $f->projection, $f->quality,
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
            /** @var array{string|null, int|null, int|null, string|null, int|null, string|null, list<string>|null, bool|null, string|null, string|null, int|null, string|null, string|null, string|null, string|null, list<string>, array<string, mixed>|null, bool|null, string|null, string|null, array<string, mixed>, 21?: int|null, 22?: string|null, 23?: string|null, 24?: int|null} $row */
            [
                $kind, $width, $height, $aspect, $bits, $sample, $channels, $alpha, $compression, $rate, $frames,
                $codec, $chroma, $region, $camera, $layers, $audio, $complete, $damage, $says, $tracks,
            ] = $row;
            $table->ids[self::key(array_values($row))] ??= count($table->facts);
            $table->facts[] = new MediaFacts(
                $kind === null ? null : Kind::from($kind),
                $width,
                $height,
                $aspect === null ? null : Fraction::parse($aspect),
                $bits,
                $sample,
                $channels,
                $alpha,
                $compression,
                $rate === null ? null : FrameRate::parse($rate),
                $frames,
                $codec,
                $chroma,
                $region,
                $camera,
                $layers, $audio, $complete, $damage === null ? null : Damage::from($damage), $says, [], $tracks,
                $row[21] ?? null, $row[22] ?? null, $row[23] ?? null, $row[24] ?? null,
            );
        }

        return $table;
    }
}
