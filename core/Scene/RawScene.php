<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

/** One scene of what was brought: its settings as they were told, and what it says of whose it is. */
final readonly class RawScene
{
    /**
     * @param  string  $label  where it came from, for sentences: a file name, or a row of a sheet
     * @param  string  $content  a text that is read as this very scene again
     * @param  list<string>  $whose  shot codes, names of learners, names of scenes: what tells whose it is, the
     *   plainest first
     */
    public function __construct(
        public string $label,
        public string $content,
        public SceneSettings $settings,
        public array $whose,
    ) {}
}
