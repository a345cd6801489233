<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\Text;

/** `delivery.checksums`: every file stands in a list of checksums beside it, and agrees with it. */
final readonly class ChecksumsRule implements Rule
{
    public static function isAskedBy(Specification $specification): bool
    {
        return $specification->asksAny([RequirementId::DELIVERY_CHECKSUMS]);
    }

    public function answers(string $id): bool
    {
        return $id === RequirementId::DELIVERY_CHECKSUMS;
    }

    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        if ($subject->delivery === null) {
            return null;
        }
        $sums = $subject->delivery->checksums;
        if ($sums === null) {
            return Cell::unknown();
        }
        if ($sums->agree()) {
            return Cell::when(true, 'present');
        }
        $said = array_filter([
            $sums->lists === 0 ? 'none' : null,
            $sums->wrong === 0 ? null : Text::count($sums->wrong, 'file does', 'files do').' not agree',
            $sums->unlisted === 0 ? null : Text::count($sums->unlisted, 'file is', 'files are').' not listed',
            $sums->absent === 0 ? null : Text::count($sums->absent, 'listed file is', 'listed files are').' not there',
        ], is_string(...));

        return Cell::when(false, implode(', ', $said));
    }
}
