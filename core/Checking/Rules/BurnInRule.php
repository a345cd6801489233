<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `burn_in`: exactly the things asked stand in the picture, in whatever order they are listed. */
final readonly class BurnInRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::BURN_IN;
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $found = $subject->scene?->get(RequirementId::BURN_IN);
        if ($found === null) {
            return Cell::unknown();
        }
        $tidy = static function (array $items): array {
            $items = array_values(
                array_diff(
                    array_map(
                        static fn (mixed $item): string => strtolower(trim(is_string($item) ? $item : '')),
                        $items,
                    ),
                    ['', 'none', 'no', 'off'],
                ),
            );
            sort($items);

            return $items;
        };

        return Cell::when(
            $tidy(preg_split('~[|,;]~', $found) ?: []) === $tidy($requirement->value->values),
            $found === '' ? 'none' : $found,
        );
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }
}
