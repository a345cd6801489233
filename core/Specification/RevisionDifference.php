<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** Two revisions of a specification, line by line. */
final readonly class RevisionDifference
{
    /**
     * @return list<array{part: string, id: string, label: string, from: string|null, to: string|null}> only what
     *   differs; null where it is not asked
     */
    public static function between(Specification $before, Specification $after): array
    {
        $lines = [];
        if ($before->title !== $after->title) {
            $titles = ['from' => $before->title, 'to' => $after->title];
            $lines[] = ['part' => '', 'id' => '', 'label' => 'the title'] + $titles;
        }
        $names = array_map(static fn (Part $part): string => $part->name, [...$before->parts, ...$after->parts]);
        foreach (array_unique($names) as $name) {
            $lines = [...$lines, ...self::ofPart($name, $before->part($name), $after->part($name))];
        }

        return $lines;
    }

    /** @return list<array{part: string, id: string, label: string, from: string|null, to: string|null}> */
    private static function ofPart(string $name, ?Part $old, ?Part $new): array
    {
        $lines = [];
        if ($old === null || $new === null) {
            $lines[] = [
                'part' => $name,
                'id' => '',
                'label' => 'the part',
                'from' => $old?->delivers->value,
                'to' => $new?->delivers->value,
            ];
        }
        $catalogue = Catalogue::standard();
        foreach (self::idsOf($old, $new) as $id) {
            $values = ['from' => self::text($old?->find($id)), 'to' => self::text($new?->find($id))];
            if ($values['from'] !== $values['to']) {
                $lines[] = ['part' => $name, 'id' => $id, 'label' => $catalogue->find($id)->label ?? $id] + $values;
            }
        }

        return $lines;
    }

    /** @return list<string> what either asks, in the order of the catalogue */
    private static function idsOf(?Part $old, ?Part $new): array
    {
        $ids = array_unique([...array_keys($old->requirements ?? []), ...array_keys($new->requirements ?? [])]);
        $catalogue = Catalogue::standard();
        usort($ids, static fn (string $a, string $b): int => $catalogue->place($a) <=> $catalogue->place($b));

        return $ids;
    }

    private static function text(?Requirement $requirement): ?string
    {
        if ($requirement === null) {
            return null;
        }
        $own = array_map(
            static fn (string $pass, array $require): string => " ({$pass}: "
                .json_encode($require, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)
                .')',
            array_map(strval(...), array_keys($requirement->value->own)),
            array_values($requirement->value->own),
        );

        return $requirement->required()
            .($requirement->level === Level::Should ? ' (should)' : '')
            .($requirement->why === null ? '' : ", {$requirement->why}")
            .implode('', $own);
    }
}
