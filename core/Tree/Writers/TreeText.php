<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree\Writers;

use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Text\Text;
use PlainLedger\Core\Tree\TreeReport;
use PlainLedger\Core\Tree\TreeRow;
use PlainLedger\Core\Tree\TreeUnit;

/** A row a deliverable for people at a terminal, trouble first; then what is nobody's, and the totals. */
final readonly class TreeText implements TreeWriter
{
    private const MARKS = ['unbalanced' => '≠', 'open' => '?', 'balanced' => '='];

    private const WIDEST = 40;

    private const MOST_UNITS = 30;

    public function write(TreeReport $tree): string
    {
        $rows = $tree->rows;
        $order = array_keys(self::MARKS);
        usort($rows, static fn (TreeRow $a, TreeRow $b): int => [
            array_search($a->report->check->verdict->value, $order, true),
            $a->owed->label(),
        ] <=> [array_search($b->report->check->verdict->value, $order, true), $b->owed->label()]);
        $width = max([0, ...array_map(self::width(...), $rows)]);
        $lines = [];
        foreach ($rows as $row) {
            array_push($lines, ...self::row($row, $width));
        }
        array_push(
            $lines,
            '',
            ...self::units('Fits more than one deliverable; say which it is', $tree->assignment->several),
            ...self::units('Nobody asked for', $tree->assignment->none),
            ...[self::totals($tree)],
        );

        return implode("\n", $lines)."\n";
    }

    private static function width(TreeRow $row): int
    {
        return min(self::WIDEST, mb_strwidth(Text::shown($row->owed->label())));
    }

    /** @return list<string> */
    private static function row(TreeRow $row, int $width): array
    {
        $label = Text::shown($row->owed->label());
        $pad = str_repeat(' ', max(0, $width - mb_strwidth($label)));
        $mark = self::MARKS[$row->report->check->verdict->value];
        $cause = $row->report->check->verdict === Verdict::Unbalanced ? $row->cause() : null;

        return ["{$mark} {$label}{$pad}  {$row->says()}", ...($cause === null ? [] : ["    {$cause}"])];
    }

    /**
     * @param  list<TreeUnit>  $units
     * @return list<string>
     */
    private static function units(string $head, array $units): array
    {
        if ($units === []) {
            return [];
        }
        $lines = ["{$head}:"];
        foreach (array_slice($units, 0, self::MOST_UNITS) as $unit) {
            $frames = $unit->frames === null ? '' : " {$unit->frames}";
            $fits = Text::series(array_map(Text::shown(...), $unit->candidates), 'or');
            $lines[] = "  {$unit->place()}{$frames}".($fits === '' ? '' : " – {$fits}");
        }
        $more = count($units) - self::MOST_UNITS;

        return [...$lines, ...($more > 0 ? ["  and {$more} more"] : []), ''];
    }

    private static function totals(TreeReport $tree): string
    {
        $totals = $tree->totals();
        $frames = Text::count($totals['frames_missing'], 'frame');
        $missing = $totals['frames_missing'] === 0 ? '' : ", {$frames} missing";

        return Text::count($totals['deliverables'], 'deliverable').": {$totals['balanced']} balanced,"
            ." {$totals['unbalanced']} unbalanced, {$totals['open']} open{$missing}.";
    }
}
