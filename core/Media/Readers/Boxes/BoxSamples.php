<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Readers\Codecs\SampleFraming;

/** All samples of a track, one after the other: whether each lies in the file and is framed as its codec frames it. */
final readonly class BoxSamples
{
    public function __construct(private FileEnds $file, private string $codec) {}

    /** @param  BoxTrack|null  $track  null: there is none that shows pictures */
    public function damage(?BoxTrack $track, Fragments $fragments): ?FileDamaged
    {
        $framing = new SampleFraming($this->file->source, $this->codec);
        $number = 0;
        foreach ($track === null ? [] : $this->places($track, $fragments) as [$place, $size]) {
            $number++;
            $reason = $place < 0 || $place + $size > $this->file->size()
                ? 'lies outside the file'
                : $framing->fault($place, $size);
            if ($reason !== null) {
                return FileDamaged::cutShort("picture {$number} {$reason}");
            }
        }

        return null;
    }

    /** @return iterable<array{int, int}> */
    private function places(BoxTrack $track, Fragments $fragments): iterable
    {
        if ($track->table->count() > 0) {
            yield from $track->table->samples();

            return;
        }
        foreach ($fragments->samples($track->id()) as $sample) {
            yield [$sample->place, $sample->size];
        }
    }
}
