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
        if (
            count($specification->parts) === 1
            && $specification->parts[0]->name === $specification->parts[0]->delivers->value
        ) {
            $document += [
                'delivers' => $specification->parts[0]->delivers->value,
                'values' => (object) $values,
                'require' => self::require($specification->parts[0]),
            ];
        } else {
            $document += [
                'values' => (object) $values,
                'parts' => array_map(
                    static fn (Part $p): array => ['name' => $p->name, 'delivers' => $p->delivers->value]
                        + ($p->madeFrom === null ? [] : ['made_from' => $p->madeFrom])
                            + ['require' => self::require($p)],
                    $specification->parts,
                ),
            ];
        }

        return $document + (
            $specification->startingValues === [] ? [] : ['starting_values' => $specification->startingValues]
        );
    }

    /** @return object a JSON object, also where nothing is asked */
    private static function require(Part $part): object
    {
        return (object) array_map(self::ask(...), $part->requirements);
    }

    /** What one requirement asks, as it is written in a document. */
    public static function ask(Requirement $requirement): mixed
    {
        $more = array_filter(
            [
                'level' => $requirement->level === Level::Must ? null : $requirement->level->value,
                'why' => $requirement->why,
            ],
            is_string(...),
        );
        $value = $requirement->descriptor->type->format()->write($requirement->value);
        if ($more === []) {
            return $value;
        }

        return is_array($value) && ! array_is_list($value) ? $value + $more : ['value' => $value] + $more;
    }
}
