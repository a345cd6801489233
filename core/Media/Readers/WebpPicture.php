<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\ColourEncoding;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** What the chunks of a WebP tell (RFC 9649, 2.5 to 2.7). */
final class WebpPicture
{
    private const LARGEST_NOTE = 1 << 17;

    /** A frame of an animation: where it stands and how long, before its own chunks. */
    private const FRAME_LEAD = 16;

    private const ALPHA = 0x10;

    private const LOSSLESS_MARK = "\x2F";

    private const LOSSY_MARK = "\x9D\x01\x2A";

    public int $width = 0;

    public int $height = 0;

    public bool $hasAlpha = false;

    public bool $isLossless = false;

    public bool $hasPixels = false;

    public int $frames = 0;

    public ?int $density = null;

    public ?string $colour = null;

    public ?string $projection = null;

    /** Where its last chunk ends, as that says. */
    public int $end = 0;

    private bool $isExtended = false;

    private function __construct(private readonly FileEnds $file) {}

    /** @throws FileDamaged */
    public static function read(FileEnds $file): self
    {
        $picture = new self($file);
        $due = 8 + ByteOrder::Little->u32($file->head, 4);
        foreach (RiffChunks::of($file) as [$type, $at, $length]) {
            // what stands behind the told end is none of it
            if ($at > $due) {
                break;
            }
            $picture->end = $at + $length;
            $picture->take($type, $at, $length);
        }
        if ($picture->width === 0) {
            throw FileDamaged::cutShort('the file ends inside its header, after '.$file->size().' bytes');
        }

        return $picture;
    }

    /** @throws FileDamaged */
    private function take(string $type, int $at, int $length): void
    {
        match ($type) {
            'VP8X' => $this->takeCanvas($this->file->read($at, 10)),
            'VP8 ' => $this->takeLossy($this->file->read($at, 10)),
            'VP8L' => $this->takeLossless($this->file->read($at, 5)),
            'ANMF' => $this->takeFrame($at, $length),
            'ICCP' => $this->takeProfile($this->file->read($at, min($length, self::LARGEST_NOTE))),
            'EXIF' => $this->takeExif($this->file->read($at, min($length, self::LARGEST_NOTE))),
            'XMP ' => $this->projection = ProjectionTag::in($this->file->read($at, min($length, self::LARGEST_NOTE))),
            default => null,
        };
    }

    private function takeCanvas(string $bytes): void
    {
        if (strlen($bytes) < 10) {
            throw FileDamaged::cutShort('the file ends inside its header, after '.$this->file->size().' bytes');
        }
        $this->isExtended = true;
        $this->hasAlpha = (ord($bytes[0]) & self::ALPHA) !== 0;
        $this->width = 1 + (ByteOrder::Little->u32($bytes, 4) & 0xFFFFFF);
        $this->height = 1 + (ByteOrder::Little->u32($bytes."\0", 7) & 0xFFFFFF);
    }

    private function takeLossy(string $bytes): void
    {
        if (substr($bytes, 3, 3) !== self::LOSSY_MARK) {
            throw strlen($bytes) < 10
                ? FileDamaged::cutShort('the file ends inside its header, after '.$this->file->size().' bytes')
                : FileDamaged::header('its picture does not begin with the mark of a key frame');
        }
        $this->hasPixels = true;
        if (! $this->isExtended) {
            $this->width = ByteOrder::Little->u16($bytes, 6) & 0x3FFF;
            $this->height = ByteOrder::Little->u16($bytes, 8) & 0x3FFF;
        }
    }

    private function takeLossless(string $bytes): void
    {
        if (($bytes[0] ?? '') !== self::LOSSLESS_MARK) {
            throw FileDamaged::header('its picture does not begin with the mark of a lossless one');
        }
        $this->hasPixels = true;
        $this->isLossless = true;
        if (! $this->isExtended) {
            $bits = ByteOrder::Little->u32($bytes, 1);
            $this->width = 1 + ($bits & 0x3FFF);
            $this->height = 1 + ($bits >> 14 & 0x3FFF);
            $this->hasAlpha = ($bits >> 28 & 1) === 1;
        }
    }

    /** Whether it is lossless is asked of the first. */
    private function takeFrame(int $at, int $length): void
    {
        if (++$this->frames > 1 || $length < self::FRAME_LEAD) {
            return;
        }
        foreach (RiffChunks::of($this->file, $at + self::FRAME_LEAD) as [$type, $place]) {
            $isPicture = in_array($type, ['VP8 ', 'VP8L'], true);
            if ($place >= $at + $length || $isPicture) {
                $this->hasPixels = $isPicture && $place < $at + $length;
                $this->isLossless = $type === 'VP8L';

                return;
            }
        }
    }

    private function takeProfile(string $bytes): void
    {
        $this->colour = ColourEncoding::fromProfile('', $bytes) ?? $this->colour;
    }

    private function takeExif(string $bytes): void
    {
        [$this->density, $colour] = Exif::read(str_starts_with($bytes, "Exif\0\0") ? substr($bytes, 6) : $bytes);
        $this->colour ??= $colour;
    }
}
