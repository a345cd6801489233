<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** A resolved specification as the open `plain-ledger/specification` document, version 1: read again it is the same. */
final readonly class SpecificationDocument
{
    /** @return array<string, mixed> */
    public static function of(Specification $specification): array
    {
        $document = ['format' => Specification::FORMAT, 'version' => 1, 'title' => $specification->title];
        $values = array_filter($specification->values, static fn (string $v): bool => $v !== '');
        if (count($specification->parts) === 1 && $specification->parts[0]->name === $specification->parts[0]->delivers->value) {
            $document += ['delivers' => $specification->parts[0]->delivers->value, 'values' => (object) $values, 'require' => self::require($specification->parts[0])];
        } else {
            $document += ['values' => (object) $values, 'parts' => array_map(static fn (Part $p): array => ['name' => $p->name, 'delivers' => $p->delivers->value]
                + ($p->madeFrom === null ? [] : ['made_from' => $p->madeFrom]) + ['require' => self::require($p)], $specification->parts)];
        }

        return $document + ($specification->startingValues === [] ? [] : ['starting_values' => $specification->startingValues]);
    }

    /** @return object a JSON object, also where nothing is asked */
    private static function require(Part $part): object
    {
        return (object) array_map(self::ask(...), $part->requirements);
    }

    /** What one requirement asks, as it is written in a document. */
    public static function ask(Requirement $requirement): mixed
    {
        $ask = $requirement->value;
        $type = $requirement->descriptor->type;
        $more = array_filter(['level' => $requirement->level === Level::Must ? null : $requirement->level->value, 'why' => $requirement->why], is_string(...));
        $value = match (true) {
            $type === ValueType::Handles => array_combine(['head', 'tail'], array_map(intval(...), explode('+', $ask->single() ?? '0+0'))),
            $type === ValueType::Black && $ask->share !== null => array_filter(['value' => $ask->single() === 'none' ? null : $ask->single(), 'dark_share' => self::plainNumber($ask->share), 'threshold' => $ask->threshold], static fn (mixed $v): bool => $v !== null),
            $type === ValueType::Black && $ask->threshold !== null => ['value' => $ask->single(), 'threshold' => $ask->threshold],
            $type === ValueType::Hold => array_combine(['head', 'tail'], array_map(intval(...), explode('+', $ask->single() ?? '0+0'))) + array_filter(['tolerance' => $ask->tolerance], is_string(...)),
            $type === ValueType::Reference => count($ask->values) === 1 ? json_decode($ask->values[0], true) : array_map(static fn (string $v): mixed => json_decode($v, true), $ask->values),
            $ask->values === [] => array_filter(['min' => self::number($requirement, $ask->min), 'max' => self::number($requirement, $ask->max)], static fn (mixed $v): bool => $v !== null),
            $type === ValueType::Passes => array_map(static fn (string $name): mixed => isset($ask->own[$name]) ? ['name' => $name, 'require' => $ask->own[$name]] : $name, $ask->values),
            count($ask->values) > 1 => array_map(static fn (string $v): int|float|string => self::number($requirement, $v) ?? $v, $ask->values),
            default => self::number($requirement, $ask->single()),
        };
        if ($more === []) {
            return $value;
        }

        return is_array($value) && ! array_is_list($value) ? $value + $more : ['value' => $value] + $more;
    }

    private static function plainNumber(string $text): int|float
    {
        return str_contains($text, '.') ? (float) $text : (int) $text;
    }

    private static function number(Requirement $requirement, ?string $text): int|float|string|null
    {
        if ($requirement->value->number && is_numeric($text)) {
            return preg_match('~^-?\d{1,15}$~', $text) === 1 ? (int) $text : (float) $text;
        }
        $plain = in_array($requirement->descriptor->type, [ValueType::Whole, ValueType::Percent, ValueType::Size, ValueType::BitRate], true);

        return $text !== null && $plain && preg_match('~^\d{1,15}$~', $text) === 1 ? (int) $text : $text;
    }
}
