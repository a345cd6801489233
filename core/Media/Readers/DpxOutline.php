<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\MediaFacts;

/** The headers of one DPX frame without what names and counts it, beside which others are held. */
final readonly class DpxOutline implements HeaderOutline
{
    /** Size, name and time of the file; names of its source; number, time address and marks of the frame. */
    private const WITHOUT = [[16, 4], [36, 124], [1432, 124], [1712, 8], [1732, 132], [1920, 8]];

    private const TIMECODE = 1920;

    /** @param  int  $length  of its headers, in bytes */
    private function __construct(
        private DpxReader $reader,
        private FixedBytes $fixed,
        private DpxHeader $header,
        private MediaFacts $facts,
        private int $length,
        private int $end,
    ) {}

    public static function of(DpxReader $reader, FileEnds $file, DpxHeader $header, MediaFacts $facts): self
    {
        $length = min($header->length(), strlen($file->head));
        $without = array_values(array_filter(self::WITHOUT, static fn (array $field): bool => $field[0] < $length));

        $fixed = FixedBytes::of($file->head, $length, $without);

        return new self($reader, $fixed, $header, $facts, $length, $header->end());
    }

    public function read(FileEnds $file): ?MediaFacts
    {
        if (! $this->fixed->areIn($file->head)) {
            return null;
        }
        $damaged = $this->reader->shortness($file, $this->header, $this->end);
        if ($damaged !== null) {
            return $this->facts->withDamage($damaged->damage, $damaged->reason);
        }
        if ($this->length < self::TIMECODE + 4) {
            return $this->facts;
        }

        return $this->facts->ofMoment($this->header->timecodeIn($file->head));
    }
}
