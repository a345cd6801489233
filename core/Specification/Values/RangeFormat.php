<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;

/** Frames: `1001-1096`, `1-100x2`, or `timeline` for the animation’s own. */
final readonly class RangeFormat extends ValueFormat
{
    private const OWN = '~^(?:the\s+)?(?:(?:whole|full|entire)\s+)?(?:timeline|animation|(?:animation(?:’s|\'s)?\s+'
        .'|scene(?:’s|\'s)?\s+|its\s+)?own(?:\s+range)?)$~iu';

    public function canonical(string $text, Descriptor $descriptor): string
    {
        return preg_match(self::OWN, trim($text)) === 1 ? 'timeline' : self::frames(trim($text));
    }

    public function spoken(string $value): string
    {
        return self::spokenFrames($value);
    }

    /** @throws NotUnderstood */
    public static function frames(string $text): string
    {
        $range = FrameRange::parse($text);
        if ($range->isEmpty()) {
            throw NotUnderstood::as('a frame range', $text, '1001-1096');
        }

        return (string) $range;
    }

    public static function spokenFrames(string $value): string
    {
        return (string) preg_replace('~^(-?\d+)-(-?\d+)$~', '$1 to $2', $value);
    }
}
