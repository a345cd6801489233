<?php

declare(strict_types=1);

namespace App\Actions\Specifications;

/** Where a new specification is to begin: a preset, another one, the files of a folder, or nothing. */
final readonly class StartingChoice
{
    /**
     * @param  string  $kind  preset, own, copy or files; anything else begins empty
     * @param  string  $word  which preset, or which specification
     * @param  int  $root  of the intake, where it begins with files
     * @param  string|null  $code  the deliverable's, which names of files may hold
     */
    private function __construct(
        public string $kind,
        public string $word,
        public int $root,
        public string $below,
        public ?string $code,
    ) {}

    /** @param  string  $written  `kind:word` */
    public static function of(string $written, int $root, string $below, ?string $code): self
    {
        [$kind, $word] = [...explode(':', $written, 2), ''];

        return new self($kind, $word, $root, $below, $code);
    }
}
