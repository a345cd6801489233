<?php

declare(strict_types=1);

namespace App\Models;

/** One row as the database has it, each column read as what it is known to be. */
final readonly class StoredColumns
{
    /** @param  array<string, mixed>  $row */
    public function __construct(private array $row) {}

    public function text(string $column): ?string
    {
        $value = $this->row[$column] ?? null;

        return is_string($value) ? $value : null;
    }

    public function number(string $column): ?int
    {
        $value = $this->row[$column] ?? null;

        return is_int($value) ? $value : null;
    }

    /** @return int|null seconds since 1970 */
    public function time(string $column): ?int
    {
        $text = $this->text($column);
        $at = $text === null ? false : strtotime("{$text} UTC");

        return $at === false ? null : $at;
    }
}
