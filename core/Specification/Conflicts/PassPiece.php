<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\LiteralExtension;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** Several passes and nothing in their names that tells them apart. Layers of one OpenEXR file need no names. */
final readonly class PassPiece implements ConflictRule
{
    public function read(Specification $specification, Part $part): iterable
    {
        $passes = $part->passes();
        $source = $part->single(RequirementId::NAMING_PATTERN);
        if (count($passes) < 2 || $source === null || $part->passesByFiles()) {
            return;
        }
        $pattern = NamePattern::parse($source);
        $kinds = $part->kinds();
        $literal = Kind::fromExtension(LiteralExtension::of($pattern) ?? '');
        if (in_array(Kind::Exr, $kinds, true) || ($kinds === [] && $literal === Kind::Exr)) {
            return;
        }
        $with = str_contains($source, '{frame')
            ? (string) preg_replace('~(?=[._-]?\{frame)~', '_{pass}', $source, 1)
            : (string) preg_replace('~(?=\.[^.]*$)|$~', '_{pass}', $source, 1);
        yield Conflict::between(
            [RequirementId::PASSES, RequirementId::NAMING_PATTERN],
            $part->name,
            count($passes).' passes are asked, and neither name nor folder has a {pass} to tell them apart.',
            ConflictResolution::set(RequirementId::NAMING_PATTERN, $with, "Name them {$with}."),
            ConflictResolution::set(
                RequirementId::FORMAT_KIND,
                'exr',
                'Ask for OpenEXR, whose layers can be the passes.',
            ),
        );
    }
}
