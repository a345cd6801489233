<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\ByKey;
use PlainLedger\Core\Shotlist\PlannedRow;
use PlainLedger\Core\Shotlist\RowAction;
use PlainLedger\Core\Text\Text;

/** What one row of a list would do. */
final readonly class ListPreviewRow
{
    public RowAction $does;

    public int $line;

    public string $code;

    public ?string $title;

    public ?string $owner;

    public ?string $due;

    /** @var ByKey<string> by requirement */
    public ByKey $asks;

    /** @var ByKey<string> by piece of a name */
    public ByKey $values;

    public ?int $frames;

    /** @var list<array{what: string, from: string, to: string}> */
    public array $changes;

    /** @var list<string> */
    public array $faults;

    /** @var list<string> */
    public array $notes;

    public function __construct(PlannedRow $planned)
    {
        $row = $planned->row;
        $this->does = $planned->does;
        $this->line = $row->line;
        $this->code = Text::shown(mb_strimwidth($row->code, 0, 80, '…'));
        $this->title = $row->details->title;
        $this->owner = $planned->owner?->name;
        $this->due = $row->details->due;
        $this->asks = new ByKey($row->overrides);
        $this->values = new ByKey($row->values);
        $this->frames = $row->frames();
        $this->changes = $planned->changes;
        $this->faults = $row->faults;
        $this->notes = $row->notes;
    }
}
