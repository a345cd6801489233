<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\ByteSource;

/** Whether one kept picture is framed as its codec frames it, and holds no hole of zeros. */
final readonly class SampleFraming
{
    private const PIECE = 1 << 20;

    /** What a broken copy leaves out is whole blocks of a disk. */
    private const BLOCK = 4096;

    /** Codecs whose packed bytes are never so many zeros. */
    private const WITHOUT_ZEROS = ['h264', 'hevc', 'av1', 'vp9', 'vp8', 'mjpeg', 'png', 'ffv1'];

    public function __construct(private ByteSource $source, private string $codec) {}

    /** @return string|null what is wrong with it; null where nothing is */
    public function fault(int $place, int $size): ?string
    {
        if ($size < 1) {
            return null;
        }
        if (in_array($this->codec, self::WITHOUT_ZEROS, true) && $this->hasHole($place, $size)) {
            return 'has a stretch of nothing but zeros';
        }
        $head = $this->source->read($place, 16);
        $isRight = match ($this->codec) {
            'h264', 'hevc' => $this->unitsFit($place, $size),
            'png' => str_starts_with($head, "\x89PNG\r\n\x1A\n"),
            'mjpeg' => str_starts_with($head, "\xFF\xD8") || substr($head, 4, 4) === 'mjpg',
            'prores' => substr($head, 4, 4) === 'icpf' && ByteOrder::Big->u32($head) === $size,
            default => true,
        };

        return $isRight ? null : 'is not framed as '.$this->codec.' is';
    }

    private function hasHole(int $place, int $size): bool
    {
        for ($at = $place, $end = $place + $size; $at < $end; $at += self::PIECE) {
            $bytes = $this->source->read($at, min(self::PIECE, $end - $at));
            if (str_contains($bytes, str_repeat("\0", self::BLOCK))) {
                return true;
            }
        }

        return false;
    }

    /** Units led by their lengths fill a picture exactly; one that has start codes instead is left alone. */
    private function unitsFit(int $place, int $size): bool
    {
        $at = 0;
        while ($at + 4 <= $size) {
            $length = ByteOrder::Big->u32($this->source->read($place + $at, 4));
            if ($at === 0 && $length === 1) {
                return true;
            }
            if ($length < 1 || $at + 4 + $length > $size) {
                return false;
            }
            $at += 4 + $length;
        }

        return $at === $size;
    }
}
