<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\ByKey;
use PlainLedger\Core\Scene\FieldMeaning;
use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Scene\FieldUnit;

/** What a name in scenes stands for here. */
final readonly class NamedSetting
{
    public string $name;

    public ?string $is;

    public ?string $label;

    public ?FieldUnit $unit;

    /** @var ByKey<string> values by the words that are written for them */
    public ByKey $words;

    public function __construct(FieldMeaning $meaning)
    {
        $this->name = $meaning->name;
        $this->is = $meaning->is;
        $this->label = $meaning->is === null ? null : FieldNames::offered()[$meaning->is] ?? $meaning->is;
        $this->unit = $meaning->unit;
        $this->words = new ByKey($meaning->words);
    }
}
