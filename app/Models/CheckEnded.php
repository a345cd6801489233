<?php

declare(strict_types=1);

namespace App\Models;

/** A check has come to its end, and is kept. */
final readonly class CheckEnded
{
    public function __construct(public Check $check) {}
}
