<?php

declare(strict_types=1);

namespace PlainLedger\Core\Recognition;

use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Shotlist\Column;
use PlainLedger\Core\Tabular\SeparatedValues;
use PlainLedger\Core\Tabular\TableRefused;
use PlainLedger\Core\Text\Text;

/** What a table is by its headings: a list of deliverables, or of people. A table of settings is left to its reader. */
final readonly class TableContent
{
    /** Rows above the headings that are looked through: titles, an export's date. */
    private const MOST_ABOVE = 12;

    /** Columns that a list of deliverables has and a sheet of settings has not. */
    private const LISTS = ['title', 'due', 'handles', 'head', 'tail', 'version', 'task', 'owner', 'first', 'last'];

    public function __construct(private FieldMap $map) {}

    /**
     * @param  list<string>  $whose
     * @return Brought|null null: it is no table of these
     */
    public function of(string $name, string $text, array $whose): ?Brought
    {
        try {
            $rows = SeparatedValues::cells(self::wholeLines($text), $name);
        } catch (TableRefused) {
            return null;
        }
        $rows = array_values(array_filter($rows, static fn (array $row): bool => trim(implode('', $row)) !== ''));
        foreach (array_slice($rows, 0, self::MOST_ABOVE, true) as $at => $row) {
            $headings = array_map(trim(...), $row);
            $below = count($rows) - $at - 1;
            $found = count($headings) > 1 && $below > 0
                ? $this->people($headings, array_slice($rows, $at + 1), $whose)
                    ?? $this->deliverables($headings, $below, $whose)
                : null;
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /** The last line of what was cut short is left out. */
    private static function wholeLines(string $text): string
    {
        $end = strrpos($text, "\n");

        return strlen($text) >= Recogniser::HEAD - 4 && $end !== false ? substr($text, 0, $end) : $text;
    }

    /**
     * @param  list<string>  $headings
     * @param  list<list<string>>  $rows
     * @param  list<string>  $whose
     */
    private function people(array $headings, array $rows, array $whose): ?Brought
    {
        $addresses = array_keys(preg_grep('~^e-?mail(?:\s*address)?$|^mail$|^address$~i', $headings) ?: []);
        $words = array_map(static fn (?Column $c): string => $c->word ?? '', Column::guessAll($headings));
        if ($addresses === [] || array_intersect($words, ['code', 'range', 'first', 'last', 'due']) !== []) {
            return null;
        }
        $names = array_keys(preg_grep('~name|^student$|^learner$|^person$~i', $headings) ?: []);
        $names = array_filter($names, static fn (int $n): bool => preg_match('~user|file|log~i', $headings[$n]) !== 1);
        $people = [];
        foreach ($rows as $row) {
            $address = trim($row[$addresses[0]] ?? '');
            if (str_contains($address, '@')) {
                $parts = array_map(static fn (int $n): string => self::spoken($row[$n] ?? ''), $names);
                $people[] = ['name' => trim(implode(' ', array_filter($parts))), 'email' => $address];
            }
        }
        $says = 'a list of '.Text::count(count($people), 'person', 'people');

        return $people === [] ? null : new Brought(BroughtKind::People, $says, $whose, $people);
    }

    /** “Oake, Wren” is said as Wren Oake. */
    private static function spoken(string $name): string
    {
        return trim((string) preg_replace('~^([^,]+),\s*([^,]+)$~u', '$2 $1', trim($name)));
    }

    /**
     * @param  list<string>  $headings
     * @param  list<string>  $whose
     */
    private function deliverables(array $headings, int $below, array $whose): ?Brought
    {
        $columns = Column::guessAll($headings);
        $words = array_map(static fn (?Column $column): string => $column->word ?? '', $columns);
        if (! in_array('code', $words, true)) {
            return null;
        }
        $ofList = count(array_intersect($words, self::LISTS));
        $ofScenes = 0;
        foreach ($headings as $at => $heading) {
            $isListed = in_array($words[$at], Column::words(), true);
            $ofScenes += (int) (! $isListed && FieldNames::of($heading, $this->map) !== null);
        }
        $known = count(array_filter($words));

        return $known < 2 || $ofScenes > $ofList
            ? null
            : new Brought(BroughtKind::DeliverableList, 'a list of '.Text::count($below, 'deliverable'), $whose);
    }
}
