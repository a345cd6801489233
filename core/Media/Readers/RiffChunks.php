<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileEnds;

/** The chunks of a RIFF file: four letters, a length, and data filled up to whole two bytes. */
final readonly class RiffChunks
{
    public const LEAD = 8;

    /** Form and length of the whole stand before the first. */
    private const FIRST = 12;

    private const MOST = 100_000;

    /** A length that is told elsewhere, or was not known when it was written. */
    private const ELSEWHERE = 0xFFFFFFFF;

    /**
     * @param  int|null  $from  where the first is, in bytes
     * @param  \ArrayObject<string, int>|null  $lengths  of those whose own field says that they stand elsewhere, as
     *   they become known; read anew for each chunk
     * @return \Generator<int, array{string, int, int}> type, where its data begins, and their length; one that reaches
     *   beyond the file too
     */
    public static function of(FileEnds $file, ?int $from = null, ?\ArrayObject $lengths = null): \Generator
    {
        $at = $from ?? self::FIRST;
        for ($i = 0; $i < self::MOST && $at + self::LEAD <= $file->size(); $i++) {
            $lead = $file->read($at, self::LEAD);
            $type = substr($lead, 0, 4);
            $length = ByteOrder::Little->u32($lead, 4);
            if ($length === self::ELSEWHERE) {
                $length = $lengths !== null && isset($lengths[$type])
                    ? $lengths[$type]
                    : $file->size() - $at - self::LEAD;
            }
            yield [$type, $at + self::LEAD, $length];
            $at += self::LEAD + $length + $length % 2;
        }
    }
}
