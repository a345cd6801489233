<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** Frames that no {frame} tells apart, and a movie with one. */
final readonly class FramePiece implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $source = $part->single(RequirementId::NAMING_PATTERN);
        if ($source === null) {
            return;
        }
        $has = NamePattern::parse($source)->has('frame');
        if ($part->delivers === Delivers::Frames && ! $has) {
            $with = self::withNumber($source, self::digits($part));
            yield Conflict::between(
                [RequirementId::NAMING_PATTERN],
                $part->name,
                "The part “{$part->name}” delivers frames, and “{$source}” has no {frame} to tell them apart.",
                ConflictResolution::set(RequirementId::NAMING_PATTERN, $with, "Name them {$with}."),
            );
        }
        if ($part->delivers === Delivers::Movie && $has) {
            $without = (string) preg_replace('~[._-]?\{\s*frame\s*(?::\s*\d*)?\s*\}~i', '', $source);
            $set = ConflictResolution::set(RequirementId::NAMING_PATTERN, $without, "Name it {$without}.");
            yield Conflict::between(
                [RequirementId::NAMING_PATTERN],
                $part->name,
                "The part “{$part->name}” is a movie, and “{$source}” has a {frame}.",
                ...(trim($without) === '' ? [] : [$set]),
            );
        }
    }

    /** Four at least, as is usual. */
    private static function digits(Part $part): int
    {
        $expected = PartLength::expected($part);
        $largest = $expected === null || $expected->isEmpty()
            ? 0
            : max(abs($expected->first()), abs($expected->last()));

        return max(4, strlen((string) $largest));
    }

    private static function withNumber(string $pattern, int $digits): string
    {
        return str_contains($pattern, '.{ext}')
            ? str_replace('.{ext}', ".{frame:{$digits}}.{ext}", $pattern)
            : (string) preg_replace('~(\.[A-Za-z][A-Za-z0-9]{0,5})?$~', ".{frame:{$digits}}$1", $pattern, 1);
    }
}
