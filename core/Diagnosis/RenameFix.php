<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Text\Text;

/** Files renamed to what is asked, where they lie: one piece of work, however many pieces of the name differ. */
final readonly class RenameFix
{
    public static function of(
        Situation $situation,
        PassMatch $pass,
        Take $take,
        FrameRange $frames,
        int $shift = 0,
    ): Fix {
        $folder = $take->sequence->folder() === '' ? '' : Text::shown($take->sequence->folder()).'/';

        return Fix::rename(
            $situation->part(),
            $take->path(),
            $folder.self::target($pass, $take),
            $situation->subject->isNumbered() ? $frames : null,
            $shift,
        );
    }

    /** The names asked, with `#` for the digits of the frame number and the extension of what is in the files. */
    public static function target(PassMatch $pass, Take $take): string
    {
        if ($pass->pattern === '') {
            return Text::shown($take->sequence->pattern());
        }
        $extension = self::kindOf($pass, $take)?->usualExtension() ?? Extension::of($take->sequence->sampleName());

        return str_replace('*', $extension, $pass->pattern);
    }

    /** By the content of its whole files. */
    private static function kindOf(PassMatch $pass, Take $take): ?Kind
    {
        foreach ($pass->frames->alike as $alike) {
            if ($pass->takes[$alike->take] === $take && $alike->facts->isWhole()) {
                return $alike->facts->kind;
            }
        }

        return null;
    }
}
