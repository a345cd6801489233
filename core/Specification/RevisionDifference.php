<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** Two revisions of a specification, line by line. */
final readonly class RevisionDifference
{
    /** @return list<array{part: string, id: string, label: string, from: string|null, to: string|null}> only what differs; null where it is not asked */
    public static function between(Specification $before, Specification $after): array
    {
        $lines = [];
        $names = array_values(
            array_unique(
                [
                    ...array_map(static fn (Part $p): string => $p->name, $before->parts),
                    ...array_map(static fn (Part $p): string => $p->name, $after->parts),
                ],
            ),
        );
        foreach ($names as $name) {
            [$old, $new] = [$before->part($name), $after->part($name)];
            if ($old === null || $new === null) {
                $lines[] = [
                    'part' => $name,
                    'id' => '',
                    'label' => 'the part',
                    'from' => $old === null ? null : $old->delivers->value,
                    'to' => $new === null ? null : $new->delivers->value,
                ];
            }
            $ids = array_unique([...array_keys($old->requirements ?? []), ...array_keys($new->requirements ?? [])]);
            usort(
                $ids,
                static fn (string $a, string $b): int => Catalogue::standard()->place($a) <=> Catalogue::standard()
                    ->place($b),
            );
            foreach ($ids as $id) {
                [$from, $to] = [self::text($old?->find($id)), self::text($new?->find($id))];
                if ($from !== $to) {
                    $lines[] = [
                        'part' => $name,
                        'id' => $id,
                        'label' => Catalogue::standard()->find($id)->label ?? $id,
                        'from' => $from,
                        'to' => $to,
                    ];
                }
            }
        }
        if ($before->title !== $after->title) {
            array_unshift(
                $lines,
                ['part' => '', 'id' => '', 'label' => 'the title', 'from' => $before->title, 'to' => $after->title],
            );
        }

        return $lines;
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
