<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\ReadFrom;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\ValueType;
use PlainLedger\Core\Specification\Wording;

/** A frame number in a header that is not the one in the name: a line of its own, which nobody asks for. */
final readonly class FrameInHeaderRule
{
    public static function requirement(): Requirement
    {
        $descriptor = new Descriptor(
            'time.frame_in_header',
            Group::Time,
            'Frame number in the header',
            ValueType::Text,
            [ReadFrom::Frames],
            new Wording('The header tells the frame of the name.'),
        );

        return new Requirement(
            $descriptor,
            RequirementValue::read($descriptor, 'as named'),
            Level::Should,
            null,
            SetBy::House,
        );
    }

    public static function cell(Subject $subject): ?Cell
    {
        $pass = $subject->onlyPass();
        if ($pass === null || ! $subject->isNumbered() || $pass->lone) {
            return null;
        }
        $wrong = [];
        $first = null;
        foreach ($pass->frames->numbers as $i => $number) {
            $told = $pass->frames->otherFrameAt($i);
            if ($told !== null && $pass->frames->factsAt($i)->isWhole()) {
                $wrong[] = $number;
                $first ??= "{$number} tells {$told}";
            }
        }
        $place = (int) array_key_first($subject->match->passes ?? []);

        return $wrong === []
            ? null
            : Cell::of(
                Mark::Unequal,
                (string) $first,
                [['frames' => (string) FrameRange::fromNumbers($wrong), 'found' => 'another number']],
                [$place => FrameRange::fromNumbers($wrong)],
            );
    }
}
