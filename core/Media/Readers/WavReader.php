<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\FileLabels;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Movie\MovieFacts;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\TimingFacts;
use PlainLedger\Core\Media\Wholeness;
use PlainLedger\Core\Text\Text;

/**
 * WAVE sound: whole numbers, floats, compressed forms by their tags, the extensible form, and lengths beyond four
 * gigabytes (RF64, EBU Tech 3306). It has no checksums: whole is what reaches its told length.
 */
final readonly class WavReader implements Reader
{
    /** What of a chunk of notes is read. */
    private const NOTES = 602;

    public function kind(): Kind
    {
        return Kind::Wav;
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        [$format, $data, $notes] = $this->chunks($file);
        if ($format === null) {
            throw FileDamaged::cutShort("no chunk says how its sound is kept, up to its end at {$file->size()}");
        }
        $wholeness = self::wholeness($file, $data);
        $there = $data === null ? 0 : max(0, min($data[1], $file->size() - $data[0]));
        $bytes = ByteOrder::Little->u16($format, 12);
        $rate = ByteOrder::Little->u32($format, 4);
        $seconds = $bytes > 0 && $rate > 0 ? BigRational::nd(intdiv($there, $bytes), $rate)->simplified() : null;
        $sound = WaveFormat::read($format);

        return new MediaFacts(
            Kind::Wav,
            timing: new TimingFacts(duration: str_starts_with($sound->codec, 'pcm') ? $seconds : null),
            labels: new FileLabels(header: $notes),
            wholeness: $wholeness,
            movie: new MovieFacts(sound: [$sound]),
        );
    }

    /** @return array{string|null, array{int, int}|null, array<string, string>} format; where the sound is; notes */
    private function chunks(FileEnds $file): array
    {
        [$format, $data, $notes] = [null, null, []];
        /** @var \ArrayObject<string, int> $long */
        $long = new \ArrayObject;
        foreach (RiffChunks::of($file, null, $long) as [$type, $at, $length]) {
            if ($type === 'ds64') {
                $long['data'] = max(0, ByteOrder::Little->u64($file->read($at, 16), 8));
                $notes['long form'] = 'yes';
            } elseif ($type === 'fmt ' && $length >= 16) {
                $format ??= str_pad($file->read($at, min($length, 40)), 40, "\0");
            } elseif ($type === 'data') {
                $data ??= [$at, $length];
            } elseif ($type === 'bext') {
                $notes += self::notes($file->read($at, min($length, self::NOTES)));
            }
        }

        return [$format, $data, $notes];
    }

    /** @param  array{int, int}|null  $data */
    private static function wholeness(FileEnds $file, ?array $data): Wholeness
    {
        $size = $file->size();
        $damaged = match (true) {
            $data === null => FileDamaged::cutShort("the file ends before its sound, after {$size} bytes"),
            $size < $data[0] + $data[1] => FileDamaged::cutShort(
                "its sound takes {$data[1]} bytes and the file ends after ".max(0, $size - $data[0]).' of them',
            ),
            default => null,
        };

        return $damaged === null ? Wholeness::whole() : Wholeness::damaged($damaged->damage, $damaged->reason);
    }

    /** @return array<string, string> of the broadcast extension (EBU Tech 3285): what it is, by whom, from when on */
    private static function notes(string $bytes): array
    {
        $notes = [];
        foreach (['description' => [0, 256], 'originator' => [256, 32]] as $name => [$at, $length]) {
            $text = trim(explode("\0", substr($bytes, $at, $length))[0]);
            $notes += $text === '' ? [] : [$name => Text::named($text)];
        }
        $samples = ByteOrder::Little->u64($bytes, 338);

        return $notes + ($samples > 0 ? ['first sample since midnight' => (string) $samples] : []);
    }
}
