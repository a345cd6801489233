<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\FileMoves;

/** How far work on files is. In each, one look at a file's temporary name tells whether its step has been taken. */
enum MovePhase: string
{
    /** From where they were to temporary names. */
    case OutOfTheWay = 'out of the way';

    /** From temporary names to the last ones. */
    case IntoPlace = 'into place';

    /** It cannot be ended: from last names to temporary ones again, and then from those to where they were. */
    case OutOfPlace = 'out of place';
    case Back = 'back';
}
