<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\PixelSample;

/** What the pixels of a group's files come to, packed, all of one length; empty where they were not asked for. */
final class SampleColumn
{
    /** So many files say why their pixels were not unpacked; those after them are of the same kind. */
    private const MOST_REASONS = 200;

    private string $samples = '';

    /** Of one, in bytes. */
    private int $length = 0;

    /** @var array<int, string> row to why its pixels were not unpacked; of the first few */
    private array $reasons = [];

    /** @param  string|null  $tooLarge  why its pixels were not unpacked */
    public function add(string $packed, ?string $tooLarge): void
    {
        if ($tooLarge !== null && count($this->reasons) < self::MOST_REASONS) {
            $this->reasons[intdiv(strlen($this->samples), strlen($packed))] = $tooLarge;
        }
        $this->length = strlen($packed);
        $this->samples .= $packed;
    }

    public function isEmpty(): bool
    {
        return $this->length === 0;
    }

    /** Null where it could not be sampled, or was not asked to be. */
    public function at(int $row): ?PixelSample
    {
        return $this->length === 0
            ? null
            : PixelSample::unpacked(substr($this->samples, $row * $this->length, $this->length));
    }

    /** Why its pixels were not unpacked, where they were too many. */
    public function reason(int $row): ?string
    {
        return $this->reasons[$row] ?? null;
    }

    /** @param  list<int>  $rows  that are kept, in their new order */
    public function only(array $rows): self
    {
        $some = new self;
        $some->length = $this->length;
        foreach ($rows as $new => $row) {
            $some->samples .= substr($this->samples, $row * $this->length, $this->length);
            $some->reasons += isset($this->reasons[$row]) ? [$new => $this->reasons[$row]] : [];
        }

        return $some;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ($this->reasons === [] ? [] : ['unlooked' => $this->reasons])
            + ($this->length === 0
                ? []
                : ['looks' => PackedColumn::keep($this->samples), 'look_length' => $this->length]);
    }

    /** @param  array{unlooked?: array<int, string>, looks?: string, look_length?: int}  $data */
    public static function fromArray(array $data): self
    {
        $column = new self;
        $column->reasons = $data['unlooked'] ?? [];
        if (isset($data['looks'])) {
            $column->samples = PackedColumn::kept($data['looks']);
            $column->length = $data['look_length'] ?? 0;
        }

        return $column;
    }
}
