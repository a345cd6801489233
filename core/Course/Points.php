<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use Brick\Math\BigRational;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Specification\Level;

/**
 * What a check is worth by an assignment's scheme. A line that is equal or accepted holds; one that nothing could tell
 * earns nothing by itself and is told apart, since the learner need not be at fault. Exact until it is shown.
 */
final readonly class Points
{
    /**
     * @param  list<PointLine>  $lines
     * @param  BigRational  $bonus  earned by *should* lines
     */
    private function __construct(
        public array $lines,
        public BigRational $bonus,
        public BigRational $bonusPossible,
        public BigRational $percentOff,
    ) {}

    /** @param  list<GradedLine>  $lines */
    public static function of(PointScheme $scheme, array $lines, ?Lateness $lateness = null): self
    {
        $bySource = [];
        $should = [];
        foreach ($lines as $line) {
            if ($line->level === Level::Should) {
                $should[] = $line;

                continue;
            }
            $source = $scheme->sourceOf($line);
            if ($source !== null) {
                $bySource[$source][] = $line;
            }
        }
        $found = [];
        foreach ([...$scheme->groups, ...$scheme->lines] as $source => $worth) {
            $found[] = self::line((string) $source, $scheme, $worth, $bySource[$source] ?? []);
        }
        // a group of which nothing is asked is worth nothing
        $found = array_values(array_filter($found, static fn (PointLine $l): bool => ! $l->possible->isZero()));
        $holding = count(array_filter($should, self::holds(...)));

        return new self(
            $found,
            $should === [] ? BigRational::zero() : $scheme->bonus->multipliedBy($holding)->dividedBy(count($should)),
            $should === [] ? BigRational::zero() : $scheme->bonus,
            $lateness->percentOff ?? BigRational::zero(),
        );
    }

    public function possible(): BigRational
    {
        return self::sum(array_map(static fn (PointLine $l): BigRational => $l->possible, $this->lines));
    }

    /** Without what nobody could tell, before anything is taken off. */
    public function earned(): BigRational
    {
        return self::sum(array_map(static fn (PointLine $l): BigRational => $l->earned, $this->lines));
    }

    /** What somebody who looks may still give. */
    public function open(): BigRational
    {
        return self::sum(array_map(static fn (PointLine $l): BigRational => $l->open, $this->lines));
    }

    /** What is taken off for lateness. */
    public function off(): BigRational
    {
        return $this->earned()->plus($this->bonus)->multipliedBy($this->percentOff)->dividedBy(100);
    }

    public function total(): BigRational
    {
        return $this->earned()->plus($this->bonus)->minus($this->off());
    }

    /** @param  list<GradedLine>  $lines */
    private static function line(string $source, PointScheme $scheme, BigRational $worth, array $lines): PointLine
    {
        $share = $scheme->share;
        $label = $scheme->label($source);
        $bad = array_values(array_filter($lines, static fn (GradedLine $l): bool => $l->mark === Mark::Unequal));
        $untold = array_values(array_filter($lines, static fn (GradedLine $l): bool => $l->mark === Mark::Unknown));
        $zero = BigRational::zero();
        $all = count($lines);
        if ($all === 0) {
            return new PointLine($source, $label, $zero, $zero, $zero, [], []);
        }
        $isWhole = $bad === [] && $untold === [];
        $each = $worth->dividedBy($all);
        [$earned, $open] = match (true) {
            $share === Share::Part => [
                $each->multipliedBy($all - count($bad) - count($untold)),
                $each->multipliedBy(count($untold)),
            ],
            $isWhole => [$worth, $zero],
            $bad === [] => [$zero, $worth],
            default => [$zero, $zero],
        };

        return new PointLine($source, $label, $earned, $open, $worth, self::labels($bad), self::labels($untold));
    }

    /**
     * @param  list<GradedLine>  $lines
     * @return list<string> each once
     */
    private static function labels(array $lines): array
    {
        return array_values(array_unique(array_map(
            static fn (GradedLine $l): string => $l->label().($l->pass === null ? '' : ", {$l->pass}"),
            $lines,
        )));
    }

    private static function holds(GradedLine $line): bool
    {
        return $line->mark === Mark::Equal || $line->mark === Mark::Waived;
    }

    /** @param  list<BigRational>  $values */
    private static function sum(array $values): BigRational
    {
        return array_reduce(
            $values,
            static fn (BigRational $sum, BigRational $each): BigRational => $sum->plus($each),
            BigRational::zero(),
        );
    }
}
