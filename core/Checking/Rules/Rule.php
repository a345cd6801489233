<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Specification\Requirement;

/** Compares one requirement, or a tight family, with what the two sides show. */
interface Rule
{
    public function answers(string $id): bool;

    /** Null where a scene cannot tell it. Only called when a scene is given. */
    public function scene(Requirement $requirement, Subject $subject): ?Cell;

    /** Null where these files cannot tell it. Only called when something was delivered for the part. */
    public function files(Requirement $requirement, Subject $subject): ?Cell;
}
