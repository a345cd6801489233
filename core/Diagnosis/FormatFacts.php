<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\RequirementId;

/** What all whole files of a situation have in common in their format. */
final readonly class FormatFacts
{
    /** Whether all of them show the same of one requirement. */
    public static function isUniform(Situation $situation, string $id): bool
    {
        return $situation->isUniform($id)
            || $situation->shared(static fn (MediaFacts $facts): string => self::fact($facts, $id)) !== null;
    }

    private static function fact(MediaFacts $facts, string $id): string
    {
        $encoding = $facts->encoding;

        return (string) match ($id) {
            RequirementId::FORMAT_KIND => $facts->kind?->value,
            RequirementId::FORMAT_COMPRESSION => $encoding->compression,
            RequirementId::FORMAT_ALPHA => $encoding->hasAlpha() === true ? 'alpha' : 'none',
            RequirementId::FORMAT_CHANNELS => $encoding->channelsText(),
            RequirementId::FORMAT_BIT_DEPTH => $encoding->bitDepth,
            default => $encoding->sample,
        };
    }

    /** The format of the files where there are any, else the one that the scene is set to. */
    public static function kind(Situation $situation): ?Kind
    {
        $kind = $situation->inFiles(RequirementId::FORMAT_KIND) || $situation->passes() !== []
            ? $situation->shared(static fn (MediaFacts $f): ?Kind => $f->kind)
            : null;

        return $kind ?? Kind::tryFrom($situation->told(RequirementId::FORMAT_KIND) ?? '');
    }
}
