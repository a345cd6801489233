<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Specification\RequirementId;

/** Settings that scenes of one specification should have in common, and a few do not. */
final readonly class SharedSettings
{
    /** What differs from shot to shot by its nature. */
    private const OWN = [
        RequirementId::TIME_RANGE, 'time.timeline', RequirementId::TIME_COUNT, RequirementId::TIME_HANDLES,
        RequirementId::CAMERA_NAME, RequirementId::OUTPUT_FOLDER, RequirementId::NAMING_PATTERN,
        RequirementId::NAMING_FOLDER, RequirementId::BURN_IN,
    ];

    /**
     * Only where more than half of at least three agree, so that it is plain who differs.
     *
     * @param  array<string, array<string, string>>  $scenes  settings by id, by whose scene it is
     * @return list<array{id: string, label: string, common: string, count: int, others: list<array{whose: string,
     *   value: string}>}>
     */
    public static function among(array $scenes): array
    {
        $values = [];
        $own = array_flip(self::OWN);
        foreach ($scenes as $whose => $settings) {
            foreach (array_diff_key($settings, $own) as $id => $value) {
                $values[$id][(string) $whose] = $value;
            }
        }
        $labels = FieldNames::offered();
        $found = [];
        foreach ($values as $id => $by) {
            $counts = array_count_values($by);
            arsort($counts);
            $common = (string) array_key_first($counts);
            $others = array_filter($by, static fn (string $v): bool => $v !== $common);
            if (
                count($by) < 3
                || $others === []
                || count($by) >= $counts[$common] * 2
            ) {
                continue;
            }
            $list = [];
            foreach ($others as $whose => $value) {
                $list[] = ['whose' => (string) $whose, 'value' => $value];
            }
            $found[] = [
                'id' => $id,
                'label' => $labels[$id] ?? $id,
                'common' => $common,
                'count' => $counts[$common],
                'others' => $list,
            ];
        }
        $order = array_keys($labels);
        usort(
            $found,
            static fn (array $a, array $b): int => array_search($a['id'], $order, true)
                <=> array_search($b['id'], $order, true),
        );

        return $found;
    }
}
