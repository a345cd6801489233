<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Scene\SettingHints;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Text\Text;

/** The ledger for people at a terminal: marks, values, causes, fixes; plain text, no control characters. */
final readonly class TextReport implements ReportWriter
{
    private const WIDEST = 34;

    public function write(CheckReport $account): string
    {
        $check = $account->check;
        $lines = [...self::head($account), ''];
        $part = null;
        $group = null;
        $rows = [];
        foreach ($check->entries as $entry) {
            if ($part !== $entry->part && count($check->subjects) > 1) {
                $rows[] = "\n".strtoupper($entry->part);
                $group = null;
            }
            if ($group !== $entry->requirement->descriptor->group) {
                $rows[] = "\n".$entry->requirement->descriptor->group->value;
            }
            [$part, $group] = [$entry->part, $entry->requirement->descriptor->group];
            $rows[] = $this->row($entry);
        }
        $scene = $account->scene !== null;
        $files = $account->delivery !== null;
        $widths = [0, 0, 0, 0, 0];
        foreach ($rows as $row) {
            foreach (is_array($row) ? $row : [] as $c => $cell) {
                $widths[$c] = max($widths[$c], min(self::WIDEST, mb_strwidth($cell)));
            }
        }
        $head = ['', 'requirement', 'required', 'in the scene', 'in the files'];
        foreach ([2, 3, 4] as $c) {
            $widths[$c] = max($widths[$c], mb_strwidth($head[$c]));
        }
        $lines[] = $this->line($head, $widths, $scene, $files);
        foreach ($rows as $row) {
            $lines[] = is_array($row) ? $this->line($row, $widths, $scene, $files) : $row;
        }
        [$good, $all] = $check->balance();
        $lines[] = '';
        $lines[] = "{$good} of {$all} balance: ".match ($check->verdict) {
            Verdict::Balanced => 'balanced.',
            Verdict::Unbalanced => 'UNBALANCED.',
            Verdict::Open => 'open, something that must be known could not be read.',
        };
        foreach ($check->entries as $entry) {
            if ($entry->waiver !== null) {
                $lines[] = "≈ {$entry->requirement->descriptor->label}: {$entry->waiver->reason}"
                    .($entry->waiver->by === null ? '' : " ({$entry->waiver->by})");
            }
        }
        array_push($lines, ...$this->causes($account), ...$this->fixes($account), ...$this->rest($account));

        return implode("\n", $lines)."\n";
    }

    /**
     * @param  list<array{frames: string, found: string, pass?: string}>  $runs
     */
    private static function runs(array $runs): string
    {
        if (count($runs) > 2) {
            return count($runs).' others';
        }

        return implode(
            '; ',
            array_map(
                static fn (array $r): string => $r['found']
                    .(isset($r['pass']) ? " in {$r['pass']}" : '')
                    .(
                        $r['frames'] === ''
                        || $r['frames'] === $r['found']
                            ? ''
                            : (isset($r['pass']) ? ' ' : ' in ').mb_strimwidth($r['frames'], 0, 40, '…')
                    ),
                $runs,
            ),
        );
    }

    /** @return list<string> whose it is, where it lies, and when it was looked at */
    private static function head(CheckReport $account): array
    {
        $values = $account->specification->values;
        $code = $values['shot'] ?? $values['learner'] ?? '';
        $title = implode(
            ' · ',
            array_filter([$code, $account->specification->title], static fn (string $t): bool => $t !== ''),
        );
        $delivery = $account->delivery;
        $looked = $delivery === null
            ? null
            : 'files in '
                .($delivery->root === '' ? 'the folder given' : Text::shown($delivery->root))
                .', '
                .gmdate('j M Y, H:i', $delivery->scannedAt)
                .' UTC';
        $scene = $account->scene === null
            ? null
            : 'scene '
                .($account->scene->file === null ? 'settings' : Text::shown($account->scene->file))
                .self::makes($account);

        return array_values(
            array_filter(
                [$title === '' ? null : $title, implode('; ', array_filter([$scene, $looked], is_string(...)))],
                is_string(...),
            ),
        );
    }

    private static function makes(CheckReport $account): string
    {
        $parts = $account->partsOfScene();

        return count($account->specification->parts) < 2 ? '' : ', which makes '.Text::series($parts);
    }

    /** @return list<string> */
    private function row(Entry $entry): array
    {
        $cell = static fn (?Cell $cell): string => $cell === null
            ? ''
            : ($cell->stale ? '(stale) ' : $cell->mark->sign().' ').($cell->found ?? 'not told')
            .($cell->runs === [] ? '' : '; '.self::runs($cell->runs));

        return [
            $entry->mark->sign(),
            $entry->requirement->descriptor->label
                .($entry->pass === null ? '' : " of {$entry->pass}")
                .($entry->level() === Level::Should ? ' (should)' : ''),
            $entry->required,
            $cell($entry->scene),
            $cell($entry->files),
        ];
    }

    /**
     * @param  list<string>  $row
     * @param  array<int, int>  $widths
     */
    private function line(array $row, array $widths, bool $scene, bool $files): string
    {
        $text = str_pad($row[0], 1 + strlen($row[0]) - mb_strwidth($row[0])).' ';
        foreach ($row as $c => $cell) {
            if ($c === 0 || ($c === 3 && ! $scene) || ($c === 4 && ! $files)) {
                continue;
            }
            $cell = $cell === '' ? '' : $cell;
            $text .= $cell.str_repeat(' ', max(0, $widths[$c] - mb_strwidth($cell))).'  ';
        }

        return rtrim($text);
    }

    /** @return list<string> */
    private function causes(CheckReport $account): array
    {
        $lines = $account->causes === [] ? [] : ['', 'Why'];
        foreach ($account->causes as $n => $cause) {
            $lines[] = '  '.($n + 1).". {$cause->says()}";
            $lines[] = "     {$cause->finding->id->value}, seen in the {$cause->finding->side->value}; explains "
                .implode(', ', $cause->explains)
                .(
                    $cause->or === []
                        ? ''
                        : '; or '.implode(', ', array_map(static fn (CauseId $id): string => $id->value, $cause->or))
                );
        }

        return $lines;
    }

    /** @return list<string> */
    private function fixes(CheckReport $account): array
    {
        $fixes = $account->remedy->fixes;
        $lines = $fixes === [] ? [] : ['', 'Put right'];
        foreach (array_slice($fixes, 0, 30) as $fix) {
            $lines[] = "  - {$fix->says}";
        }
        if (count($fixes) > 30) {
            $lines[] = '  - and '.(count($fixes) - 30).' more; --format json has them all.';
        }

        return $lines;
    }

    /** @return list<string> */
    private function rest(CheckReport $account): array
    {
        $lines = [];
        $document = $account->toArray();
        $unknown = array_filter(
            $account->check->entries,
            static fn (Entry $e): bool => $e->mark === Mark::Unknown
                && $e->files === null
                && SettingHints::of($e->requirement->descriptor) !== null,
        );
        if ($unknown !== []) {
            array_push($lines, '', 'Not told by the scene');
            foreach ($unknown as $entry) {
                $lines[] = "  - {$entry->requirement->descriptor->label}: "
                    .SettingHints::of($entry->requirement->descriptor);
            }
        }
        if ($account->check->notChecked !== []) {
            array_push($lines, '', 'Not checked');
            $byWhy = [];
            foreach ($account->check->notChecked as $each) {
                $byWhy[$each->why][] = $each->id
                    .($each->pass === null ? '' : " of {$each->pass}")
                    .(count($account->check->subjects) > 1 ? " ({$each->part})" : '');
            }
            foreach ($byWhy as $why => $ids) {
                $lines[] = '  - '.implode(', ', $ids).": {$why}";
            }
        }
        /** @var list<string> $strays */
        $strays = $document['strays'];
        if ($strays !== []) {
            array_push(
                $lines,
                '',
                'Belongs to nothing: '
                    .implode(', ', array_slice($strays, 0, 12))
                    .(count($strays) > 12 ? ' and '.(count($strays) - 12).' more' : '')
                    .'.',
            );
        }
        /** @var list<string> $strange */
        $strange = $document['not_understood'];
        if ($strange !== []) {
            array_push($lines, '', 'Not understood: '.implode('; ', array_slice($strange, 0, 20)).'.');
        }

        return $lines;
    }
}
