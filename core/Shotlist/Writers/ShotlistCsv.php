<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist\Writers;

use PlainLedger\Core\Tabular\Csv;

/** Deliverables as a list that can be read again. */
final readonly class ShotlistCsv
{
    public const HEAD = ['shot', 'title', 'range', 'handles', 'camera', 'version', 'owner', 'due', 'fps'];

    /**
     * @param  iterable<array{code: string, title: string, range: string, handles: string, camera: string,
     *   version: string, owner: string, due: string, rate: string}> $lines
     */
    public static function write(iterable $lines): string
    {
        $rows = [self::HEAD];
        foreach ($lines as $line) {
            $rows[] = [
                $line['code'], $line['title'], $line['range'], $line['handles'], $line['camera'], $line['version'],
                $line['owner'], $line['due'], $line['rate'],
            ];
        }

        return Csv::of($rows);
    }
}
