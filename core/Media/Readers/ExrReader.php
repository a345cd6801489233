<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\ColourEncoding;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\ScanDepth;

/**
 * OpenEXR, file layout of version 2: scanline, tiled, deep and multi-part. The quick look reads the headers, the
 * offset tables and the lead of the last chunk; in full, every chunk's lead is followed and deflated ones unpacked.
 */
final readonly class ExrReader implements Reader
{
    public function kind(): Kind
    {
        return Kind::Exr;
    }

    public function headerKey(string $head): ?string
    {
        return null;
    }

    public function tailDamage(ByteSource $source, string $head): ?FileDamaged
    {
        return null;
    }

    public function read(ByteSource $source, string $head, ScanDepth $depth): MediaFacts
    {
        $file = ExrHeader::read($source, $head);
        $facts = $this->facts($file);
        try {
            (new ExrChunks($source, $file))->check($depth);
        } catch (FileDamaged $damaged) {
            return $facts->withDamage($damaged->damage, $damaged->getMessage());
        } catch (FileTooLarge $over) {
            return $facts->withUnread($over->getMessage());
        }

        return $facts;
    }

    private function facts(ExrHeader $file): MediaFacts
    {
        $part = $file->parts[0];
        $channels = Channels::sorted($part->channelNames());
        [$bits, $sample] = $this->depth($part);
        $layers = [];
        $header = $part->texts;
        foreach ($file->parts as $n => $each) {
            foreach ($each->channelNames() as $name) {
                $layer = Channels::split($name)[0];
                if ($layer !== '') {
                    $layers[$layer] = true;
                }
            }
            if ($each->name !== null && count($file->parts) > 1) {
                $layers[$each->name] = true;
                $header['part '.($n + 1)] = $each->name.': '.Channels::write($each->channelNames());
            }
        }
        $camera = null;
        foreach (['camera', 'cameraname', 'camera_name', 'cameralabel'] as $key) {
            foreach ($part->texts as $name => $value) {
                if ($camera === null && strtolower($name) === $key && trim($value) !== '') {
                    $camera = trim($value);
                }
            }
        }
        $window = $part->dataWindow;
        $display = $part->displayWindow;
        $covers = $window[0] <= $display[0]
            && $window[1] <= $display[1]
            && $window[2] >= $display[2]
            && $window[3] >= $display[3];

        return new MediaFacts(
            Kind::Exr,
            $display[2] - $display[0] + 1,
            $display[3] - $display[1] + 1,
            $part->pixelAspect > 0 ? Fraction::fromFloat($part->pixelAspect) : BigRational::one(),
            $bits,
            $sample,
            $channels,
            in_array('A', array_map(static fn (string $c): string => Channels::split($c)[1], $channels), true),
            $part->compressionName(),
            $part->frameRate === null ? null : FrameRate::of(...$part->frameRate),
            region: $covers
                ? 'full'
                : ($window[0] - $display[0])
                    .','
                    .($window[1] - $display[1])
                    .','
                    .($window[2] - $window[0] + 1)
                    .','
                    .($window[3] - $window[1] + 1),
            camera: $camera,
            layers: array_map(strval(...), array_keys($layers)),
            complete: true,
            header: $header,
            density: $part->density,
            colour: ColourEncoding::inTexts($part->texts),
            projection: $part->projection,
            frameNumber: $part->frameNumber,
            timecode: $part->timecode,
        );
    }

    /**
     * Of the colour channels where there are any, since a half picture often carries full-float depth beside it.
     *
     * @return array{int, string}
     */
    private function depth(ExrPart $part): array
    {
        $types = [];
        foreach ($part->channels as $name => $type) {
            if (in_array(strtoupper(Channels::split((string) $name)[1]), ['R', 'G', 'B', 'Y', 'RY', 'BY'], true)) {
                $types[] = $type;
            }
        }
        // the weakest decides: one half channel makes it a half picture
        $type = min([2, ...($types === [] ? array_values($part->channels) : $types)]);
        if ($types !== [] && in_array(1, $types, true)) {
            $type = 1;
        }

        return match ($type) {
            0 => [32, 'uint'], 1 => [16, 'float'], default => [32, 'float'],
        };
    }
}
