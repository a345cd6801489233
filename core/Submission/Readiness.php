<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\Text;

/** What of a check stands in the way of handing its files over. */
final readonly class Readiness
{
    /**
     * @param  array<string, mixed>  $check  a `plain-ledger/check` document
     * @param  Specification  $asked  what it was checked against
     * @return list<Obstacle> what differs first, then what could not be checked
     */
    public static function of(array $check, Specification $asked): array
    {
        $entries = self::rows($check['entries'] ?? null);
        $hasFiles = array_filter($entries, static fn (array $entry): bool => isset($entry['files'])) !== [];
        $found = $hasFiles ? [] : [Obstacle::of(ObstacleKind::NotChecked, 'The files were not checked yet.')];
        foreach ($entries as $entry) {
            $found[] = self::inEntry($entry, $asked);
        }
        foreach (self::rows($check['not_checked'] ?? null) as $left) {
            $found[] = self::notLookedAt($left, $asked);
        }
        $found = array_values(array_filter($found));
        $isOpen = static fn (Obstacle $one): bool => $one->kind === ObstacleKind::Open;

        return [
            ...array_filter($found, static fn (Obstacle $one): bool => ! $isOpen($one)),
            ...array_filter($found, $isOpen),
        ];
    }

    /** @param  array<string, mixed>  $entry */
    private static function inEntry(array $entry, Specification $asked): ?Obstacle
    {
        if (($entry['level'] ?? null) !== Level::Must->value) {
            return null;
        }
        $line = self::line($entry, is_string($entry['required'] ?? null) ? $entry['required'] : '');

        return match ($entry['mark'] ?? null) {
            Mark::Unequal->value => Obstacle::of(ObstacleKind::Unbalanced, self::differs($entry, $line, $asked)),
            Mark::Unknown->value => Obstacle::open($line, self::untold($line, $asked, 'nothing tells it')),
            default => null,
        };
    }

    /**
     * @param  array<string, mixed>  $left
     * @return Obstacle|null none where it is asked as a *should*
     */
    private static function notLookedAt(array $left, Specification $asked): ?Obstacle
    {
        $line = self::line($left, '');
        $requirement = self::asked($line, $asked);
        if ($requirement === null || $requirement->level !== Level::Must) {
            return null;
        }
        $line = new OpenLine($line->id, $line->part, $line->pass, $requirement->required());
        $why = is_string($left['why'] ?? null) ? $left['why'] : 'it was not looked at';

        return Obstacle::open($line, self::untold($line, $asked, $why));
    }

    /** @return list<array<string, mixed>> */
    private static function rows(mixed $rows): array
    {
        $kept = [];
        foreach (is_array($rows) ? $rows : [] as $row) {
            if (is_array($row)) {
                /** @var array<string, mixed> $row */
                $kept[] = $row;
            }
        }

        return $kept;
    }

    /** @param  array<string, mixed>  $row */
    private static function line(array $row, string $required): OpenLine
    {
        $text = static fn (string $key): string => is_string($row[$key] ?? null) ? $row[$key] : '';

        return new OpenLine($text('id'), $text('part'), $text('pass') === '' ? null : $text('pass'), $required);
    }

    private static function asked(OpenLine $line, Specification $asked): ?Requirement
    {
        return $asked->part($line->part)?->ofPass($line->pass)->find($line->id);
    }

    /** @param  array<string, mixed>  $entry */
    private static function differs(array $entry, OpenLine $line, Specification $asked): string
    {
        $cell = is_array($entry['files'] ?? null) ? $entry['files'] : ($entry['scene'] ?? null);
        $found = is_array($cell) && is_string($cell['found'] ?? null) ? $cell['found'] : '';

        return self::named($line, $asked).": asked {$line->required}, found "
            .($found === '' ? 'something else' : Text::shown($found)).'.';
    }

    private static function untold(OpenLine $line, Specification $asked, string $why): string
    {
        return self::named($line, $asked)." ({$line->required}) could not be checked: {$why}.";
    }

    private static function named(OpenLine $line, Specification $asked): string
    {
        $label = self::asked($line, $asked)->descriptor->label ?? $line->id;

        $part = count($asked->parts) > 1 ? ' of '.Text::shown($line->part) : '';

        return $label.$part.($line->pass === null ? '' : ', '.Text::shown($line->pass));
    }
}
