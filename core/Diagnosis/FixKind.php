<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

/** What kind of work puts something right. */
enum FixKind: string
{
    case Wait = 'wait';
    case Set = 'set';
    case Deliver = 'deliver';
    case Rename = 'rename';
    case Move = 'move';
    case SetAside = 'set-aside';
    case Retag = 'retag';
    case Encode = 'encode';
    case Render = 'render';
}
