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
        if ($source === null || in_array($part->delivers, [Delivers::File, Delivers::Still], true)) {
            return;
        }
        $has = NamePattern::parse($source)->has('frame');
        if ($part->delivers === Delivers::Frames && ! $has) {
            $expected = PartLength::expected($part);
            $digits = max(
                4,
                $expected === null || $expected->isEmpty()
                    ? 4
                    : strlen((string) max(abs($expected->first()), abs($expected->last()))),
            );
            $with = str_contains($source, '.{ext}')
                ? str_replace('.{ext}', ".{frame:{$digits}}.{ext}", $source)
                : (string) preg_replace('~(\.[A-Za-z][A-Za-z0-9]{0,5})?$~', ".{frame:{$digits}}$1", $source, 1);
            yield Conflict::between(
                [RequirementId::NAMING_PATTERN],
                $part->name,
                "The part “{$part->name}” delivers frames, and “{$source}” has no {frame} to tell them apart.",
                ConflictResolution::set(RequirementId::NAMING_PATTERN, $with, "Name them {$with}."),
            );
        }
        if ($part->delivers === Delivers::Movie && $has) {
            $without = (string) preg_replace('~[._-]?\{\s*frame\s*(?::\s*\d*)?\s*\}~i', '', $source);
            yield Conflict::between(
                [RequirementId::NAMING_PATTERN],
                $part->name,
                "The part “{$part->name}” is a movie, and “{$source}” has a {frame}.",
                ...(
                    trim($without) === ''
                        ? []
                        : [ConflictResolution::set(RequirementId::NAMING_PATTERN, $without, "Name it {$without}.")]
                ),
            );
        }
    }
}
