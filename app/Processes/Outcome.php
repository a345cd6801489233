<?php

declare(strict_types=1);

namespace App\Processes;

/** How a piece of work apart came to its end. */
enum Outcome
{
    /** It came to its own end; what it said last says how. */
    case Finished;

    /** Whoever ordered it wanted no more of it. */
    case Stopped;

    /** It ran out of memory, or fell over. */
    case Died;

    /** It gave no sign of life for too long, and was ended. */
    case Silent;
}
