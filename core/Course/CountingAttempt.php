<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

/** Which of several attempts a learner's points are those of. */
enum CountingAttempt: string
{
    case Last = 'last';
    case Best = 'best';
}
