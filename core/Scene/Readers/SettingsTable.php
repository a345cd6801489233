<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers;

use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Scene\NamedValues;
use PlainLedger\Core\Scene\RawScene;
use PlainLedger\Core\Text\Text;

/**
 * A sheet of settings: one scene a row below a row of names; or one setting a row, with the scenes beside each other,
 * or with a column that says whose setting it is.
 */
final readonly class SettingsTable
{
    private const MOST_SCENES = 2_000;

    /** Columns that say whose scene it is, in small letters and digits. */
    private const WHOSE = [
        'scene', 'scenefile', 'scenename', 'shot', 'shotcode', 'deliverable', 'code', 'learner', 'student', 'artist',
        'owner', 'handle', 'file', 'who',
    ];

    private const VALUE = ['value', 'setting', 'setto', 'isset', 'now', 'current'];

    private const NAMES = ['setting', 'settings', 'field', 'property', 'parameter', 'key', 'name', 'option', 'what'];

    private const REMARKS = ['remark', 'remarks', 'note', 'notes', 'comment', 'comments', 'unit', 'units', 'why', ''];

    /**
     * @param  list<list<string>>  $cells
     * @return list<RawScene>
     *
     * @throws JsonRefused
     */
    public static function read(array $cells, string $label, ?FieldMap $map = null): array
    {
        $rows = [];
        foreach ($cells as $i => $row) {
            $row = array_map(trim(...), $row);
            if (implode('', $row) !== '') {
                $rows[$i + 1] = $row;
            }
        }
        [$head, $across] = self::mostKnownRow($rows, $map);
        [$column, $down] = self::mostKnownColumn($rows, $map);
        if ($across === 0 && $down === 0) {
            throw JsonRefused::because(
                Text::shown($label),
                'no setting in it is known here: neither a row of names, such as “resolution” and “fps”, nor a '
                    .'column of them.',
            );
        }
        $told = $across > $down || ($across === $down && count($rows) === 2)
            ? self::sceneARow($rows, $head, $label)
            : self::settingARow($rows, $column, $label, $map);
        if (count($told) > self::MOST_SCENES) {
            throw JsonRefused::because(
                Text::shown($label),
                'it has more than '.number_format(self::MOST_SCENES).' scenes; bring it in pieces.',
            );
        }

        return array_map(static fn (array $t): RawScene => self::scene($t, $map), $told);
    }

    /**
     * @param  array{label: string, whose: list<string>, told: list<array{string, string}>}  $told
     */
    private static function scene(array $told, ?FieldMap $map): RawScene
    {
        $content = [];
        foreach ($told['told'] as [$name, $value]) {
            $content[$name] = $value;
        }
        $pairs = array_map(
            static fn (string $name, string $value): array => [$name, $value],
            array_map(strval(...), array_keys($content)),
            array_values($content),
        );
        $settings = NamedValues::understood($pairs, [], $map)->understood();
        $whose = array_values(
            array_unique(
                array_filter(
                    [...$told['whose'], $settings->source->file ?? ''],
                    static fn (string $w): bool => $w !== '',
                ),
            ),
        );

        return new RawScene(
            $told['label'],
            (string) json_encode(
                (object) $content,
                JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
            ),
            $settings,
            $whose,
        );
    }

    /**
     * @param  array<int, list<string>>  $rows  by the number of their line
     * @return array{int, int} the line, and how many of its cells are names of settings
     */
    private static function mostKnownRow(array $rows, ?FieldMap $map): array
    {
        $best = [0, 0];
        foreach (array_slice($rows, 0, 20, true) as $line => $row) {
            $known = count(
                array_unique(
                    array_filter(array_map(static fn (string $cell): ?string => self::field($cell, $map), $row)),
                ),
            );
            $best = $known > $best[1] ? [$line, $known] : $best;
        }

        return $best;
    }

    /**
     * @param  array<int, list<string>>  $rows
     * @return array{int, int} the column, and how many of its cells are names of settings
     */
    private static function mostKnownColumn(array $rows, ?FieldMap $map): array
    {
        $best = [0, 0];
        foreach ([0, 1, 2] as $column) {
            $fields = array_filter(
                array_map(
                    static fn (array $row): ?string => self::field($row[$column] ?? '', $map),
                    array_slice($rows, 0, 500),
                ),
            );
            // that each stands there once tells names from values
            $known = count(array_unique($fields));
            $best = $known > $best[1] ? [$column, $known] : $best;
        }

        return $best;
    }

    /** Numbers and sizes are values, whatever map there is. */
    private static function field(string $cell, ?FieldMap $map): ?string
    {
        return $cell === '' || mb_strlen($cell) > 80 || preg_match('~^[\d\s.,:x×-]+$~u', $cell) === 1
            ? null
            : FieldNames::of($cell, $map);
    }

    /**
     * @param  array<int, list<string>>  $rows
     * @return list<array{label: string, whose: list<string>, told: list<array{string, string}>}>
     */
    private static function sceneARow(array $rows, int $head, string $label): array
    {
        $whose = self::whoseColumns($rows, $head);
        $scenes = [];
        foreach (array_filter(
            $rows,
            static fn (int $line): bool => $line > $head,
            ARRAY_FILTER_USE_KEY,
        ) as $line => $row) {
            $told = self::toldIn($row, $rows[$head], $whose);
            if ($told !== []) {
                $scenes[] = [
                    'label' => "{$label}, line {$line}",
                    'whose' => array_map(static fn (int $c): string => $row[$c] ?? '', $whose),
                    'told' => $told,
                ];
            }
        }

        return count($scenes) === 1 ? [['label' => $label] + $scenes[0]] : $scenes;
    }

    /**
     * @param  array<int, list<string>>  $rows
     * @return list<int> the columns that say whose a scene is
     */
    private static function whoseColumns(array $rows, int $head): array
    {
        $names = array_map(self::plain(...), $rows[$head]);
        $whose = array_keys(array_filter($names, static fn (string $name): bool => in_array($name, self::WHOSE, true)));
        $named = array_search('name', $names, true);
        if ($whose !== [] || $named === false) {
            return $whose;
        }
        // a column “name” beside one of paths is that of the scene
        $paths = array_filter($rows, static fn (array $row): bool => str_contains($row[$named] ?? '', '.'));

        return $paths === [] ? [$named] : [];
    }

    /**
     * @param  list<string>  $row
     * @param  list<string>  $names
     * @param  list<int>  $whose
     * @return list<array{string, string}>
     */
    private static function toldIn(array $row, array $names, array $whose): array
    {
        $told = [];
        foreach ($names as $c => $name) {
            $isSetting = ! in_array($c, $whose, true) || self::plain($name) === 'scenefile';
            if ($name !== '' && ($row[$c] ?? '') !== '' && $isSetting) {
                $told[] = [$name, $row[$c]];
            }
        }

        return $told;
    }

    /**
     * @param  array<int, list<string>>  $rows
     * @return list<array{label: string, whose: list<string>, told: list<array{string, string}>}>
     */
    private static function settingARow(array $rows, int $column, string $label, ?FieldMap $map): array
    {
        [$heads, $body] = self::headed($rows, $column, $map);
        if ($column > 0) {
            return self::byWhose($body, $column, $heads, $label);
        }
        [$columns, $named] = self::valueColumns($heads, max([1, ...array_map(count(...), $rows)]));
        $scenes = [];
        foreach ($columns as $c) {
            $head = $heads[$c] ?? '';
            $scenes[] = [
                'label' => count($columns) === 1 ? $label : "{$label}, {$head}",
                'whose' => $named || $head === '' ? [] : [$head],
                'told' => self::column($body, $c),
            ];
        }

        return array_values(array_filter($scenes, static fn (array $scene): bool => $scene['told'] !== []));
    }

    /**
     * @param  array<int, list<string>>  $rows
     * @return array{list<string>, array<int, list<string>>} the first row, where it says what the columns are; the rest
     */
    private static function headed(array $rows, int $column, ?FieldMap $map): array
    {
        $first = $rows[array_key_first($rows) ?? 0] ?? [];
        $name = $first[$column] ?? '';
        $isHead = self::field($name, $map) === null || in_array(self::plain($name), self::NAMES, true);

        return $isHead ? [$first, array_slice($rows, 1, null, true)] : [[], $rows];
    }

    /**
     * Without heads only the first column of values is sure to be one.
     *
     * @param  list<string>  $heads
     * @return array{list<int>, bool} the columns, and whether they are called “value”
     */
    private static function valueColumns(array $heads, int $width): array
    {
        $plain = static fn (int $c, string $none): string => self::plain($heads[$c] ?? $none);
        $all = range(1, max(1, $width - 1));
        $named = array_values(
            array_filter($all, static fn (int $c): bool => in_array($plain($c, ''), self::VALUE, true)),
        );
        if ($named !== [] || $heads === []) {
            return [$named === [] ? [1] : $named, $named !== []];
        }
        $values = array_filter($all, static fn (int $c): bool => ! in_array($plain($c, 'x'), self::REMARKS, true));

        return [array_values($values), false];
    }

    /**
     * @param  array<int, list<string>>  $rows
     * @return list<array{string, string}>
     */
    private static function column(array $rows, int $column): array
    {
        $told = [];
        foreach ($rows as $row) {
            if (($row[0] ?? '') !== '' && ($row[$column] ?? '') !== '') {
                $told[] = [$row[0], $row[$column]];
            }
        }

        return $told;
    }

    /**
     * @param  array<int, list<string>>  $rows
     * @param  list<string>  $heads
     * @return list<array{label: string, whose: list<string>, told: list<array{string, string}>}>
     */
    private static function byWhose(array $rows, int $column, array $heads, string $label): array
    {
        $by = [];
        foreach ($rows as $row) {
            $whose = $row[0] ?? '';
            $value = $row[$column + 1] ?? '';
            if ($whose !== '' && ($row[$column] ?? '') !== '' && $value !== '') {
                $by[$whose][] = [$row[$column], $value];
            }
        }
        $scenes = [];
        foreach ($by as $whose => $told) {
            $scenes[] = [
                'label' => count($by) === 1 ? $label : "{$label}, {$whose}",
                'whose' => [(string) $whose],
                'told' => $told,
            ];
        }

        return $scenes;
    }

    private static function plain(string $cell): string
    {
        return strtolower((string) preg_replace('~[^A-Za-z0-9]~', '', $cell));
    }
}
