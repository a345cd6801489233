<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** How fast pictures come into a folder, and when the last of them can be expected, by several looks at it. */
final readonly class ArrivalForecast
{
    /** The looks that tell the pace of just now: older ones are of another machine or another part of the shot. */
    private const LOOKS = 30;

    /** @var list<FolderPulse> */
    private array $looks;

    /** @param  list<FolderPulse>  $looks  in their order */
    public function __construct(array $looks)
    {
        $this->looks = array_slice($looks, -self::LOOKS);
    }

    /** Pictures a minute; null while fewer than two have come before our eyes. */
    public function perMinute(): ?BigRational
    {
        $first = $this->looks[0] ?? null;
        $last = $this->looks[count($this->looks) - 1] ?? null;
        if ($first === null || $last === null || $last->at <= $first->at || $last->pictures - $first->pictures < 2) {
            return null;
        }

        return BigRational::nd(60 * ($last->pictures - $first->pictures), $last->at - $first->at)->simplified();
    }

    /**
     * @param  int  $expected  pictures in all
     * @return int|null seconds since 1970, rounded up; null where the pace does not tell, or nothing is owed any more
     */
    public function readyAt(int $expected): ?int
    {
        $pace = $this->perMinute();
        $last = $this->looks[count($this->looks) - 1] ?? null;
        if ($pace === null || $last === null || $last->pictures >= $expected) {
            return null;
        }
        $seconds = BigRational::of(60 * ($expected - $last->pictures))->dividedBy($pace);

        return $last->at + $seconds->toScale(0, RoundingMode::CEILING)->toInt();
    }
}
