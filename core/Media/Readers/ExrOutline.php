<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\SmpteTimecode;

/** The header of one OpenEXR frame, beside which others are held: all attributes but the values that only name. */
final readonly class ExrOutline implements HeaderOutline
{
    /** Attributes that facts are made of; so are those that name camera, colours and the number of a frame. */
    private const FACTS = [
        'channels', 'compression', 'dataWindow', 'displayWindow', 'lineOrder', 'pixelAspectRatio', 'tiles', 'type',
        'name', 'version', 'chunkCount', 'framesPerSecond', 'xDensity', 'envmap', 'multiView', 'view',
    ];

    private const TIMECODE = 'timeCode';

    private const NAMING = '~camera|colou?r|frame~i';

    /** @param  int|null  $timecode  where its word stands; null where there is none */
    private function __construct(
        private FixedBytes $fixed,
        private ExrHeader $header,
        private MediaFacts $facts,
        private ?int $timecode,
    ) {}

    public static function of(FileEnds $file, ExrHeader $header, MediaFacts $facts): ?self
    {
        if ($header->end > strlen($file->head) || $facts->timing->frameNumber !== null) {
            return null;
        }
        $without = [];
        $timecode = null;
        foreach ($header->parts as $part) {
            foreach ($part->labels->places() as $name => [$place, $length]) {
                if ((string) $name === self::TIMECODE && $length === 8) {
                    $timecode ??= $place;
                }
                if (! in_array((string) $name, self::FACTS, true) && preg_match(self::NAMING, (string) $name) !== 1) {
                    $without[] = [$place, $length];
                }
            }
        }

        return new self(FixedBytes::of($file->head, $header->end, $without), $header, $facts, $timecode);
    }

    public function read(FileEnds $file): ?MediaFacts
    {
        if (! $this->fixed->areIn($file->head)) {
            return null;
        }
        try {
            (new ExrChunks($file, $this->header))->check(ScanDepth::Quick);
        } catch (FileDamaged $damaged) {
            return $this->facts->withDamage($damaged->damage, $damaged->reason);
        }
        if ($this->timecode === null) {
            return $this->facts;
        }

        return $this->facts->ofMoment(
            SmpteTimecode::ofWord(ExrHeader::int($file->head, $this->timecode) & 0xFFFFFFFF),
        );
    }
}
