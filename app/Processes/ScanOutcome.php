<?php

declare(strict_types=1);

namespace App\Processes;

enum ScanOutcome
{
    /** Everything was looked at, and the delivery is in the spool. */
    case Whole;

    /** Time was up; a checkpoint is in the spool. */
    case Paused;

    /** Nobody wanted it any more. */
    case Stopped;

    /** It cannot be done at all. */
    case Refused;

    /** A file broke it off. */
    case Broken;
}
