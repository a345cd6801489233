<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\Extra;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** `delivery.extras` and `delivery.total_size`: about the delivery as a whole, so told once, with the first part. */
final readonly class DeliveryRules implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::DELIVERY_EXTRAS || $id === RequirementId::DELIVERY_TOTAL_SIZE;
    }

    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        if ($subject->deliveryMatch === null || $subject->delivery === null) {
            return null;
        }
        if ($requirement->id() === RequirementId::DELIVERY_TOTAL_SIZE) {
            $bytes = (string) $subject->delivery->totalSize();

            return Cell::when($requirement->value->admitsNumber($bytes), $bytes);
        }
        $count = array_sum(
            array_map(static fn (Extra $e): int => $e->count(), $subject->deliveryMatch->extras),
        ) + count($subject->deliveryMatch->odd);

        if ($count > 0 && $count <= $subject->deliveryMatch->unread) {
            // what was not read is not judged
            return Cell::unknown();
        }

        return Cell::when($count === 0, $count === 0 ? 'none' : Text::count($count, 'file'));
    }
}
