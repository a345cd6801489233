<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** Fewer digits than the largest frame number needs: the names would change their width and sort wrongly. */
final readonly class FrameDigits implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $expected = PartLength::expected($part);
        foreach ([RequirementId::NAMING_PATTERN, RequirementId::NAMING_FOLDER] as $id) {
            $source = $part->single($id);
            $piece = $source === null ? null : NamePattern::parse($source)->piece('frame');
            if ($piece?->digits === null || $expected === null || $expected->isEmpty()) {
                continue;
            }
            $largest = max(abs($expected->first()), abs($expected->last()));
            $needed = strlen((string) $largest);
            if ($needed > $piece->digits) {
                $handles = $part->handles() !== [0, 0]
                    && strlen(
                        (string) max(abs($part->cutRange()?->first() ?? 0), abs($part->cutRange()?->last() ?? 0)),
                    ) <= $piece->digits;
                $ids = $handles
                    ? [$id, RequirementId::TIME_RANGE, RequirementId::TIME_HANDLES]
                    : [$id, RequirementId::TIME_RANGE];
                yield Conflict::between(
                    $ids,
                    $part->name,
                    "Frame {$largest} needs {$needed} digits"
                        .($handles ? ', handles counted,' : '')
                        ." and the name has {$piece->digits}.",
                    ConflictResolution::set(
                        $id,
                        (string) preg_replace('~\{\s*frame\s*:\s*\d+\s*\}~i', "{frame:{$needed}}", (string) $source),
                        "Count frames with {$needed} digits.",
                    ),
                );
            }
        }
    }
}
