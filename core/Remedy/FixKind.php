<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy;

/** What kind of work puts something right, the cheapest first. */
enum FixKind: string
{
    case Wait = 'wait';
    case Set = 'set';
    case Rename = 'rename';
    case Move = 'move';
    case Retag = 'retag';
    case Encode = 'encode';
    case Render = 'render';
    case SetAside = 'set-aside';
}
