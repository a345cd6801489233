<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

/** One row of a plan. */
final readonly class PlannedRow
{
    /** @param  list<array{what: string, from: string, to: string}>  $changes */
    private function __construct(
        public RowAction $does,
        public ShotRow $row,
        public ?ListedPerson $owner,
        public array $changes,
    ) {}

    public static function of(ShotRow $row, ?ExistingDeliverable $known, ?ListedPerson $owner): self
    {
        if ($row->faults !== [] || $known === null) {
            return new self($row->faults === [] ? RowAction::Make : RowAction::Refuse, $row, $owner, []);
        }
        $changes = self::changes($row, $known, $owner);

        return new self($changes === [] ? RowAction::Same : RowAction::Change, $row, $owner, $changes);
    }

    /** @return list<array{what: string, from: string, to: string}> */
    private static function changes(ShotRow $row, ExistingDeliverable $known, ?ListedPerson $owner): array
    {
        $newOwner = $owner?->id === $known->owner ? null : $owner;
        $changes = [
            self::change('title', $known->title, $row->details->title),
            self::change('due', $known->due, $row->details->due),
            self::change('owner', $known->owner === null ? '' : 'another', $newOwner?->name),
        ];
        foreach ($row->values as $name => $value) {
            $changes[] = self::change("{{$name}}", $known->values[$name] ?? null, $value);
        }
        foreach ($row->overrides as $id => $value) {
            $changes[] = self::change($id, $known->overrides[$id] ?? null, $value);
        }

        return array_values(array_filter($changes));
    }

    /** @return array{what: string, from: string, to: string}|null null where nothing is said of it, or it stays */
    private static function change(string $what, ?string $from, ?string $to): ?array
    {
        $from ??= '';

        return $to === null || $to === $from ? null : ['what' => $what, 'from' => $from, 'to' => $to];
    }
}
