<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Measure\FrameRange;

/** Which files have been taken to answer something, so that none answers twice. */
final class Claims
{
    /** @var array<string, FrameRange|true> claimed numbers by group, column and first row; true for a whole file */
    private array $claimed = [];

    /**
     * @var array<int, array{int|null, string, string}> by group: which number counts the frames in what was claimed
     *   of it
     */
    private array $split = [];

    /** @var array<string, list<Sequence>> by group and column: what has been split once */
    private array $sequences = [];

    /** @return list<Sequence> */
    public function sequences(NameGroup $group, ?int $column, string $lead = '', string $trail = ''): array
    {
        if ($column !== null && $column >= $group->columnCount()) {
            return [];
        }
        $key = implode(':', [spl_object_id($group), $column ?? '', $lead, $trail]);

        return $this->sequences[$key] ??= Sequence::of($group, $column, $lead, $trail);
    }

    /**
     * @param  list<Take>  $candidates  the nearest first
     * @param  list<Take>  $before  what answers already
     * @return list<Take> no two answering one number
     */
    public function claim(array $candidates, bool $numbered, array $before = []): array
    {
        if (! $numbered) {
            return $before === [] ? $this->claimOneFile($candidates) : [];
        }
        $takes = [];
        $have = Take::framesOf($before);
        foreach ($candidates as $candidate) {
            $claimed = $this->of($candidate->sequence) ?? FrameRange::none();
            $new = $claimed === true ? FrameRange::none() : $candidate->frames->minus($have)->minus($claimed);
            if (! $new->isEmpty()) {
                $takes[] = $this->take($candidate->answering($new), $claimed === true ? $new : $claimed->plus($new));
                $have = $have->plus($new);
            }
        }

        return $takes;
    }

    /**
     * @param  list<Take>  $candidates
     * @return list<Take>
     */
    private function claimOneFile(array $candidates): array
    {
        foreach ($candidates as $candidate) {
            if (! $this->isClaimed($candidate->sequence)) {
                return [$this->take($candidate->answering(FrameRange::of(0, 0)), true)];
            }
        }

        return [];
    }

    /** @param  FrameRange|true  $claimed  all that is claimed of the sequence by now */
    public function take(Take $take, FrameRange|true $claimed): Take
    {
        $sequence = $take->sequence;
        $this->claimed[self::key($sequence)] = $claimed;
        $this->split[spl_object_id($sequence->group)] ??= [$sequence->column, $sequence->lead, $sequence->trail];

        return $take;
    }

    /** Takes a sequence out of what is left over, though it answers nothing. */
    public function setApart(Sequence $sequence): void
    {
        $this->claimed[self::key($sequence)] = true;
        $this->split[spl_object_id($sequence->group)] = [$sequence->column, '', ''];
    }

    public function of(Sequence $sequence): FrameRange|true|null
    {
        return $this->claimed[self::key($sequence)] ?? null;
    }

    public function isClaimed(Sequence $sequence): bool
    {
        return isset($this->claimed[self::key($sequence)]);
    }

    /** Whether anything of a group was claimed. */
    public function touches(NameGroup $group): bool
    {
        return isset($this->split[spl_object_id($group)]);
    }

    /** @return array{int|null, string, string}|null column, lead and trail by which a claimed group was split */
    public function splitOf(NameGroup $group): ?array
    {
        return $this->split[spl_object_id($group)] ?? null;
    }

    /** Whether nothing of a group that was claimed is left. */
    public function isWhollyTaken(NameGroup $group): bool
    {
        $split = $this->splitOf($group);
        foreach ($split === null ? [] : $this->sequences($group, ...$split) as $sequence) {
            $claimed = $this->of($sequence);
            if ($claimed !== true && ($claimed === null || ! $claimed->covers($sequence->frames))) {
                return false;
            }
        }

        return $split !== null;
    }

    private static function key(Sequence $sequence): string
    {
        return spl_object_id($sequence->group).':'.($sequence->column ?? '').':'.$sequence->rows[0];
    }
}
