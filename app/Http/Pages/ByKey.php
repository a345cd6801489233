<?php

declare(strict_types=1);

namespace App\Http\Pages;

/**
 * Values by key, which stay an object in JSON where there are none, or where keys are numbers.
 *
 * @template T
 */
final readonly class ByKey implements \JsonSerializable
{
    /** @param  array<array-key, T>  $values */
    public function __construct(private array $values) {}

    /** @return T|null */
    public function get(string $key): mixed
    {
        return $this->values[$key] ?? null;
    }

    public function jsonSerialize(): object
    {
        return (object) $this->values;
    }
}
