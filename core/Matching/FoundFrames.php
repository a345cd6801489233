<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\IntColumn;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Measure\RangeBuilder;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureDistance;
use PlainLedger\Core\Media\PixelSample;

/** The files that answer one part and pass, by frame number; a file without a number is frame 0. */
final readonly class FoundFrames
{
    /** @var list<AlikeFrames> the frames by what their files say and which take they are of */
    public array $alike;

    /** Ascending. */
    public IntColumn $numbers;

    /** Ids in the delivery's table. */
    public IntColumn $facts;

    /** Bytes. */
    public IntColumn $sizes;

    /** Seconds since 1970. */
    public IntColumn $times;

    /** Which take each is of. */
    public IntColumn $takes;

    /** Where each stands in its group. */
    private IntColumn $rows;

    /** @param  list<NameGroup>  $groups  of each take */
    private function __construct(private Delivery $delivery, private array $groups, FrameColumns $columns)
    {
        $this->numbers = $columns->numbers;
        $this->facts = $columns->facts;
        $this->sizes = $columns->sizes;
        $this->times = $columns->times;
        $this->takes = $columns->takes;
        $this->rows = $columns->rows;
        $this->alike = $this->alike();
    }

    /** @return list<AlikeFrames> */
    private function alike(): array
    {
        /** @var array<int, array<int, RangeBuilder>> $builders by facts and take */
        $builders = [];
        $takes = $this->takes->getIterator();
        $numbers = $this->numbers->getIterator();
        foreach ($this->facts as $id) {
            $builder = $builders[$id][$takes->current()] ??= new RangeBuilder;
            $builder->add($numbers->current());
            $takes->next();
            $numbers->next();
        }
        $alike = [];
        foreach ($builders as $id => $byTake) {
            foreach ($byTake as $take => $builder) {
                $alike[] = new AlikeFrames($id, $this->delivery->facts->get($id), $take, $builder->range());
            }
        }

        return $alike;
    }

    /**
     * @param  list<Take>  $takes  no two answering the same number
     * @param  int|null  $lone  the number by which a picture without one goes
     */
    public static function of(Delivery $delivery, array $takes, ?int $lone = null): self
    {
        $groups = array_map(static fn (Take $take): NameGroup => $take->sequence->group, $takes);

        return new self($delivery, $groups, FrameColumns::of($takes, $lone));
    }

    public function count(): int
    {
        return count($this->numbers);
    }

    public function factsAt(int $index): MediaFacts
    {
        return $this->delivery->facts->get($this->facts[$index]);
    }

    /** Keeps with the delivery what was found out about a file after all were read; a later match has it. */
    public function learn(int $index, MediaFacts $facts): void
    {
        $this->groups[$this->takes[$index]]->putFacts($this->rows[$index], $this->delivery->facts->internLater($facts));
    }

    /** The file of one of them, as it was listed. */
    public function listedAt(int $index): ListedFile
    {
        return $this->groups[$this->takes[$index]]->listed($this->rows[$index]);
    }

    /** What its pixels come to; null where they could not be looked at. */
    public function sampleAt(int $index): ?PixelSample
    {
        return $this->groups[$this->takes[$index]]->sample($this->rows[$index]);
    }

    /** Why its pixels were not unpacked, where they were too many. */
    public function unsampledReasonAt(int $index): ?string
    {
        return $this->groups[$this->takes[$index]]->unsampledReason($this->rows[$index]);
    }

    public function timecodeAt(int $index): ?string
    {
        return $this->groups[$this->takes[$index]]->timecode($this->rows[$index]);
    }

    /** The frame number in its header, where that is not in its name. */
    public function otherFrameAt(int $index): ?int
    {
        return $this->groups[$this->takes[$index]]->otherFrame($this->rows[$index]);
    }

    /** False where it was not compared with an approved picture. */
    public function distanceAt(int $index): PictureDistance|false|null
    {
        return $this->groups[$this->takes[$index]]->distance($this->rows[$index]);
    }

    /** @return array<int, MediaFacts> every kind of facts that stands here, by id */
    public function table(): array
    {
        $table = [];
        foreach ($this->alike as $alike) {
            $table[$alike->id] = $alike->facts;
        }

        return $table;
    }

    /** Where one frame stands here; null where it does not. */
    public function place(int $number): ?int
    {
        return $this->numbers->search($number);
    }
}
