<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Measure\FrameRange;
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
        if ($expected === null || $expected->isEmpty()) {
            return;
        }
        foreach ([RequirementId::NAMING_PATTERN, RequirementId::NAMING_FOLDER] as $id) {
            $source = $part->single($id);
            $digits = $source === null ? null : NamePattern::parse($source)->piece('frame')?->digits;
            if ($source !== null && $digits !== null && self::largest($expected) >= 10 ** $digits) {
                yield $this->tooFew($part, $id, $source, $digits, self::largest($expected));
            }
        }
    }

    private static function largest(FrameRange $frames): int
    {
        return max(abs($frames->first()), abs($frames->last()));
    }

    private function tooFew(Part $part, string $id, string $source, int $digits, int $largest): Conflict
    {
        $needed = strlen((string) $largest);
        $cut = $part->cutRange();
        // without its handles it would have done
        $handles = $part->handles() !== [0, 0] && ($cut === null ? 0 : self::largest($cut)) < 10 ** $digits;
        $wider = (string) preg_replace('~\{\s*frame\s*:\s*\d+\s*\}~i', "{frame:{$needed}}", $source);

        return Conflict::between(
            [$id, RequirementId::TIME_RANGE, ...($handles ? [RequirementId::TIME_HANDLES] : [])],
            $part->name,
            "Frame {$largest} needs {$needed} digits"
                .($handles ? ', handles counted,' : '')
                ." and the name has {$digits}.",
            ConflictResolution::set($id, $wider, "Count frames with {$needed} digits."),
        );
    }
}
