<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

/** What of a group's points is earned where some of its lines differ. */
enum Share: string
{
    /** As much of them as lines hold. */
    case Part = 'part';

    /** All where every line holds, else nothing. */
    case All = 'all';
}
