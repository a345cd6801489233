<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers\Usd;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Specification\RequirementId;

/** Rate, range and timeline of a stage. A time code is a frame where both are counted alike. */
final readonly class UsdTime
{
    private ?float $codes;

    private ?FrameRate $rate;

    public function __construct(private UsdStage $stage)
    {
        $this->codes = $this->number('timeCodesPerSecond');
        $rate = $this->number('framesPerSecond') ?? $this->codes;
        $this->rate = $rate === null ? null : FrameRate::fromFloat($rate);
    }

    /** @return array<string, string> */
    public function settings(): array
    {
        $settings = $this->rate === null ? [] : [RequirementId::TIME_RATE => (string) $this->rate];
        [$first, $last] = [$this->frame('startTimeCode'), $this->frame('endTimeCode')];
        if ($first === null || $last === null || ! $this->isWhole($first) || ! $this->isWhole($last)) {
            return $settings;
        }
        $range = $first->isEqualTo($last) ? (string) $first : "{$first}-{$last}";

        return $settings + [RequirementId::TIME_RANGE => $range, 'time.timeline' => $range];
    }

    /** What is wrong with the range; null where nothing is. */
    public function fault(): ?string
    {
        [$first, $last] = [$this->frame('startTimeCode'), $this->frame('endTimeCode')];
        if ($first === null || $last === null || ($this->isWhole($first) && $this->isWhole($last))) {
            return null;
        }
        [$from, $to] = [$this->number('startTimeCode'), $this->number('endTimeCode')];

        return "startTimeCode and endTimeCode: {$from} to {$to} do not fall on whole frames";
    }

    private function isWhole(BigRational $frame): bool
    {
        return $frame->getDenominator()->isEqualTo(1);
    }

    private function number(string $key): ?float
    {
        $value = $this->stage->metadata[$key] ?? null;

        return is_string($value) && is_numeric($value) ? (float) $value : null;
    }

    private function frame(string $key): ?BigRational
    {
        $code = $this->number($key);
        if ($code === null) {
            return null;
        }
        $frame = Fraction::fromFloat($code, 53);
        $perSecond = $this->codes === null ? null : FrameRate::fromFloat($this->codes);

        return $this->rate === null || $perSecond === null
            ? $frame
            : $frame->multipliedBy($this->rate->value)->dividedBy($perSecond->value)->simplified();
    }
}
