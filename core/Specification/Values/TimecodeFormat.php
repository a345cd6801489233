<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;

/** `01:00:00:00`; before the frames `;` for drop-frame, which `.` and `,` stand for too. */
final readonly class TimecodeFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        $text = trim($text);
        $written = preg_match('~^(\d{1,2}):(\d{2}):(\d{2})([:;.,])(\d{2,3})$~', $text, $m) === 1;
        if (! $written || (int) $m[1] > 23 || (int) $m[2] > 59 || (int) $m[3] > 59) {
            throw NotUnderstood::as('a timecode', $text, '01:00:00:00, or 01:00:00;00 for drop-frame');
        }

        return sprintf('%02d:%s:%s%s%s', (int) $m[1], $m[2], $m[3], $m[4] === ':' ? ':' : ';', $m[5]);
    }
}
