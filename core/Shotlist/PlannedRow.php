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
        if ($row->faults !== []) {
            return new self(self::REFUSE, $row, $owner, []);
        }
        if ($known === null) {
            return new self(self::MAKE, $row, $owner, []);
        }
        $changes = [];
        $compare = static function (string $what, ?string $from, ?string $to) use (&$changes): void {
            if ($to !== null && $to !== ($from ?? '')) {
                $changes[] = ['what' => $what, 'from' => $from ?? '', 'to' => $to];
            }
        };
        $compare('title', $known->title, $row->title);
        $compare('due', $known->due, $row->due);
        if ($owner !== null && $owner->id !== $known->owner) {
            $changes[] = ['what' => 'owner', 'from' => $known->owner === null ? '' : 'another', 'to' => $owner->name];
        }
        foreach ($row->values as $name => $value) {
            $compare("{{$name}}", $known->values[$name] ?? null, $value);
        }
        foreach ($row->overrides as $id => $value) {
            $compare($id, $known->overrides[$id] ?? null, $value);
        }

        return new self($changes === [] ? self::SAME : self::CHANGE, $row, $owner, $changes);
    }
}
