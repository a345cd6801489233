<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\FormatRules;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\FormatFacts;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\RequirementId;

/** How files are compressed: `lossy-instead-of-lossless`, `compression-differs`. */
final readonly class FormatCauses implements CauseFamily
{
    /** Ways of compressing that lose something; of a word that is not known it is not said. */
    private const LOSSY = ['jpeg', 'jpg', 'lossy', 'dwaa', 'dwab', 'dwa', 'b44', 'b44a', 'pxr24'];

    private const DECIDED_BY_JPEG = [
        RequirementId::FORMAT_CHANNELS, RequirementId::FORMAT_ALPHA, RequirementId::FORMAT_BIT_DEPTH,
        RequirementId::FORMAT_SAMPLE,
    ];

    public function find(Situation $situation): iterable
    {
        if ($situation->isUnequal(RequirementId::FORMAT_KIND, RequirementId::FORMAT_COMPRESSION)) {
            yield from $this->lossy($situation);
        }
        $alone = $situation->isUnequal(RequirementId::FORMAT_COMPRESSION)
            && ! $situation->isUnequal(RequirementId::FORMAT_KIND);
        if (! $alone || ! FormatFacts::isUniform($situation, RequirementId::FORMAT_COMPRESSION)) {
            return;
        }
        $found = $situation->found(RequirementId::FORMAT_COMPRESSION) ?? '';
        yield Finding::of(
            CauseId::CompressionDiffers,
            $situation->side(RequirementId::FORMAT_COMPRESSION),
            "Compression is {$found}, and {$situation->asked(RequirementId::FORMAT_COMPRESSION)} is asked.",
            ["format.compression is {$found}"],
            [RequirementId::FORMAT_COMPRESSION],
            EntryFix::of($situation, RequirementId::FORMAT_COMPRESSION, 'the compression')->fixes,
        )->asAlternative();
    }

    /** @return iterable<Finding> */
    private function lossy(Situation $situation): iterable
    {
        $inFiles = $situation->inFiles(RequirementId::FORMAT_KIND)
            || $situation->inFiles(RequirementId::FORMAT_COMPRESSION);
        $kind = FormatFacts::kind($situation);
        $found = $inFiles ? $this->lossyFiles($situation) : $situation->told(RequirementId::FORMAT_COMPRESSION);
        $loses = $kind === Kind::Jpeg || ($found !== null && ($inFiles || in_array($found, self::LOSSY, true)));
        $isMovie = $kind?->isMovie() ?? false;
        $uniform = FormatFacts::isUniform($situation, RequirementId::FORMAT_KIND);
        $isOfKind = $isMovie && ! $situation->isUnequal(RequirementId::FORMAT_COMPRESSION);
        if (! $loses || ! $uniform || $isOfKind || ! $this->wantsLossless($situation)) {
            return;
        }
        $what = $kind === Kind::Jpeg ? 'JPEG' : (string) $found;
        $says = $inFiles ? 'The files are compressed' : 'The scene saves its files compressed';
        yield Finding::of(
            CauseId::LossyInsteadOfLossless,
            $inFiles ? Side::Files : Side::Scene,
            "{$says} with loss ({$what}), where lossless ones are asked. Converting them back restores nothing.",
            [$inFiles ? "every whole file is {$what}" : "the scene writes {$what}"],
            [
                RequirementId::FORMAT_KIND,
                RequirementId::FORMAT_COMPRESSION,
                ...($kind === Kind::Jpeg ? self::DECIDED_BY_JPEG : []),
            ],
            [$this->losingNothing($situation, $kind, $found)],
        )->asAlternative()->rendering($inFiles);
    }

    /** The compression that all whole files share, where it loses something. */
    private function lossyFiles(Situation $situation): ?string
    {
        $shared = $situation->shared(
            static function (MediaFacts $f): ?string {
                $packed = $f->movie === null ? $f->encoding->compression : $f->encoding->codec;

                return FormatRules::isLossless($packed, $f) ? null : $packed;
            },
        );

        return is_string($shared) ? $shared : null;
    }

    private function wantsLossless(Situation $situation): bool
    {
        $asked = $situation->subject->part->find(RequirementId::FORMAT_COMPRESSION)?->value->values;
        if ($asked !== null) {
            $lossy = static fn (string $word): bool => $word !== 'lossless' && ! FormatRules::isLossless($word);

            return array_filter($asked, $lossy) === [];
        }
        $kinds = $situation->subject->part->kinds();

        return $kinds !== [] && array_filter($kinds, static fn (Kind $k): bool => ! $k->losesNothing()) === [];
    }

    private function losingNothing(Situation $situation, ?Kind $kind, ?string $found): Fix
    {
        $kinds = $situation->subject->part->kinds();

        return $kind === Kind::Jpeg && $kinds !== [] && ! in_array(Kind::Jpeg, $kinds, true)
            ? Fix::set($situation->part(), RequirementId::FORMAT_KIND, 'the format', 'jpeg', $kinds[0]->value)
            : Fix::set(
                $situation->part(),
                RequirementId::FORMAT_COMPRESSION,
                'the compression',
                $found,
                $situation->asTyped(RequirementId::FORMAT_COMPRESSION),
            );
    }
}
