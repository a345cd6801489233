<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** A production's own facts, `other.NAME`, as a specification asks them. */
final readonly class CustomFacts
{
    /** @return array<string, string> the label they are shown by, by id */
    public static function labels(Specification $specification): array
    {
        $labels = [];
        foreach ($specification->parts as $part) {
            foreach ($part->requirements as $requirement) {
                if (str_starts_with($requirement->id(), 'other.')) {
                    $labels[$requirement->id()] = $requirement->descriptor->label;
                }
            }
        }

        return $labels;
    }
}
