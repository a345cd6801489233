<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use PlainLedger\Core\Media\Readers\BmpReader;
use PlainLedger\Core\Media\Readers\DpxReader;
use PlainLedger\Core\Media\Readers\ExrReader;
use PlainLedger\Core\Media\Readers\JpegReader;
use PlainLedger\Core\Media\Readers\PngReader;
use PlainLedger\Core\Media\Readers\Reader;
use PlainLedger\Core\Media\Readers\TgaReader;
use PlainLedger\Core\Media\Readers\TiffReader;
use PlainLedger\Core\Media\Readers\WavReader;
use PlainLedger\Core\Media\Readers\WebpReader;

/** What a file is and says of itself, by the reader of its kind. */
final class Probe
{
    private const MOST_REMEMBERED = 64;

    /** @var array<string, Reader> by kind */
    private readonly array $readers;

    /** @var array<string, MediaFacts> by header key: frames of one sequence mostly share their header */
    private array $remembered = [];

    public function __construct(Reader ...$readers)
    {
        $byKind = [];
        foreach ($readers as $reader) {
            $byKind[$reader->kind()->value] = $reader;
        }
        $this->readers = $byKind;
    }

    /** With every reader there is. */
    public static function standard(): self
    {
        return new self(
            new PngReader,
            new JpegReader,
            new ExrReader,
            new TiffReader,
            new TgaReader,
            new DpxReader,
            new BmpReader,
            new WebpReader,
            new WavReader,
        );
    }

    /**
     * Never throws for what stands in the file: damage is told in the facts.
     *
     * @throws BytesMissing|SourceUnreadable
     */
    public function read(ByteSource $source, ScanDepth $depth = ScanDepth::Quick): MediaFacts
    {
        if ($source->size() === 0) {
            return MediaFacts::damaged(null, Damage::Empty, 'the file is empty');
        }
        $file = FileEnds::of($source);
        $kind = Signature::of($file);
        if ($kind === null) {
            return trim($file->head, "\0") === ''
                ? MediaFacts::damaged(null, Damage::Zeros, 'it begins with nothing but zeros')
                : MediaFacts::damaged(null, Damage::Unrecognised, 'no known kind of picture or movie');
        }
        $reader = $this->readers[$kind->value] ?? null;
        try {
            return $reader === null ? new MediaFacts($kind) : $this->readBy($reader, $file, $depth);
        } catch (FileDamaged $damaged) {
            return MediaFacts::damaged($kind, $damaged->damage, $damaged->reason);
        }
    }

    /** @throws FileDamaged|BytesMissing|SourceUnreadable */
    private function readBy(Reader $reader, FileEnds $file, ScanDepth $depth): MediaFacts
    {
        $key = $depth === ScanDepth::Quick ? $reader->headerKey($file) : null;
        if ($key !== null && isset($this->remembered[$key])) {
            return self::withTail($this->remembered[$key], $reader, $file);
        }
        $facts = $reader->read($file, $depth);
        if ($key !== null && $facts->isWhole() && $facts->unread() === null) {
            if (count($this->remembered) >= self::MOST_REMEMBERED) {
                $this->remembered = [];
            }
            $this->remembered[$key] = $facts;
        }

        return $facts;
    }

    private static function withTail(MediaFacts $facts, Reader $reader, FileEnds $file): MediaFacts
    {
        try {
            $damaged = $reader->tailDamage($file);
        } catch (FileTooLarge $over) {
            return $facts->withUnread($over->getMessage());
        }

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->reason);
    }
}
