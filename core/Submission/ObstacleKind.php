<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

/** What can stand in the way of a submission. */
enum ObstacleKind: string
{
    /** The files were never checked. */
    case NotChecked = 'not-checked';

    /** A *must* that differs, and nobody accepted it. */
    case Unbalanced = 'unbalanced';

    /** A *must* that could not be checked: somebody has to say what was done instead. */
    case Open = 'open';

    /** Something else is asked since it was checked. */
    case OutOfDate = 'out-of-date';

    /** Files were changed after they were checked. */
    case Changed = 'changed';

    /** A check, or a seal, is under way. */
    case UnderWay = 'under-way';

    /** The files lie where they cannot be read whole from here. */
    case Elsewhere = 'elsewhere';

    /** Whether somebody can sign over it, by saying what was done instead. */
    public function canBeAnswered(): bool
    {
        return $this === self::Open;
    }
}
