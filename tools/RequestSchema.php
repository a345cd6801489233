<?php

declare(strict_types=1);

namespace PlainLedger\Tools;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;

/** What is to be sent, as JSON Schema, from the rules by which it is looked at. */
final readonly class RequestSchema
{
    private const TYPES = [
        'integer' => ['type' => 'integer'], 'boolean' => ['type' => 'boolean'], 'array' => ['type' => 'array'],
        'numeric' => ['type' => 'number'], 'date' => ['type' => 'string', 'format' => 'date-time'],
        'email' => ['type' => 'string', 'format' => 'email'],
        'file' => ['type' => 'string', 'contentMediaType' => 'application/octet-stream'],
        'string' => ['type' => 'string'],
    ];

    /**
     * @param  class-string<FormRequest>  $class
     * @return array<string, mixed>|null null where its rules cannot be told without a call
     */
    public static function of(string $class): ?array
    {
        $request = new $class;
        try {
            $rules = method_exists($request, 'rules') ? $request->rules() : [];
        } catch (\Throwable) {
            return null;
        }
        $properties = [];
        $required = [];
        foreach ($rules as $field => $own) {
            $own = is_string($own) ? explode('|', $own) : (array) $own;
            if (str_contains((string) $field, '.')) {
                continue;
            }
            $properties[$field] = (object) self::field($own);
            in_array('required', $own, true) && $required[] = $field;
        }

        return ['type' => 'object', 'properties' => (object) $properties]
            + ($required === [] ? [] : ['required' => $required]);
    }

    /**
     * @param  array<mixed>  $rules
     * @return array<string, mixed>
     */
    private static function field(array $rules): array
    {
        $words = array_values(array_filter($rules, is_string(...)));
        $type = array_values(array_intersect(array_keys(self::TYPES), $words))[0] ?? null;
        $schema = self::TYPES[$type ?? ''] ?? [];
        foreach (preg_grep('~^(?:min|max):\d+$~', $words) ?: [] as $word) {
            [$which, $number] = explode(':', $word);
            $schema += self::bound($type, $which, (int) $number);
        }
        foreach ($rules as $rule) {
            $schema += $rule instanceof Enum || $rule instanceof In ? self::words($rule) : [];
        }

        return in_array('nullable', $words, true) && isset($schema['type'])
            ? ['type' => [$schema['type'], 'null']] + $schema
            : $schema;
    }

    /** @return array<string, int> */
    private static function bound(?string $type, string $which, int $number): array
    {
        $name = match ($type) {
            'integer', 'numeric' => $which.'imum',
            'array' => $which.'Items',
            default => $which.'Length',
        };

        return [$name => $number];
    }

    /** @return array<string, mixed> */
    private static function words(Enum|In $rule): array
    {
        if ($rule instanceof In) {
            preg_match_all('~"((?:[^"]|"")*)"~', (string) $rule, $found);

            return ['enum' => $found[1]];
        }
        /** @var class-string<\BackedEnum> $enum */
        $enum = (fn (): string => $this->type)->call($rule);

        return ['enum' => array_map(static fn (\BackedEnum $case): int|string => $case->value, $enum::cases())];
    }
}
