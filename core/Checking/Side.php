<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

/** Where something is seen: in the settings of a scene, or in files. */
enum Side: string
{
    case Scene = 'scene';
    case Files = 'files';
}
