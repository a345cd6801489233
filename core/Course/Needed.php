<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

/** What has to be checked before something can be handed in. */
enum Needed: string
{
    case Files = 'files';
    case Scene = 'scene';
    case Both = 'both';

    public function needsFiles(): bool
    {
        return $this !== self::Scene;
    }

    public function needsScene(): bool
    {
        return $this !== self::Files;
    }
}
