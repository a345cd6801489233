<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use Brick\Math\BigRational;
use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\Duration;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `time.duration`, within one frame: count by rate of a scene and of frames, wherever both are known. */
final readonly class DurationRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::TIME_DURATION;
    }

    /** In seconds: by its frames and its rate, else as it tells it; null where it tells neither. */
    public static function ofScene(SceneSettings $scene, Subject $subject): ?BigRational
    {
        $rate = self::rate($scene, $subject);
        $count = $scene->frames() === null ? $scene->get(RequirementId::TIME_COUNT) : (string) count($scene->frames());
        if ($count !== null && $rate !== null) {
            return BigRational::of((int) $count)->dividedBy($rate->value);
        }
        $told = $scene->get(RequirementId::TIME_DURATION);

        return $told === null ? null : Duration::parse($told)->seconds($rate);
    }

    private static function rate(?SceneSettings $scene, Subject $subject): ?FrameRate
    {
        $rate = $scene?->get(RequirementId::TIME_RATE) ?? $subject->part->single(RequirementId::TIME_RATE);

        return $rate === null ? null : FrameRate::parse($rate);
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $scene = $subject->scene;
        $seconds = $scene === null ? null : self::ofScene($scene, $subject);
        if ($scene === null || $seconds === null) {
            return Cell::unknown();
        }
        $rate = self::rate($scene, $subject);
        $byAskedRate = $scene->get(RequirementId::TIME_RATE) === null && $scene->frames() !== null && $rate !== null;

        return Cell::when(
            self::within($requirement, $seconds, $rate),
            self::spoken($seconds, $byAskedRate ? $rate : null),
        );
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        if ($subject->part->delivers->isMovie() || ! $subject->isNumbered()) {
            return FactSurvey::cell($subject, static function (MediaFacts $facts) use ($requirement): ?array {
                $seconds = $facts->timing->duration;
                if ($facts->kind?->isMovie() !== true) {
                    return null;
                }

                return $seconds === null
                    ? [null, false]
                    : [self::spoken($seconds, null), self::within($requirement, $seconds, $facts->timing->rate)];
            });
        }
        $pass = $subject->onlyPass();

        return $pass === null || $pass->isEmpty() ? null : self::ofFrames($requirement, $subject, $pass);
    }

    /** As long as they are at the rate they tell, else at the one that is asked. */
    private static function ofFrames(Requirement $requirement, Subject $subject, PassMatch $pass): ?Cell
    {
        $told = self::toldBy($pass);
        $rate = $told ?? self::rate(null, $subject);
        if ($rate === null) {
            return null;
        }
        $seconds = BigRational::of(count($pass->present))->dividedBy($rate->value);
        $found = self::spoken($seconds, $told === null ? $rate : null);
        if (self::within($requirement, $seconds, $rate)) {
            return Cell::of(Mark::Equal, $found);
        }
        $place = (int) array_key_first($subject->match->passes ?? []);

        return Cell::of(Mark::Unequal, $found, [], [$place => $pass->missing()]);
    }

    private static function toldBy(PassMatch $pass): ?FrameRate
    {
        foreach ($pass->frames->alike as $alike) {
            if ($alike->facts->isWhole() && $alike->facts->timing->rate !== null) {
                return $alike->facts->timing->rate;
            }
        }

        return null;
    }

    /** @param  FrameRate|null  $asked  the rate, where it is known only from what is asked */
    private static function spoken(BigRational $seconds, ?FrameRate $asked): string
    {
        return Duration::ofSeconds($seconds).($asked === null ? '' : " at the {$asked->spoken()} asked");
    }

    private static function within(Requirement $requirement, BigRational $seconds, ?FrameRate $rate): bool
    {
        $ask = $requirement->value;
        $frame = $rate === null ? BigRational::zero() : BigRational::of(1)->dividedBy($rate->value);
        $time = static fn (string $text): BigRational => Duration::parse($text)->seconds($rate);
        if ($ask->values !== []) {
            return $seconds->minus($time($ask->values[0]))->abs()->isLessThanOrEqualTo($frame);
        }

        return ($ask->min === null || $seconds->plus($frame)->isGreaterThanOrEqualTo($time($ask->min)))
            && ($ask->max === null || $seconds->minus($frame)->isLessThanOrEqualTo($time($ask->max)));
    }
}
