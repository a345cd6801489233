<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** In what way a file is not whole. */
enum Damage: string
{
    case Empty = 'empty';
    case Unrecognised = 'unrecognised';
    case Zeros = 'nothing but zeros at its head';
    case Header = 'header broken';
    case CutShort = 'cut short';
    case Checksum = 'checksum fails';
    case Unreadable = 'could not be read';
}
