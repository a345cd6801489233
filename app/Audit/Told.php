<?php

declare(strict_types=1);

namespace App\Audit;

use App\Models\Specification;
use App\Models\User;
use BackedEnum;
use DateTimeInterface;
use Illuminate\Support\Str;

/** A value of a row as a sentence has it. */
final readonly class Told
{
    private const LONGEST = 160;

    public static function of(string $column, mixed $value): string
    {
        return match (true) {
            $value === null || $value === '' => 'nothing',
            $column === 'owner_id' => self::quoted(User::query()->whereKey($value)->value('name')),
            $column === 'specification_id' => self::quoted(
                Specification::query()->whereKey($value)->value('title'),
            ),
            $value instanceof DateTimeInterface => $value->format('Y-m-d H:i e'),
            $value instanceof BackedEnum => (string) $value->value,
            default => self::quoted($value),
        };
    }

    private static function quoted(mixed $value): string
    {
        return is_scalar($value) ? '“'.Str::limit((string) $value, self::LONGEST, '…').'”' : 'something else';
    }
}
