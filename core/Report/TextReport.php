<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Check;
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
    private const HEAD = ['', 'requirement', 'required', 'in the scene', 'in the files'];

    private const WIDEST = 34;

    public function write(CheckReport $account): string
    {
        $check = $account->check;
        $rows = $this->rows($check);
        $widths = self::widths($rows);
        [$scene, $files] = [$account->scene !== null, $account->delivery !== null];
        $lines = [...self::head($account), '', $this->line(self::HEAD, $widths, $scene, $files)];
        foreach ($rows as $row) {
            $lines[] = is_array($row) ? $this->line($row, $widths, $scene, $files) : $row;
        }
        [$good, $all] = $check->balance();
        $verdict = match ($check->verdict) {
            Verdict::Balanced => 'balanced.',
            Verdict::Unbalanced => 'UNBALANCED.',
            Verdict::Open => 'open, something that must be known could not be read.',
        };
        array_push(
            $lines,
            '',
            "{$good} of {$all} balance: {$verdict}",
            ...self::accepted($check),
            ...$this->causes($account),
            ...$this->fixes($account),
            ...$this->rest($account),
        );

        return implode("\n", $lines)."\n";
    }

    /** @return list<string|list<string>> cells of lines, and headings between them */
    private function rows(Check $check): array
    {
        $rows = [];
        $part = null;
        $group = null;
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

        return $rows;
    }

    /**
     * @param  list<string|list<string>>  $rows
     * @return list<int> of the columns; the mark and the label as wide as they come
     */
    private static function widths(array $rows): array
    {
        $widths = [0, 0, ...array_map(mb_strwidth(...), array_slice(self::HEAD, 2))];
        foreach (array_filter($rows, is_array(...)) as $row) {
            foreach ($row as $c => $cell) {
                $widths[$c] = max($widths[$c], min(self::WIDEST, mb_strwidth($cell)));
            }
        }

        return array_values($widths);
    }

    /** @return list<string> */
    private static function accepted(Check $check): array
    {
        $lines = [];
        foreach ($check->entries as $entry) {
            if ($entry->waiver !== null) {
                $by = $entry->waiver->by === null ? '' : " ({$entry->waiver->by})";
                $lines[] = "≈ {$entry->requirement->descriptor->label}: {$entry->waiver->reason}{$by}";
            }
        }

        return $lines;
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
                .($account->scene->source->file === null ? 'settings' : Text::shown($account->scene->source->file))
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
        $document = $account->toArray();
        /** @var list<string> $strays */
        $strays = $document['strays'];
        /** @var list<string> $strange */
        $strange = $document['not_understood'];
        $more = count($strays) > 12 ? ' and '.(count($strays) - 12).' more' : '';

        return [
            ...self::damaged($document),
            ...self::notTold($account),
            ...self::notChecked($account->check),
            ...(
                $strays === [] ? [] : ['', 'Belongs to nothing: '.implode(', ', array_slice($strays, 0, 12))."{$more}."]
            ),
            ...($strange === [] ? [] : ['', 'Not understood: '.implode('; ', array_slice($strange, 0, 20)).'.']),
        ];
    }

    /**
     * Movies that are not whole, of which little else can be told.
     *
     * @param  array<string, mixed>  $document
     * @return list<string>
     */
    private static function damaged(array $document): array
    {
        /** @var list<array{path: string, damage?: string|null}> $movies */
        $movies = $document['movies'];
        $lines = [];
        foreach ($movies as $movie) {
            $damage = $movie['damage'] ?? null;
            array_push($lines, ...($damage === null ? [] : ["  - {$movie['path']}: ".Text::shown($damage)]));
        }

        return $lines === [] ? [] : ['', 'Damaged', ...$lines];
    }

    /** @return list<string> where to look for what a scene did not tell */
    private static function notTold(CheckReport $account): array
    {
        $lines = [];
        foreach ($account->check->entries as $entry) {
            $hint = SettingHints::of($entry->requirement->descriptor);
            if ($hint !== null && $entry->mark === Mark::Unknown && $entry->files === null) {
                $lines[] = "  - {$entry->requirement->descriptor->label}: {$hint}";
            }
        }

        return $lines === [] ? [] : ['', 'Not told by the scene', ...$lines];
    }

    /** @return list<string> */
    private static function notChecked(Check $check): array
    {
        $byWhy = [];
        foreach ($check->notChecked as $each) {
            $pass = $each->pass === null ? '' : " of {$each->pass}";
            $byWhy[$each->why][] = $each->id.$pass.(count($check->subjects) > 1 ? " ({$each->part})" : '');
        }
        $lines = [];
        foreach ($byWhy as $why => $ids) {
            $lines[] = '  - '.implode(', ', $ids).": {$why}";
        }

        return $lines === [] ? [] : ['', 'Not checked', ...$lines];
    }
}
