<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\Spellings;
use PlainLedger\Core\Specification\ValueType;

/**
 * Settings that are compared as they stand, by their type: scale, quality, samples, view and look, facts of the
 * production's own.
 */
final readonly class SettingRule implements Rule
{
    public function answers(string $id): bool
    {
        $descriptor = Catalogue::standard()->find($id);

        return $descriptor !== null && $descriptor->inSceneAlone();
    }

    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        return $this->compared($requirement, $subject);
    }

    /** What the scene tells, as it stands, beside what is asked. */
    public function compared(Requirement $requirement, Subject $subject): ?Cell
    {
        if (! $requirement->descriptor->inScene()) {
            return null;
        }
        $found = $subject->scene?->get($requirement->id());
        if ($found === null) {
            return Cell::unknown();
        }
        if (
            $requirement->value->values === []
            || $requirement->value->number
            || in_array(
                $requirement->descriptor->type,
                [ValueType::Whole, ValueType::ByteSize, ValueType::Number, ValueType::Percent, ValueType::BitRate],
                true,
            )
        ) {
            try {
                return Cell::when(
                    $requirement->value->admitsNumber(
                        Fraction::decimal(Fraction::parse(strtolower($found) === 'none' ? '0' : $found), 6),
                    ),
                    $found,
                );
            } catch (NotUnderstood) {
                return Cell::when(false, $found);
            }
        }

        return Cell::ofWord($requirement, $this->isOneOf($found, $requirement), $found);
    }

    private function isOneOf(string $found, Requirement $requirement): bool
    {
        foreach ($requirement->value->values as $asked) {
            $expression = strtr(
                preg_quote($asked, '~'),
                str_starts_with($requirement->id(), 'other.') ? ['\*' => '.*', '\?' => '.'] : [],
            );
            if (
                preg_match("~^{$expression}\$~si", $found) === 1
                || $this->truth($asked) !== null && $this->truth($asked) === $this->truth($found)
            ) {
                return true;
            }
        }

        return false;
    }

    private function truth(string $text): ?bool
    {
        return Spellings::truth($text);
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }
}
