<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Matroska;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\Readers\MovieDescription;

/** What a Matroska file consists of (RFC 9559, 5.1): tracks, clock, tags, and block by block its pictures. */
final class MatroskaOutline
{
    private const SEGMENT = 0x18538067;

    private const INFO = 0x1549A966;

    private const TRACKS = 0x1654AE6B;

    private const TRACK = 0xAE;

    private const TAGS = 0x1254C367;

    private const CLUSTER = 0x1F43B675;

    private const CLUSTER_TIME = 0xE7;

    private const SIMPLE_BLOCK = 0xA3;

    private const GROUP = 0xA0;

    private const BLOCK = 0xA1;

    private const REFERENCE = 0xFB;

    private const LASTS = 0x9B;

    /** Nanoseconds of a tick, where a file does not say. */
    private const USUAL_SCALE = 1_000_000;

    /** More elements than these are not walked through in a quick look. */
    public const MOST_ELEMENTS = 400_000;

    /** Of a file whose pieces have to be sent. */
    public const FEW_ELEMENTS = 40;

    /** @var list<MatroskaTrack> */
    public array $tracks = [];

    /** Nanoseconds of a tick. */
    public int $scale = self::USUAL_SCALE;

    public ?string $timecode = null;

    public ?FileDamaged $damaged = null;

    /** In ticks, as the file claims; 0 where it does not. */
    public float $duration = 0.0;

    private int $clusterTime = 0;

    public bool $hasClusters = false;

    /** Where the elements of the segment begin. */
    private int $start = 0;

    private function __construct(private readonly Ebml $ebml) {}

    public static function read(Ebml $ebml): self
    {
        $outline = new self($ebml);
        $place = 0;
        while (($element = $ebml->at($place)) !== null && $element->id !== self::SEGMENT) {
            if ($element->end === null || $element->end > $ebml->size()) {
                throw FileDamaged::cutShort("the file ends inside its header, after {$ebml->size()} bytes");
            }
            $place = $element->end;
        }
        if ($element === null) {
            throw FileDamaged::cutShort("the file ends before its tracks, after {$ebml->size()} bytes");
        }
        if ($element->end !== null && $element->end > $ebml->size()) {
            $outline->damaged = FileDamaged::cutShort(
                "the file says that it reaches to byte {$element->end} and ends after {$ebml->size()}",
            );
        }
        $outline->start = $element->body;
        $outline->headers();

        return $outline;
    }

    /** What describes the tracks, up to the first cluster. */
    private function headers(): void
    {
        $place = $this->start;
        for ($i = 0; $i < MovieDescription::MOST_TRACKS; $i++) {
            $element = $this->ebml->at($place);
            if ($element === null || $element->id === self::CLUSTER) {
                return;
            }
            if ($element->end === null || $element->end > $this->ebml->size()) {
                throw FileDamaged::cutShort("the file ends inside its header, after {$this->ebml->size()} bytes");
            }
            $this->header($element);
            $place = $element->end;
        }
    }

    private function header(EbmlElement $element): void
    {
        if ($element->id === self::INFO) {
            foreach ($this->ebml->within($element->body, (int) $element->end) as $inner) {
                match ($inner->id) {
                    0x2AD7B1 => $this->scale = max(1, $this->ebml->whole($inner)),
                    0x4489 => $this->duration = $this->ebml->float($inner),
                    default => null,
                };
            }
        } elseif ($element->id === self::TRACKS) {
            foreach ($this->ebml->within($element->body, (int) $element->end) as $inner) {
                if ($inner->id === self::TRACK && count($this->tracks) < MovieDescription::MOST_TRACKS) {
                    $this->tracks[] = MatroskaTrack::read($this->ebml, $inner);
                }
            }
        } elseif ($element->id === self::TAGS) {
            $this->tags($element);
        }
    }

    /** A time address among the tags, as writers put it there. */
    private function tags(EbmlElement $tags): void
    {
        $bytes = $this->ebml->data($tags);
        if (preg_match('~\x45\xA3.{1,2}?TIMECODE\x44\x87.{1,2}?(\d\d:\d\d:\d\d[:;]\d\d)~s', $bytes, $m) === 1) {
            $this->timecode ??= $m[1];
        }
    }

    /**
     * All blocks of a track in the order in which they are kept, as far as there is time for them.
     *
     * @param  int|null  $most  elements that are looked at; null for all of them
     * @return \Generator<int, MatroskaBlock, mixed, bool> and whether that was all
     */
    public function blocks(int $track, ?int $most = self::MOST_ELEMENTS): \Generator
    {
        $place = $this->start;
        for ($i = 0; $most === null || $i < $most; $i++) {
            $element = $this->next($place);
            if ($element === null) {
                return true;
            }
            if ($element->id === self::CLUSTER) {
                $this->hasClusters = true;
                $place = $element->body;

                continue;
            }
            $place = $element->end ?? $this->ebml->size();
            if ($place > $this->ebml->size()) {
                $this->damaged ??= FileDamaged::cutShort(
                    "an element reaches to byte {$place} and the file ends after {$this->ebml->size()}",
                );

                return true;
            }
            $block = $this->block($element);
            if ($block !== null && $block->track === $track) {
                yield $block;
            }
        }

        return false;
    }

    /** What does not look like an element is where the file is broken, and ends it. */
    private function next(int $place): ?EbmlElement
    {
        try {
            return $this->ebml->at($place);
        } catch (FileDamaged $damaged) {
            $this->damaged ??= $damaged;

            return null;
        }
    }

    private function block(EbmlElement $element): ?MatroskaBlock
    {
        if ($element->id === self::CLUSTER_TIME) {
            $this->clusterTime = $this->ebml->whole($element);
        } elseif ($element->id === self::TAGS && $this->timecode === null) {
            $this->tags($element);
        } elseif ($element->id === self::SIMPLE_BLOCK) {
            return $this->blockOf($element, null, null);
        } elseif ($element->id === self::GROUP) {
            return $this->grouped($element);
        }

        return null;
    }

    private function grouped(EbmlElement $group): ?MatroskaBlock
    {
        [$block, $isKeyframe, $lasts] = [null, true, null];
        foreach ($this->ebml->within($group->body, (int) $group->end) as $inner) {
            $block ??= $inner->id === self::BLOCK ? $inner : null;
            $isKeyframe = $isKeyframe && $inner->id !== self::REFERENCE;
            $lasts = $inner->id === self::LASTS ? $this->ebml->whole($inner) : $lasts;
        }

        return $block === null ? null : $this->blockOf($block, $isKeyframe, $lasts);
    }

    private function blockOf(EbmlElement $block, ?bool $isKeyframe, ?int $lasts): MatroskaBlock
    {
        $head = $this->ebml->read($block->body, 16);
        $first = ord($head[0] ?? "\0");
        $width = ($first & 0x80) !== 0 ? 1 : 2;
        $track = $width === 1 ? $first & 0x7F : ByteOrder::Big->u16($head) & 0x3FFF;
        $relative = ByteOrder::Big->u16($head, $width);
        $relative -= $relative >= 1 << 15 ? 1 << 16 : 0;
        $flags = ord($head[$width + 2] ?? "\0");
        $isLaced = ($flags & 6) !== 0;

        return new MatroskaBlock(
            $track,
            $this->clusterTime + $relative,
            $isKeyframe ?? ($flags & 0x80) !== 0,
            $lasts,
            $block->body + $width + 3,
            max(0, (int) $block->end - $block->body - $width - 3),
            $isLaced ? 1 + ord($head[$width + 3] ?? "\0") : 1,
        );
    }
}
