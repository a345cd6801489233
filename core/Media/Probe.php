<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use PlainLedger\Core\Media\Readers\Avi\AviReader;
use PlainLedger\Core\Media\Readers\BmpReader;
use PlainLedger\Core\Media\Readers\Boxes\BoxMovieReader;
use PlainLedger\Core\Media\Readers\DpxReader;
use PlainLedger\Core\Media\Readers\ExrReader;
use PlainLedger\Core\Media\Readers\HeaderOutline;
use PlainLedger\Core\Media\Readers\JpegReader;
use PlainLedger\Core\Media\Readers\Matroska\MatroskaReader;
use PlainLedger\Core\Media\Readers\Mxf\MxfReader;
use PlainLedger\Core\Media\Readers\OutliningReader;
use PlainLedger\Core\Media\Readers\PngReader;
use PlainLedger\Core\Media\Readers\Reader;
use PlainLedger\Core\Media\Readers\TgaReader;
use PlainLedger\Core\Media\Readers\TiffReader;
use PlainLedger\Core\Media\Readers\WavReader;
use PlainLedger\Core\Media\Readers\WebpReader;

/** What a file is and says of itself, by the reader of its kind. */
final class Probe
{
    /** Of frames that lie together: passes, takes, formats. */
    private const MOST_OUTLINES = 8;

    /** @var array<string, Reader> by kind */
    private readonly array $readers;

    /** @var list<HeaderOutline> of files that were read, the newest first: frames of one sequence share most of it */
    private array $outlines = [];

    private bool $isExact = false;

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
            new BoxMovieReader(Kind::Mp4),
            new BoxMovieReader(Kind::Mov),
            new AviReader,
            new MatroskaReader(Kind::Mkv),
            new MatroskaReader(Kind::Webm),
            new MxfReader,
        );
    }

    /** Reads each header anew, so that also its texts are each file's own. */
    public static function exact(): self
    {
        $probe = self::standard();
        $probe->isExact = true;

        return $probe;
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
        $isQuick = $depth === ScanDepth::Quick && ! $this->isExact;

        return ($isQuick ? $this->readLike($file) : null) ?? $this->readAnew($file, $depth, $isQuick);
    }

    public function readerOf(Kind $kind): ?Reader
    {
        return $this->readers[$kind->value] ?? null;
    }

    /** By a file before it that has the same header but for little; null where there is none. */
    private function readLike(FileEnds $file): ?MediaFacts
    {
        foreach ($this->outlines as $outline) {
            $facts = $outline->read($file);
            if ($facts !== null) {
                return $facts;
            }
        }

        return null;
    }

    private function readAnew(FileEnds $file, ScanDepth $depth, bool $remembers): MediaFacts
    {
        $kind = Signature::of($file);
        if ($kind === null) {
            return trim($file->head, "\0") === ''
                ? MediaFacts::damaged(null, Damage::Zeros, 'it begins with nothing but zeros')
                : MediaFacts::damaged(null, Damage::Unrecognised, 'no known kind of picture or movie');
        }
        $reader = $this->readers[$kind->value] ?? null;
        if ($reader === null) {
            return new MediaFacts($kind);
        }
        try {
            $facts = $reader->read($file, $depth);
            if ($remembers && $reader instanceof OutliningReader && $facts->isWhole() && $facts->unread() === null) {
                $this->remember($reader->outline($file, $facts));
            }

            return $facts;
        } catch (FileDamaged $damaged) {
            return MediaFacts::damaged($kind, $damaged->damage, $damaged->reason);
        }
    }

    private function remember(?HeaderOutline $outline): void
    {
        if ($outline !== null) {
            $this->outlines = array_slice([$outline, ...$this->outlines], 0, self::MOST_OUTLINES);
        }
    }
}
