<?php

declare(strict_types=1);

namespace App\Models;

/** What a person is in one production. */
enum Role: string
{
    case Coordinator = 'coordinator';
    case Instructor = 'instructor';
    case Artist = 'artist';
    case Learner = 'learner';

    /** Coordinators, and instructors in a course, see everything and decide what is asked. */
    public function decides(): bool
    {
        return $this === self::Coordinator || $this === self::Instructor;
    }
}
