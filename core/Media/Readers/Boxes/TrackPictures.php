<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\Movie\DurationTally;
use PlainLedger\Core\Media\Movie\OrderTally;
use PlainLedger\Core\Media\Movie\PictureOrder;
use PlainLedger\Core\Media\Movie\PictureTiming;
use PlainLedger\Core\Media\Movie\ShownTimes;

/** Times and order of a track's pictures, from its tables or its fragments, after what its edits leave out. */
final readonly class TrackPictures
{
    /** From here on 32 bits count below nothing. */
    private const NEGATIVE = 1 << 31;

    /** @param  int  $bytes  of all pictures */
    private function __construct(
        public PictureTiming $timing,
        public PictureOrder $order,
        public int $bytes,
        public ?BigRational $whole,
    ) {}

    public static function ofTable(BoxTrack $track, int $movieScale): self
    {
        $table = $track->table;
        $table->expectRoom();
        $order = new OrderTally;
        $isKeyed = $table->keyframes() !== null;
        $tally = new DurationTally(max(1, $track->scale));
        if ($table->hasOffsets()) {
            self::walk($table, $order, $tally);
        } else {
            $left = $table->count();
            foreach ($table->durations() as [$count, $ticks]) {
                $tally->add(min($count, $left), $ticks);
                $left -= min($count, $left);
            }
        }
        $timing = self::edited($track, $tally->timing(), $movieScale);
        foreach ($table->keyframes() ?? [] as $place) {
            $order->keyframe($place);
        }
        $count = $table->count();
        $told = match (true) {
            ! $isKeyed && ! $table->hasOffsets() => PictureOrder::everyOne($count),
            ! $isKeyed => $order->order($count)->withoutInterval($count),
            default => $order->order($count),
        };

        return new self($timing, $told, $table->bytes(), $tally->duration());
    }

    private static function walk(SampleTable $table, OrderTally $order, DurationTally $tally): void
    {
        $each = self::eachLasts($table);
        if ($each !== null && self::isInOrder($table, $order, $each)) {
            // each as long, in whichever order they are shown: they need not be sorted to be counted
            $tally->add($table->count(), $each);

            return;
        }
        $order->beginAnew();
        $shown = new ShownTimes($tally);
        $last = null;
        foreach (self::shownAt($table) as [$at, $ticks]) {
            $shown->add($at);
            $order->add($at);
            $last = $ticks;
        }
        $shown->end($last);
    }

    /** Ticks that every picture stands; null where they differ. */
    private static function eachLasts(SampleTable $table): ?int
    {
        $each = null;
        foreach ($table->durations() as [, $ticks]) {
            if ($ticks < 1 || ($each !== null && $each !== $ticks)) {
                return null;
            }
            $each = $ticks;
        }

        return $each;
    }

    /** Whether all are shown a whole number of pictures apart; their order is taken on the way. */
    private static function isInOrder(SampleTable $table, OrderTally $order, int $each): bool
    {
        [$at, $left, $first] = [0, $table->count(), null];
        foreach ($table->offsetWords() as $words) {
            for ($w = 0, $many = count($words); $w < $many; $w += 2) {
                $offset = $words[$w + 1] < self::NEGATIVE ? $words[$w + 1] : $words[$w + 1] - 2 * self::NEGATIVE;
                $first ??= $offset;
                if (($offset - $first) % $each !== 0) {
                    return false;
                }
                for ($i = min($words[$w], $left); $i > 0; $i--, $left--) {
                    $order->add($at + $offset);
                    $at += $each;
                }
            }
        }

        return true;
    }

    /** @return \Generator<int, array{int, int}> when each is shown, and for how long, in the order they are kept */
    private static function shownAt(SampleTable $table): \Generator
    {
        $offsets = self::each($table->offsets());
        $at = 0;
        $left = $table->count();
        foreach (self::each($table->durations()) as $ticks) {
            if ($left-- <= 0) {
                return;
            }
            $offset = $offsets->valid() ? $offsets->current() : 0;
            $offsets->next();
            yield [$at + $offset, $ticks];
            $at += $ticks;
        }
    }

    /**
     * @param  iterable<array{int, int}>  $runs
     * @return \Generator<int, int>
     */
    private static function each(iterable $runs): \Generator
    {
        foreach ($runs as [$count, $value]) {
            for (; $count > 0; $count--) {
                yield $value;
            }
        }
    }

    private static function edited(BoxTrack $track, PictureTiming $timing, int $movieScale): PictureTiming
    {
        $edits = $track->edits($movieScale);
        if ($edits->isEmpty()) {
            return $timing;
        }
        [$first, $end] = self::span($track->table);
        if ($edits->showsAll($first, $end) || $timing->rate === null) {
            return $timing;
        }
        $count = $edits->count(self::shownAt($track->table));

        return new PictureTiming(
            $count,
            $timing->rate,
            $timing->isConstant,
            $timing->uneven,
            BigRational::of($count)->dividedBy($timing->rate->value)->simplified(),
        );
    }

    /** @return array{int, int} when its first picture is shown, and when its last one ends */
    private static function span(SampleTable $table): array
    {
        [$end, $left] = [0, $table->count()];
        foreach ($table->durations() as [$count, $ticks]) {
            $end += min($count, $left) * $ticks;
            $left -= min($count, $left);
        }
        $least = null;
        foreach ($table->offsets() as [, $offset]) {
            $least = min($least ?? $offset, $offset);
        }

        return [$least ?? 0, $end + ($least ?? 0)];
    }

    public static function ofFragments(BoxTrack $track, Fragments $fragments): self
    {
        $order = new OrderTally;
        $shown = new ShownTimes($tally = new DurationTally(max(1, $track->scale)));
        [$at, $bytes, $last] = [0, 0, null];
        foreach ($fragments->samples($track->id()) as $sample) {
            $order->add($at + $sample->offset, $sample->isKeyframe);
            $shown->add($at + $sample->offset);
            $at += $sample->duration;
            $bytes += $sample->size;
            $last = $sample->duration;
        }
        $tally = $shown->end($last);

        return new self($tally->timing(), $order->order(), $bytes, $tally->duration());
    }
}
