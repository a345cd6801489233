<?php

declare(strict_types=1);

namespace PlainLedger\Core\Json;

/**
 * One way to write a document, so that the same content has the same bytes: names sorted, nothing between, letters as
 * they are. An empty list and an empty object are the same.
 */
final readonly class CanonicalJson
{
    private const FLAGS = JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION
        | JSON_THROW_ON_ERROR;

    /** @param  array<array-key, mixed>  $data */
    public static function write(array $data): string
    {
        return json_encode(self::sorted($data), self::FLAGS, JsonDocument::DEEPEST + 8);
    }

    private static function sorted(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        if (! array_is_list($value)) {
            ksort($value, SORT_STRING);
        }

        return array_map(self::sorted(...), $value);
    }
}
