<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\MediaFacts;

/** Stretches of a header that tell all facts, and what the quick look asks of the rest of each file. */
final readonly class FixedOutline implements HeaderOutline
{
    /**
     * @param  \Closure(FileEnds): (FileDamaged|false|null)  $rest  null where it is whole; false where it differs in
     *   what facts are made of after all
     */
    public function __construct(private FixedBytes $fixed, private MediaFacts $facts, private \Closure $rest) {}

    public function read(FileEnds $file): ?MediaFacts
    {
        if (! $this->fixed->areIn($file->head)) {
            return null;
        }
        try {
            $damaged = ($this->rest)($file);
        } catch (FileTooLarge $over) {
            return $this->facts->withUnread($over->getMessage());
        }
        if ($damaged === null) {
            return $this->facts;
        }

        return $damaged === false ? null : $this->facts->withDamage($damaged->damage, $damaged->reason);
    }
}
