<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Avi;

use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Readers\MovieDescription;
use PlainLedger\Core\Media\Readers\RiffChunks;

/** The lists of an AVI: its streams, where its pictures are, its index, and where one of them is cut short. */
final class AviOutline
{
    /** @var list<AviStream> */
    public array $streams = [];

    /** Where the letters of the list of pictures are. */
    public ?int $movie = null;

    /** @var array{int, int}|null where the index begins, and its length */
    public ?array $index = null;

    private ?FileDamaged $damaged = null;

    private function __construct(private readonly FileEnds $file) {}

    public static function read(FileEnds $file): self
    {
        $outline = new self($file);
        foreach (self::chunks($file, 0, $file->size()) as [$type, $at, $length]) {
            if ($type !== 'RIFF') {
                break;
            }
            $outline->within($at + 4, $length);
        }

        return $outline;
    }

    public function damage(): ?FileDamaged
    {
        return match (true) {
            $this->damaged !== null => $this->damaged,
            $this->movie === null => FileDamaged::cutShort('the file ends before its pictures'),
            default => null,
        };
    }

    private function within(int $from, int $length): void
    {
        $end = $length === 0 ? $this->file->size() : $from - 4 + $length;
        $this->damaged ??= match (true) {
            $length === 0 => FileDamaged::cutShort('its length was never written: the writing of it never ended'),
            $end > $this->file->size() => FileDamaged::cutShort(
                "the file says that it has {$end} bytes and ends after {$this->file->size()}",
            ),
            default => null,
        };
        foreach (self::chunks($this->file, $from, min($end, $this->file->size())) as [$type, $at, $size]) {
            $this->take($type === 'LIST' ? $this->file->read($at, 4) : $type, $at, $size);
        }
    }

    private function take(string $type, int $at, int $size): void
    {
        if ($type === 'hdrl') {
            $this->headers($at + 4, $at + $size);
        } elseif ($type === 'movi') {
            $this->movie ??= $at;
        } elseif ($type === 'idx1') {
            $this->index ??= [$at, $size];
        }
    }

    private function headers(int $from, int $end): void
    {
        foreach (self::chunks($this->file, $from, min($end, $this->file->size())) as [$type, $at, $size]) {
            if (
                $type === 'LIST'
                && $this->file->read($at, 4) === 'strl'
                && count($this->streams) < MovieDescription::MOST_TRACKS
            ) {
                $this->streams[] = AviStream::read(
                    $this->file,
                    count($this->streams),
                    self::chunks($this->file, $at + 4, $at + $size),
                );
            }
        }
    }

    /** @return \Generator<int, array{string, int, int}> type, where its data begins, and their length */
    private static function chunks(FileEnds $file, int $from, int $end): \Generator
    {
        foreach (RiffChunks::of($file, $from) as $chunk) {
            if ($chunk[1] > $end) {
                return;
            }
            yield $chunk;
        }
    }
}
