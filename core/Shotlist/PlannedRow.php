<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

/** One row of a plan. */
final readonly class PlannedRow
{
    public const MAKE = 'make';

    public const CHANGE = 'change';

    public const SAME = 'same';

    public const REFUSE = 'refuse';

    /** @param  list<array{what: string, from: string, to: string}>  $changes */
    private function __construct(
        public string $does,
        public ShotRow $row,
        public ?ListedPerson $owner,
        public array $changes,
    ) {}

    public static function of(ShotRow $row, ?ExistingDeliverable $known, ?ListedPerson $owner): self
    {
        if ($row->faults !== [] || $known === null) {
            return new self($row->faults === [] ? self::MAKE : self::REFUSE, $row, $owner, []);
        }
        $changes = self::changes($row, $known, $owner);

        return new self($changes === [] ? self::SAME : self::CHANGE, $row, $owner, $changes);
    }

    /** @return list<array{what: string, from: string, to: string}> */
    private static function changes(ShotRow $row, ExistingDeliverable $known, ?ListedPerson $owner): array
    {
        $pairs = [
            ['title', $known->title, $row->details->title],
            ['due', $known->due, $row->details->due],
            ['owner', $known->owner === null ? '' : 'another', $owner?->id === $known->owner ? null : $owner?->name],
        ];
        foreach ($row->values as $name => $value) {
            $pairs[] = ["{{$name}}", $known->values[$name] ?? '', $value];
        }
        foreach ($row->overrides as $id => $value) {
            $pairs[] = [$id, $known->overrides[$id] ?? '', $value];
        }
        $changes = [];
        foreach ($pairs as [$what, $from, $to]) {
            if ($to !== null && $to !== ($from ?? '')) {
                $changes[] = ['what' => $what, 'from' => $from ?? '', 'to' => $to];
            }
        }

        return $changes;
    }
}
