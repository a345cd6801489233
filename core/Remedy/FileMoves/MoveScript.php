<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\FileMoves;

use PlainLedger\Core\Tabular\Csv;
use PlainLedger\Core\Text\Text;

/**
 * The same plan for where the files are: a script for a shell (POSIX), one for batch, a table, or what a browser
 * carries out there. Scripts go by names of their own, never write over a file, and are run in the delivery's folder.
 */
final readonly class MoveScript
{
    private const ASIDE = '.plain-ledger-';

    public static function shell(MovePlan $plan): string
    {
        $lines = [
            '#!/bin/sh',
            '# Renames and moves the files of a delivery. Run it in the delivery’s folder; nothing is written over.',
            'set -eu',
            'expect() {',
            '    [ -f "$1" ] || { echo "$1 is not here; nothing was renamed." >&2; exit 1; }',
            '}',
            'move() {',
            '    if [ -e "$2" ] || [ -L "$2" ]; then echo "There is already a file $2; stopped." >&2; exit 1; fi',
            '    mv -- "$1" "$2"',
            '}',
        ];
        foreach ($plan->moves as $move) {
            $lines[] = 'expect '.self::quoted($move->from);
        }
        foreach (self::folders($plan) as $folder) {
            $lines[] = 'mkdir -p -- '.self::quoted($folder);
        }
        foreach ($plan->moves as $number => $move) {
            $lines[] = 'move '.self::quoted($move->from).' '.self::quoted(self::temporary($move, $number));
        }
        foreach ($plan->moves as $number => $move) {
            $lines[] = 'move '.self::quoted(self::temporary($move, $number)).' '.self::quoted($move->to);
        }

        return implode("\n", $lines)."\n";
    }

    public static function batch(MovePlan $plan): string
    {
        $lines = [
            '@echo off',
            'rem Renames and moves the files of a delivery. Run it in the delivery folder; nothing is written over.',
            'chcp 65001 >nul',
            'setlocal DisableDelayedExpansion',
        ];
        foreach ($plan->moves as $move) {
            $from = self::batched($move->from);
            $lines[] = "if not exist {$from} (echo Not here: {$from} & exit /b 1)";
        }
        foreach (self::folders($plan) as $folder) {
            $lines[] = 'if not exist '.self::batched($folder).' mkdir '.self::batched($folder);
        }
        foreach ($plan->moves as $number => $move) {
            $lines[] = self::batchMove($move->from, self::temporary($move, $number));
        }
        foreach ($plan->moves as $number => $move) {
            $lines[] = self::batchMove(self::temporary($move, $number), $move->to);
        }

        return implode("\r\n", $lines)."\r\n";
    }

    public static function csv(MovePlan $plan): string
    {
        return Csv::of([
            ['from', 'to'],
            ...array_map(
                static fn (PlannedMove $move): array => [Text::shown($move->from), Text::shown($move->to)],
                $plan->moves,
            ),
        ]);
    }

    /** `{"moves": [[from, to, bytes, seconds since 1970]…]}` */
    public static function json(MovePlan $plan): string
    {
        $moves = array_map(
            static fn (PlannedMove $move): array => [
                Text::shown($move->from),
                Text::shown($move->to),
                $move->size,
                $move->modified,
            ],
            $plan->moves,
        );

        return json_encode(['moves' => $moves], JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES);
    }

    /** @return list<string> where files are to lie */
    private static function folders(MovePlan $plan): array
    {
        $folders = [];
        foreach ($plan->moves as $move) {
            $folders[dirname($move->to)] = true;
        }
        unset($folders['.']);

        return array_map(strval(...), array_keys($folders));
    }

    private static function temporary(PlannedMove $move, int $number): string
    {
        $folder = dirname($move->to);

        return ($folder === '.' ? '' : "{$folder}/").self::ASIDE.$number;
    }

    /** A word of a POSIX shell, whatever stands in it. */
    private static function quoted(string $text): string
    {
        return "'".str_replace("'", "'\\''", $text)."'";
    }

    private static function batchMove(string $from, string $to): string
    {
        [$from, $to] = [self::batched($from), self::batched($to)];

        return "if exist {$to} (echo There is already a file {$to} & exit /b 1)\r\n"
            ."move {$from} {$to} >nul || exit /b 1";
    }

    /** A quote cannot stand in a name there; a percent sign is doubled. */
    private static function batched(string $path): string
    {
        return '"'.str_replace(['/', '%', '"'], ['\\', '%%', ''], Text::shown($path)).'"';
    }
}
