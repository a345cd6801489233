<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureDistance;
use PlainLedger\Core\Media\PixelSample;

/** The files that answer one part and pass, by frame number; a file without a number is frame 0. */
final readonly class FoundFrames
{
    /** @var list<AlikeFrames> the frames by what their files say and which take they are of */
    public array $alike;

    /** @var list<int> ascending */
    public array $numbers;

    /** @var list<int> ids in the delivery's table */
    public array $facts;

    /** @var list<int> bytes */
    public array $sizes;

    /** @var list<int> seconds since 1970 */
    public array $times;

    /** @var list<int> which take each is of */
    public array $takes;

    /** @var list<int> where each stands in its group */
    private array $rows;

    /** @param  list<NameGroup>  $groups  of each take */
    private function __construct(
        private Delivery $delivery,
        private array $groups,
        FrameColumns $columns,
    ) {
        $this->numbers = $columns->numbers;
        $this->facts = $facts = $columns->facts;
        $this->sizes = $columns->sizes;
        $this->times = $columns->times;
        $this->takes = $columns->takes;
        $this->rows = $columns->rows;
        $byFacts = [];
        foreach ($facts as $i => $id) {
            $byFacts[$id][$this->takes[$i]][] = $this->numbers[$i];
        }
        $alike = [];
        foreach ($byFacts as $id => $byTake) {
            foreach ($byTake as $take => $list) {
                $alike[] = new AlikeFrames($id, $delivery->facts->get($id), $take, FrameRange::fromNumbers($list));
            }
        }
        $this->alike = $alike;
    }

    /**
     * @param  list<Take>  $takes  no two answering the same number
     * @param  int|null  $lone  the number by which a picture without one goes
     */
    public static function of(Delivery $delivery, array $takes, ?int $lone = null): self
    {
        $columns = new FrameColumns;
        foreach ($takes as $t => $take) {
            $sequence = $take->sequence;
            [$ids, $lengths, $modified] = [
                $sequence->group->factsIds(),
                $sequence->group->sizes(),
                $sequence->group->times(),
            ];
            $all = count($take->frames) === count($sequence->rows);
            $before = null;
            foreach ($sequence->rows as $i => $row) {
                $number = $sequence->numbers[$i] ?? $lone ?? 0;
                if ($number === $before || ! ($all || $take->frames->contains($number))) {
                    continue;
                }
                $before = $number;
                $columns->numbers[] = $number;
                $columns->facts[] = $ids[$row];
                $columns->sizes[] = $lengths[$row];
                $columns->times[] = $modified[$row];
                $columns->takes[] = $t;
                $columns->rows[] = $row;
            }
        }
        if (count($takes) > 1) {
            $columns->sort();
        }

        return new self(
            $delivery,
            array_map(static fn (Take $t): NameGroup => $t->sequence->group, $takes),
            $columns,
        );
    }

    public function count(): int
    {
        return count($this->numbers);
    }

    public function factsAt(int $index): MediaFacts
    {
        return $this->delivery->facts->get($this->facts[$index]);
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
        foreach (array_keys(array_flip($this->facts)) as $id) {
            $table[$id] = $this->delivery->facts->get($id);
        }

        return $table;
    }

    /** Where one frame stands here; null where it does not. */
    public function place(int $number): ?int
    {
        $at = array_search($number, $this->numbers, true);

        return $at === false ? null : $at;
    }
}
