<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Columns as the database has them. A board reads some ten thousand, and what the framework makes of each would be most
 * of its time; they have to be read before they are changed.
 */
trait StoredColumns
{
    public function stored(string $column): int|string|null
    {
        $value = $this->attributes[$column] ?? null;

        return is_int($value) || is_string($value) ? $value : null;
    }

    /** @return int|null seconds since 1970 */
    public function storedTime(string $column): ?int
    {
        $text = $this->stored($column);
        $at = is_string($text) ? strtotime("{$text} UTC") : false;

        return $at === false ? null : $at;
    }
}
