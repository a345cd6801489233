<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

/**
 * Writes a set of frame numbers as short as it goes, by dynamic programming over the places where a piece of the text
 * may begin or end.
 */
final class FrameRangeText
{
    /** So many single frames at one step are shortest as one piece, whatever their numbers. */
    private const MANY = 8;

    /** Sets of more runs are long, of still more too long to be kept. */
    private const LONG = 500;

    private const TOO_LONG = 200_000;

    private const KEPT = 3;

    /** @var list<int> first frame of each place */
    private array $from = [];

    /** @var list<int> and its last */
    private array $to = [];

    /** @var list<int> how many characters the two are written with */
    private array $fromLength = [];

    /** @var list<int> */
    private array $toLength = [];

    /** @var array<int, int> the last place of the piece that begins at a place */
    private array $next = [];

    private function __construct(FrameRange $range)
    {
        // a run of three or more can give its first or last frame to a stepped piece beside it: it is three places
        foreach ($range->runs() as [$first, $last]) {
            $this->place($first, $first);
            if ($last - $first > 1) {
                $this->place($first + 1, $last - 1);
            }
            if ($last > $first) {
                $this->place($last, $last);
            }
        }
    }

    public static function of(FrameRange $range): string
    {
        if ($range->isOneRun()) {
            return self::written($range->first(), $range->last());
        }
        $step = $range->runCount() > self::MANY ? $range->commonStep() : null;
        if ($step !== null && $step > 1 && intdiv($range->last() - $range->first(), $step) + 1 === $range->runCount()) {
            return "{$range->first()}-{$range->last()}x{$step}";
        }
        $runs = $range->runCount();

        return $runs > self::LONG && $runs < self::TOO_LONG ? self::remembered($range) : self::planned($range);
    }

    /** Long ones are asked for again and again while one check is told: the latest are kept. */
    private static function remembered(FrameRange $range): string
    {
        /** @var list<array{FrameRange, string}> $latest */
        static $latest = [];
        foreach ($latest as [$known, $text]) {
            if ($known->equals($range)) {
                return $text;
            }
        }
        $text = self::planned($range);
        $latest = array_slice([[$range, $text], ...$latest], 0, self::KEPT);

        return $text;
    }

    private static function planned(FrameRange $range): string
    {
        $text = new self($range);
        $text->plan();

        return $text->write();
    }

    private function place(int $first, int $last): void
    {
        $this->from[] = $first;
        $this->to[] = $last;
        $this->fromLength[] = strlen((string) $first);
        $this->toLength[] = strlen((string) $last);
    }

    /** Which pieces make the shortest text, from the last place to the first. */
    private function plan(): void
    {
        $many = count($this->from);
        $reach = $this->reaches();
        $cost = array_fill(0, $many + 1, 0);
        for ($i = $many - 1; $i >= 0; $i--) {
            [$best, $this->next[$i]] = $this->shortestRun($i, $cost);
            foreach ([$reach[$i], $reach[$i] - 1] as $j) {
                if ($j < $i + 2 || $this->from[$i + 1] - $this->from[$i] < 2) {
                    continue;
                }
                $step = strlen((string) ($this->from[$i + 1] - $this->from[$i]));
                $length = $this->fromLength[$i] + $this->fromLength[$j] + $step + 3 + $cost[$j + 1];
                if ($length < $best) {
                    [$best, $this->next[$i]] = [$length, $j];
                }
            }
            $cost[$i] = $best;
        }
    }

    /** @return array<int, int> how far a stepped piece reaches that begins at a place */
    private function reaches(): array
    {
        $many = count($this->from);
        $reach = array_fill(0, $many + 1, 0);
        for ($i = $many - 2; $i >= 0; $i--) {
            $reach[$i] = match (true) {
                ! $this->isSingle($i) || ! $this->isSingle($i + 1) => $i,
                $reach[$i + 1] > $i + 1 && $this->stepAt($i + 1) === $this->stepAt($i) => $reach[$i + 1],
                default => $i + 1,
            };
        }

        return $reach;
    }

    private function isSingle(int $place): bool
    {
        return $this->from[$place] === $this->to[$place];
    }

    private function stepAt(int $place): int
    {
        return $this->from[$place + 1] - $this->from[$place];
    }

    /**
     * @param  array<int, int>  $cost  of all that follows a place
     * @return array{int, int} the length of what begins with a plain run here, and where that run ends
     */
    private function shortestRun(int $i, array $cost): array
    {
        [$best, $end] = [PHP_INT_MAX, $i];
        for ($j = $i; $j < min(count($this->from), $i + 3); $j++) {
            if ($j > $i && $this->from[$j] !== $this->to[$j - 1] + 1) {
                break;
            }
            $isOne = $this->from[$i] === $this->to[$j];
            $length = $this->fromLength[$i] + ($isOne ? 0 : 1 + $this->toLength[$j]) + 1 + $cost[$j + 1];
            if ($length <= $best) {
                [$best, $end] = [$length, $j];
            }
        }

        return [$best, $end];
    }

    private function write(): string
    {
        $pieces = [];
        for ($i = 0; $i < count($this->from); $i = $j + 1) {
            $j = $this->next[$i];
            $isStepped = $j > $i && $this->from[$i + 1] > $this->to[$i] + 1;
            $pieces[] = $isStepped ? $this->stepped($i, $j) : self::written($this->from[$i], $this->to[$j]);
        }

        return implode(',', $pieces);
    }

    private function stepped(int $i, int $j): string
    {
        return $this->from[$i].'-'.$this->from[$j].'x'.$this->stepAt($i);
    }

    private static function written(int $first, int $last): string
    {
        return $first === $last ? (string) $first : "{$first}-{$last}";
    }
}
