<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/**
 * `format.keyframe_interval` as people write it: frames, seconds, or a share of the rate; counted in frames, rounded
 * down at the nominal rate.
 */
final readonly class KeyframeIntervalRule
{
    public static function rate(Subject $subject): ?FrameRate
    {
        $rate = $subject->part->single(RequirementId::TIME_RATE) ?? $subject->scene?->get(RequirementId::TIME_RATE);

        return $rate === null ? null : FrameRate::parse($rate);
    }

    /** How many frames it comes to; null where that takes a rate and none is known. */
    public static function frames(string $interval, ?FrameRate $rate): ?int
    {
        if (preg_match('~^\d+$~', $interval) === 1) {
            return (int) $interval;
        }
        if ($rate === null || preg_match('~^(\S+) (?:s|rate)$~', $interval, $m) !== 1) {
            return null;
        }

        return max(
            1,
            Fraction::parse($m[1])->multipliedBy($rate->nominalWhole())
                ->toScale(0, \Brick\Math\RoundingMode::DOWN)
                ->toInt(),
        );
    }

    public static function mostFrames(Requirement $requirement, ?FrameRate $rate): ?int
    {
        return $requirement->value->max === null ? null : self::frames($requirement->value->max, $rate);
    }

    public static function ofScene(Requirement $requirement, Subject $subject): Cell
    {
        $rate = self::rate($subject);
        $sceneRate = $subject->scene?->get(RequirementId::TIME_RATE);
        $told = self::framesOf(
            $subject->scene?->get(RequirementId::FORMAT_KEYFRAME_INTERVAL),
            $sceneRate === null ? $rate : FrameRate::parse($sceneRate),
        );
        $asked = $requirement->value;
        $isOpen = static fn (?string $bound): bool => $bound !== null && self::framesOf($bound, $rate) === null;
        if ($told === null || $isOpen($asked->min) || $isOpen($asked->max)) {
            return Cell::unknown();
        }
        if ($asked->values !== []) {
            $exact = array_map(static fn (string $one): ?int => self::frames($one, $rate), $asked->values);

            return Cell::when(in_array($told, $exact, true), (string) $told);
        }
        $least = self::framesOf($asked->min, $rate) ?? 0;
        $most = self::framesOf($asked->max, $rate) ?? PHP_INT_MAX;

        return Cell::when($told >= $least && $told <= $most, (string) $told);
    }

    /** @return array{string|null, bool} the longest found; seconds are counted at the rate asked, else at its own */
    public static function ofMovie(Requirement $requirement, MediaFacts $facts, Subject $subject): array
    {
        $longest = $facts->movie?->picture->order->longestInterval;
        $rate = self::rate($subject) ?? $facts->timing->rate;
        $asked = $requirement->value;
        $most = self::framesOf($asked->max, $rate);
        $least = self::framesOf($asked->min, $rate);
        if (
            $longest === null
            || ($asked->max !== null && $most === null)
            || ($asked->min !== null && $least === null)
        ) {
            return [null, false];
        }
        $exact = array_map(static fn (string $one): ?int => self::frames($one, $rate), $asked->values);
        $isRight = $asked->values === []
            ? $longest <= ($most ?? PHP_INT_MAX) && $longest >= ($least ?? 0)
            : in_array($longest, $exact, true);

        return [(string) $longest, $isRight];
    }

    private static function framesOf(?string $interval, ?FrameRate $rate): ?int
    {
        return $interval === null ? null : self::frames($interval, $rate);
    }
}
