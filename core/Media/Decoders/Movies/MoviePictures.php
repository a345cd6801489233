<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders\Movies;

use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Decoders\GdDecoder;
use PlainLedger\Core\Media\Decoders\PixelsRefused;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Pixels;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\Readers\PlacesPictures;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Media\StringSource;

/** The pictures of a movie whose codec is decoded here, each by its lightness at the points of a grid. */
final readonly class MoviePictures
{
    /** Of one kept picture, in bytes. */
    private const LARGEST = 200_000_000;

    private const MOST_PIXELS = 40_000_000;

    private function __construct(
        private ByteSource $source,
        private MediaFacts $facts,
        private PlacesPictures $reader,
        private string $form,
    ) {}

    /** Why its pictures are not looked at; null where they are. */
    public static function whyNot(MediaFacts $facts): ?string
    {
        $codec = $facts->encoding->codec ?? 'the codec';

        return match (true) {
            ! in_array($facts->kind, [Kind::Mp4, Kind::Mov, Kind::Avi, Kind::Mkv], true) => "{$codec} in "
                .($facts->kind?->spoken() ?? 'this file').' is not decoded here',
            in_array($codec, ['png', 'mjpeg'], true) => null,
            $codec === 'animation' && $facts->encoding->bitDepth === 8 => null,
            $codec === 'raw' && RawLight::reads(self::form($facts)) => null,
            in_array($codec, ['animation', 'raw'], true) => "{$codec} of this form is not decoded here",
            default => "{$codec} is not decoded here",
        };
    }

    private static function hasAlpha(MediaFacts $facts): bool
    {
        return $facts->encoding->hasAlpha() === true;
    }

    private static function form(MediaFacts $facts): string
    {
        $code = $facts->movie?->picture->profile;
        $bits = self::hasAlpha($facts) ? 32 : 24;
        $isColour = $facts->encoding->bitDepth === 8 && in_array('R', $facts->encoding->channels ?? [], true);

        $order = $facts->kind === Kind::Avi ? 'avi' : 'raw';

        return match (true) {
            $code === 'top-down' => "top {$bits}",
            $code !== null => $code,
            default => $isColour ? "{$order} {$bits}" : '',
        };
    }

    /** @param  MediaFacts  $facts  of these very bytes */
    public static function of(ByteSource $source, MediaFacts $facts): ?self
    {
        $reader = $facts->kind === null ? null : Probe::standard()->readerOf($facts->kind);

        return self::whyNot($facts) !== null || ! $reader instanceof PlacesPictures
            ? null
            : new self($source, $facts, $reader, self::form($facts));
    }

    /**
     * @param  array<int, true>  $wanted  places of pictures, counted from 0
     * @return \Generator<int, string> a grid of each that is wanted, by its place
     *
     * @throws PixelsRefused|FileTooLarge|FileDamaged|BytesMissing|SourceUnreadable
     */
    public function grids(array $wanted): \Generator
    {
        [$width, $height] = $this->size();
        if ($this->facts->encoding->codec === 'animation') {
            foreach ($this->drawn($wanted) as $number => $lines) {
                yield $number => $lines->grid();
            }

            return;
        }
        $raw = $this->facts->encoding->codec === 'raw' ? new RawLight($this->form, $width, $height) : null;
        foreach ($this->kept($wanted) as $number => [$place, $size]) {
            if (isset($wanted[$number])) {
                $bytes = $this->read($place, $size);
                yield $number => $raw === null ? $this->still($bytes) : $raw->grid($bytes);
            }
        }
    }

    /**
     * @param  array<int, true>  $wanted  places of pictures, counted from 0
     * @return \Generator<int, array{Pixels, string}> each that is wanted, whole, by its place; and bytes that tell it
     *   apart where its pixels as they come do not
     *
     * @throws PixelsRefused|FileTooLarge|FileDamaged|BytesMissing|SourceUnreadable
     */
    public function images(array $wanted): \Generator
    {
        [$width, $height] = $this->size();
        if ($this->facts->encoding->codec === 'animation') {
            foreach ($this->drawn($wanted) as $number => $lines) {
                yield $number => [$lines->pixels(), ''];
            }

            return;
        }
        $raw = $this->facts->encoding->codec === 'raw' ? new RawPicture($this->form, $width, $height) : null;
        foreach ($this->kept($wanted) as $number => [$place, $size]) {
            if (isset($wanted[$number])) {
                $bytes = $this->read($place, $size);
                yield $number => $raw === null ? $this->decoded($bytes)
                    : [$raw->pixels($bytes), $raw->isLightAlone() ? hash('xxh128', $bytes, true) : ''];
            }
        }
    }

    /**
     * @return array{int, int} width and height
     *
     * @throws FileTooLarge
     */
    private function size(): array
    {
        [$width, $height] = [$this->facts->picture->width ?? 0, $this->facts->picture->height ?? 0];

        return $width * $height > self::MOST_PIXELS || $width < 1 || $height < 1
            ? throw FileTooLarge::pixels($width, $height)
            : [$width, $height];
    }

    /**
     * Pictures that are each drawn over the one before.
     *
     * @param  array<int, true>  $wanted
     * @return \Generator<int, RunLines> the same each time, as it stands at that picture
     */
    private function drawn(array $wanted): \Generator
    {
        $lines = new RunLines(...[...$this->size(), self::hasAlpha($this->facts) ? 4 : 3]);
        foreach ($this->kept($wanted) as $number => [$place, $size]) {
            $lines->draw($this->read($place, $size));
            if (isset($wanted[$number])) {
                yield $number => $lines;
            }
        }
    }

    /**
     * Where each is, up to the last that is wanted.
     *
     * @param  array<int, true>  $wanted
     * @return \Generator<int, array{int, int}>
     */
    private function kept(array $wanted): \Generator
    {
        $last = $wanted === [] ? -1 : max(array_keys($wanted));
        $number = 0;
        foreach ($this->reader->pictures(FileEnds::of($this->source)) as $kept) {
            if ($number > $last) {
                return;
            }
            yield $number++ => $kept;
        }
    }

    private function read(int $place, int $size): string
    {
        if ($size > self::LARGEST) {
            throw FileTooLarge::of('a picture of so many bytes');
        }
        $bytes = '';
        for ($at = 0; $at < $size; $at += 1 << 20) {
            $bytes .= $this->source->read($place + $at, min(1 << 20, $size - $at));
        }

        return $bytes;
    }

    private function still(string $bytes): string
    {
        return PointGrid::of($this->decoded($bytes)[0]);
    }

    /** @return array{Pixels, string} */
    private function decoded(string $bytes): array
    {
        $source = new StringSource($bytes);
        $facts = Probe::standard()->read($source);
        $is = $this->facts->picture;
        if ($facts->picture->width !== $is->width || $facts->picture->height !== $is->height) {
            throw PixelsRefused::because('a picture is of another size than its track');
        }
        $decoder = new GdDecoder;

        return [$decoder->decode($source, $facts), (string) $decoder->tellsApart($source, $facts)];
    }
}
