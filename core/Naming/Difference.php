<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

/** How one piece of a name differs from what was asked. */
enum Difference: string
{
    case TooFewDigits = 'too-few-digits';
    case TooManyDigits = 'too-many-digits';
    case Separator = 'separator-differs';
    case NumberPlace = 'number-in-wrong-place';
    case Case = 'case-differs';
    case Version = 'wrong-version';
    /** it differs in its digits alone: that is somebody else's, and no slip of the pen */
    case Another = 'value-of-another';
    case Misspelled = 'value-misspelled';
    case Dots = 'dots-inside';
    case Spaces = 'spaces-inside';
    case Extension = 'extension-spelled-otherwise';
    case CopySuffix = 'copy-suffix';
    /** another value, a piece left out or a piece too many */
    case Value = 'value-differs';
}
