<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** One track: its header, its clock, how its samples are kept and where (ISO/IEC 14496-12, 8.3). */
final readonly class BoxTrack
{
    public const PICTURES = 'vide';

    public const SOUND = 'soun';

    public const TIMECODE = 'tmcd';

    private const ONE = 65536;

    /** The identity of the box in which spherical movies were described before there was one of their own. */
    private const SPHERICAL = "\xFF\xCC\x82\x63\xF8\x55\x4A\x93\x88\x14\x58\x7A\x02\x52\x1F\xDD";

    /** Modes of drawing that name a kind of alpha. */
    private const ALPHA_MODES = [0x100 => 'straight', 0x101 => 'premultiplied', 0x102 => 'premultiplied'];

    private function __construct(
        public string $handler,
        public int $scale,
        public SampleTable $table,
        private FileEnds $file,
        private ?Box $entry,
        private BoxTrackHeader $header,
        private TrackBoxes $boxes,
    ) {}

    /** @throws FileDamaged */
    public static function read(FileEnds $file, Box $track): ?self
    {
        $boxes = Boxes::within($file, $track);
        $media = isset($boxes['mdia']) ? Boxes::within($file, $boxes['mdia']) : [];
        if (! isset($boxes['tkhd'], $media['mdhd'], $media['hdlr'], $media['minf'])) {
            return null;
        }
        $inner = Boxes::within($file, $media['minf']);
        $table = isset($inner['stbl']) ? Boxes::within($file, $inner['stbl']) : [];
        $clock = $file->read($media['mdhd']->body, 24);
        $edits = isset($boxes['edts']) ? Boxes::within($file, $boxes['edts'])['elst'] ?? null : null;

        return new self(
            substr($file->read($media['hdlr']->body, 12), 8, 4),
            ByteOrder::Big->u32($clock, ord($clock[0]) === 1 ? 20 : 12),
            new SampleTable($file, $table),
            $file,
            isset($table['stsd']) ? self::firstEntry($file, $table['stsd']) : null,
            BoxTrackHeader::read($file, $boxes['tkhd']),
            new TrackBoxes($edits, $inner['vmhd'] ?? null, $boxes['uuid'] ?? null),
        );
    }

    private static function firstEntry(FileEnds $file, Box $descriptions): ?Box
    {
        foreach (Boxes::in($file, $descriptions->body + 8, $descriptions->end) as $entry) {
            return $entry->end > $descriptions->end ? null : $entry;
        }

        return null;
    }

    public function id(): int
    {
        return $this->header->id;
    }

    public function isEnabled(): bool
    {
        return $this->header->isEnabled;
    }

    public function rotation(): int
    {
        return $this->header->rotation;
    }

    public function entryBox(): ?Box
    {
        return $this->entry;
    }

    public function pictures(): ?SampleEntry
    {
        return $this->entry === null ? null : SampleEntry::read($this->file, $this->entry);
    }

    public function edits(int $movieScale): EditList
    {
        return EditList::read($this->file, $this->boxes->edits, $this->scale, $movieScale);
    }

    /** By the size at which the header has it shown; null where that is its own, or not told. */
    public function shownAspect(int $width, int $height): ?BigRational
    {
        [$across, $down] = [$this->header->width, $this->header->height];
        $isOwn = abs($across - $width * self::ONE) < self::ONE && abs($down - $height * self::ONE) < self::ONE;
        if ($across < 1 || $down < 1 || $width < 1 || $height < 1 || $isOwn) {
            return null;
        }
        $aspect = BigRational::nd($across, $down)->multipliedBy(BigRational::nd($height, $width))->simplified();

        return $aspect->minus(1)->abs()->isLessThan(BigRational::nd(1, 1000)) ? null : $aspect;
    }

    /** `straight` or `premultiplied`; null where the file does not say. */
    public function alphaKind(): ?string
    {
        $box = $this->boxes->drawing;

        return $box === null
            ? null
            : self::ALPHA_MODES[ByteOrder::Big->u16($this->file->read($box->body + 4, 2))] ?? null;
    }

    /** As cameras wrote it before there was a box for it; null where nothing says so. */
    public function projection(): ?string
    {
        $box = $this->boxes->noted;
        $packet = $box === null ? '' : $this->file->read($box->body, min(8192, $box->length()));
        if (! str_starts_with($packet, self::SPHERICAL)) {
            return null;
        }
        if (preg_match('~Spherical>\s*true~i', $packet) !== 1) {
            return null;
        }

        return preg_match('~StereoMode>\s*(?:top-bottom|left-right)~i', $packet) === 1
            ? 'lat-long stereo'
            : 'lat-long';
    }
}
