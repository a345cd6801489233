<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\FormatRules;
use PlainLedger\Core\Checking\Rules\KindRule;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\RenameFix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\CodecCapabilities;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/**
 * What the files' format holds: `extension-lies`, `lossy-instead-of-lossless`, `alpha-cannot-live-here`,
 * `alpha-not-saved`, `alpha-not-asked`, `depth-dropped`, `compression-differs`.
 */
final readonly class FormatCauses implements CauseFamily
{
    /** Ways of compressing that lose something; of a word that is not known it is not said. */
    private const LOSSY = ['jpeg', 'jpg', 'lossy', 'dwaa', 'dwab', 'dwa', 'b44', 'b44a', 'pxr24'];

    public function find(Situation $situation): iterable
    {
        yield from $this->extensionLies($situation);
        yield from $this->lossy($situation);
        yield from $this->alpha($situation);
        yield from $this->depth($situation);
        if (
            $situation->isUnequal(RequirementId::FORMAT_COMPRESSION)
            && ! $situation->isUnequal(RequirementId::FORMAT_KIND)
            && $this->isUniform($situation, RequirementId::FORMAT_COMPRESSION)
        ) {
            $found = $situation->found(RequirementId::FORMAT_COMPRESSION) ?? '';
            $asked = $situation->entry(RequirementId::FORMAT_COMPRESSION)->required ?? '';
            $side = $situation->side(RequirementId::FORMAT_COMPRESSION);
            yield Finding::of(
                CauseId::CompressionDiffers,
                $side,
                "Compression is {$found}, and {$asked} is asked.",
                ["format.compression is {$found}"],
                [RequirementId::FORMAT_COMPRESSION],
                EntryFix::of($situation, RequirementId::FORMAT_COMPRESSION, 'the compression')->fixes,
            )->asAlternative();
        }
    }

    private function isUniform(Situation $situation, string $id): bool
    {
        $fact = static fn (MediaFacts $f): string => match ($id) {
            RequirementId::FORMAT_KIND => $f->kind->value ?? '',
            RequirementId::FORMAT_COMPRESSION => $f->compression ?? '',
            RequirementId::FORMAT_ALPHA => $f->alpha === true ? 'alpha' : 'none',
            RequirementId::FORMAT_CHANNELS => $f->channelsText() ?? '',
            RequirementId::FORMAT_BIT_DEPTH => (string) $f->bitDepth,
            default => $f->sample ?? '',
        };

        return $situation->isUniform($id) || $situation->shared($fact) !== null;
    }

    private function kind(Situation $situation): ?Kind
    {
        $kind = $situation->inFiles(RequirementId::FORMAT_KIND) || $situation->passes() !== []
            ? $situation->shared(static fn (MediaFacts $f): ?Kind => $f->kind)
            : null;

        return $kind ?? Kind::tryFrom($situation->scene()?->get(RequirementId::FORMAT_KIND) ?? '');
    }

    /** @return iterable<Finding> */
    private function extensionLies(Situation $situation): iterable
    {
        if (! $situation->inFiles(RequirementId::FORMAT_KIND)) {
            yield from $this->sceneNamesAnother($situation);

            return;
        }
        $asked = $situation->entry(RequirementId::FORMAT_KIND)->requirement->value->values ?? [];
        foreach ($situation->passes() as $pass) {
            foreach ($pass->takes as $t => $take) {
                $name = $take->sequence->sampleName();
                $extension = Extension::of($name);
                $at = array_search($t, $pass->frames->takes, true);
                $kind = null;
                for ($i = $at === false ? $pass->frames->count() : $at; $i < $pass->frames->count() && $kind === null; $i++) {
                    $kind = $pass->frames->takes[$i] === $t && $pass->frames->factsAt($i)->isWhole()
                        ? $pass->frames->factsAt($i)->kind
                        : null;
                }
                if ($kind === null || $extension === '' || Extension::agrees($name, $kind) !== false) {
                    continue;
                }
                $right = in_array($kind->value, $asked, true);
                yield Finding::of(
                    CauseId::ExtensionLies,
                    Side::Files,
                    'The files are called .'
                        .Text::shown($extension)
                        ." and are {$kind->spoken()} inside"
                        .($right ? ', as asked: only the name is wrong.' : '; '.implode(' or ', $asked).' is asked.'),
                    [Text::shown($name)." begins with the signature of {$kind->spoken()}"],
                    $right ? [RequirementId::FORMAT_KIND, RequirementId::NAMING_PATTERN] : [RequirementId::FORMAT_KIND],
                    $right ? [RenameFix::of($situation, $pass, $take, $take->frames)] : [],
                )->rendering(! $right);
            }
        }
    }

    /** @return iterable<Finding> */
    private function sceneNamesAnother(Situation $situation): iterable
    {
        $extension = $situation->inScene(RequirementId::FORMAT_KIND)
            ? KindRule::otherExtension($situation->subject)
            : null;
        if ($extension === null) {
            return;
        }
        $kind = $situation->scene()?->get(RequirementId::FORMAT_KIND) ?? '';
        $asked = $situation->entry(RequirementId::FORMAT_KIND)->requirement->value->values ?? [];
        if (! in_array($kind, $asked, true) && in_array(Kind::fromExtension($extension)?->value, $asked, true)) {
            // the name is right, and only the format is another
            return;
        }
        $fixes = in_array($kind, $asked, true)
            ? []
            : [Fix::set($situation->part(), RequirementId::FORMAT_KIND, 'the format', $kind, $asked[0] ?? $kind)];
        $name = $situation->scene()?->get(RequirementId::NAMING_PATTERN) ?? '';
        $right = Kind::tryFrom(in_array($kind, $asked, true) ? $kind : $asked[0] ?? $kind)?->usualExtension() ?? $kind;
        $to = str_replace(['{ext}'], [$right], substr($name, 0, -strlen($extension)).$right);
        if ($right !== $extension) {
            $typed = isset($situation->entries[RequirementId::NAMING_PATTERN])
                ? $situation->asTyped(RequirementId::NAMING_PATTERN)
                : NamingCauses::asShown($to);
            $fixes[] = Fix::set(
                $situation->part(),
                RequirementId::NAMING_PATTERN,
                'the output name',
                NamingCauses::asShown($name),
                $typed,
            );
        }
        yield Finding::of(
            CauseId::ExtensionLies,
            Side::Scene,
            "The format is {$kind}, and the name says .{$extension}.",
            ["format.kind is {$kind}", 'naming.pattern is '.NamingCauses::asShown($name)],
            [RequirementId::FORMAT_KIND, RequirementId::NAMING_PATTERN],
            $fixes,
        );
    }

    /** @return iterable<Finding> */
    private function lossy(Situation $situation): iterable
    {
        $side = $situation->inFiles(RequirementId::FORMAT_KIND)
            || $situation->inFiles(RequirementId::FORMAT_COMPRESSION)
            ? Side::Files
            : Side::Scene;
        if (! $situation->isUnequal(RequirementId::FORMAT_KIND, RequirementId::FORMAT_COMPRESSION)) {
            return;
        }
        $kind = $this->kind($situation);
        $found = $side === Side::Files
            ? $situation->shared(
                static fn (MediaFacts $f): ?string => FormatRules::isLossless($f->compression, $f)
                    ? null
                    : $f->compression,
            )
            : $situation->scene()?->get(RequirementId::FORMAT_COMPRESSION);
        $lossyKind = $kind === Kind::Jpeg;
        $lossy = $lossyKind || (is_string($found) && ($side === Side::Files || in_array($found, self::LOSSY, true)));
        $asked = $situation->subject->part->find(RequirementId::FORMAT_COMPRESSION)?->value->values;
        $askedKinds = $situation->subject->part->kinds();
        $wantsLossless = $asked !== null
            ? array_filter(
                $asked,
                static fn (string $c): bool => $c !== 'lossless' && ! FormatRules::isLossless($c),
            ) === []
            : $askedKinds !== [] && array_filter($askedKinds, static fn (Kind $k): bool => ! $k->losesNothing()) === [];
        if (
            ! $lossy
            || ! $wantsLossless
            || ! $this->isUniform($situation, RequirementId::FORMAT_KIND)
            || ($kind?->isMovie() ?? false)
        ) {
            return;
        }
        $what = $lossyKind ? 'JPEG' : (string) $found;
        $to = $lossyKind && $askedKinds !== [] && ! in_array(Kind::Jpeg, $askedKinds, true)
            ? Fix::set($situation->part(), RequirementId::FORMAT_KIND, 'the format', 'jpeg', $askedKinds[0]->value)
            : Fix::set(
                $situation->part(),
                RequirementId::FORMAT_COMPRESSION,
                'the compression',
                is_string($found) ? $found : null,
                $situation->asTyped(RequirementId::FORMAT_COMPRESSION),
            );
        yield Finding::of(
            CauseId::LossyInsteadOfLossless,
            $side,
            (
                $side === Side::Files ? 'The files are compressed' : 'The scene saves its files compressed'
            )." with loss ({$what}), where lossless ones are asked. Converting them back restores nothing.",
            [$side === Side::Files ? "every whole file is {$what}" : "the scene writes {$what}"],
            [
                RequirementId::FORMAT_KIND,
                RequirementId::FORMAT_COMPRESSION,
                ...(
                    $lossyKind
                        ? [
                            RequirementId::FORMAT_CHANNELS,
                            RequirementId::FORMAT_ALPHA,
                            RequirementId::FORMAT_BIT_DEPTH,
                            RequirementId::FORMAT_SAMPLE,
                        ]
                        : []
                ),
            ],
            [$to],
        )->asAlternative()->rendering($side === Side::Files);
    }

    /** @return iterable<Finding> */
    private function alpha(Situation $situation): iterable
    {
        $asksAlpha = in_array(
            $situation->subject->part->single(RequirementId::FORMAT_ALPHA),
            ['straight', 'premultiplied', 'any'],
            true,
        )
            || in_array(
                'A',
                Channels::parse($situation->subject->part->single(RequirementId::FORMAT_CHANNELS) ?? ''),
                true,
            )
            || $situation->subject->part->single(RequirementId::CONTENT_ALPHA_USED) === 'yes';
        foreach ([Side::Files, Side::Scene] as $side) {
            $shows = static fn (string $id): bool => $side === Side::Files
                ? $situation->inFiles($id)
                : ($situation->inScene($id) && ! $situation->inFiles($id));
            if (
                ! $shows(RequirementId::FORMAT_ALPHA)
                && ! $shows(RequirementId::FORMAT_CHANNELS)
                && ! $shows(RequirementId::CONTENT_ALPHA_USED)
            ) {
                continue;
            }
            if (
                ! $this->isUniform($situation, RequirementId::FORMAT_ALPHA)
                || ! $this->isUniform($situation, RequirementId::FORMAT_CHANNELS)
            ) {
                continue;
            }
            $has = $this->hasAlpha($situation, $side);
            // channels that differ in more than alpha are another matter
            $channels = $situation->isUnequal(RequirementId::FORMAT_CHANNELS)
                ? $this->butAlpha($situation->found(RequirementId::FORMAT_CHANNELS) ?? '') === $this->butAlpha(
                    $situation->entry(RequirementId::FORMAT_CHANNELS)->required ?? '',
                )
                : false;
            $touches = [
                RequirementId::FORMAT_ALPHA,
                ...($channels ? [RequirementId::FORMAT_CHANNELS] : []),
                RequirementId::CONTENT_ALPHA_USED,
            ];
            if (! $situation->isUnequal(...$touches)) {
                continue;
            }
            $kind = $this->kind($situation);
            if ($asksAlpha && $has === false) {
                yield $this->lacksAlpha($situation, $side, $kind, $touches);
            } elseif (! $asksAlpha && $has === true) {
                yield Finding::of(
                    CauseId::AlphaNotAsked,
                    $side,
                    'There is an alpha channel, and none is asked.',
                    [$side === Side::Files ? 'every whole file has an alpha channel' : 'the scene saves alpha'],
                    $touches,
                    $this->withoutAlpha($situation, $side),
                )->asAlternative();
            }
        }
    }

    /** @return list<Fix> */
    private function withoutAlpha(Situation $situation, Side $side): array
    {
        $part = $situation->part();
        $id = $situation->isUnequal(RequirementId::FORMAT_ALPHA)
            ? RequirementId::FORMAT_ALPHA
            : RequirementId::FORMAT_CHANNELS;
        if ($side === Side::Scene) {
            $fixes = $situation->inScene(RequirementId::FORMAT_ALPHA)
                ? [
                    Fix::set(
                        $part,
                        RequirementId::FORMAT_ALPHA,
                        'alpha',
                        $situation->found(RequirementId::FORMAT_ALPHA),
                        'none',
                        'Save without alpha.',
                    ),
                ]
                : [];

            return [
                ...$fixes,
                ...(
                    $situation->inScene(RequirementId::FORMAT_CHANNELS)
                        ? EntryFix::of($situation, RequirementId::FORMAT_CHANNELS, 'the channels')->fixes
                        : []
                ),
            ];
        }
        $channels = $situation->subject->part->single(RequirementId::FORMAT_CHANNELS)
            ?? $this->butAlpha($situation->shared(static fn (MediaFacts $f): ?string => $f->channelsText()) ?? 'RGBA');

        return $situation->subject->part->delivers->isMovie() ? EntryFix::of($situation, $id, 'the alpha')->fixes
            : [
                Fix::encode(
                    $part,
                    RequirementId::FORMAT_CHANNELS,
                    'channels',
                    "{$channels}A",
                    $channels,
                    $situation->framesOf($id),
                ),
            ];
    }

    /** @param  list<string>  $touches */
    private function lacksAlpha(Situation $situation, Side $side, ?Kind $kind, array $touches): Finding
    {
        $part = $situation->part();
        $codec = $situation->scene()?->get(RequirementId::FORMAT_CODEC);
        $render = $side === Side::Files && ! $situation->subject->part->delivers->isMovie();
        $kinds = array_values(
            array_filter($situation->subject->part->kinds(), static fn (Kind $k): bool => $k->canHoldAlpha()),
        );
        $alpha = $situation->subject->part->single(RequirementId::FORMAT_ALPHA) ?? 'straight';
        $save = $side === Side::Scene
            && ! in_array($situation->scene()?->get(RequirementId::FORMAT_ALPHA), ['none'], true)
            ? []
            : [
                Fix::set(
                    $part,
                    RequirementId::FORMAT_ALPHA,
                    'alpha',
                    'none',
                    $alpha === 'any' ? 'straight' : $alpha,
                    'Save alpha.',
                ),
            ];
        if ($side === Side::Scene && $codec !== null && ! CodecCapabilities::canHoldAlpha($codec)) {
            $askedCodec = $situation->subject->part->single(RequirementId::FORMAT_CODEC);
            $fix = $askedCodec !== null && CodecCapabilities::canHoldAlpha($askedCodec)
                ? Fix::set($part, RequirementId::FORMAT_CODEC, 'the codec', $codec, $askedCodec)
                : Fix::set(
                    $part,
                    RequirementId::FORMAT_CODEC,
                    'the codec',
                    $codec,
                    'prores 4444',
                    'Set the codec to one that carries alpha, such as ProRes 4444, PNG or Animation.',
                );

            return Finding::of(
                CauseId::AlphaCannotLiveHere,
                $side,
                "The codec {$codec} cannot carry alpha, and alpha is asked.",
                ["format.codec is {$codec}"],
                $touches,
                [$fix, ...$save],
            )->asAlternative();
        }
        if ($kind !== null && ! $kind->canHoldAlpha()) {
            $to = $kinds[0] ?? Kind::Png;
            $fix = Fix::set(
                $part,
                RequirementId::FORMAT_KIND,
                'the format',
                $kind->value,
                $to->value,
                $kinds === [] ? 'Set the format to one that carries alpha, such as PNG or OpenEXR.' : null,
            );

            return Finding::of(
                CauseId::AlphaCannotLiveHere,
                $side,
                "{$kind->spoken()} cannot carry alpha, and alpha is asked.",
                ["the format is {$kind->value}"],
                $touches,
                [$fix, ...$save],
            )->asAlternative()->rendering($render);
        }
        $fixes = [];
        foreach ([
            RequirementId::FORMAT_ALPHA => 'alpha',
            RequirementId::FORMAT_CHANNELS => 'the channels',
        ] as $id => $label) {
            $fixes = [...$fixes, ...($situation->isUnequal($id) ? EntryFix::of($situation, $id, $label)->fixes : [])];
        }

        return Finding::of(
            CauseId::AlphaNotSaved,
            $side,
            'Alpha is asked and was not saved'.($kind === null ? '.' : "; {$kind->spoken()} could carry it."),
            [$side === Side::Files ? 'no whole file has an alpha channel' : 'the scene saves no alpha'],
            $touches,
            $fixes,
        )->asAlternative()->rendering($render);
    }

    private function hasAlpha(Situation $situation, Side $side): ?bool
    {
        if ($side === Side::Files) {
            $told = $situation->shared(static fn (MediaFacts $f): ?bool => $f->alpha);

            return is_bool($told) ? $told : null;
        }
        $alpha = $situation->scene()?->get(RequirementId::FORMAT_ALPHA);
        $channels = $situation->scene()?->get(RequirementId::FORMAT_CHANNELS);
        if ($situation->found(RequirementId::FORMAT_ALPHA) === 'none') {
            return false;
        }

        return $alpha !== null
            ? $alpha !== 'none'
            : ($channels === null ? null : in_array('A', Channels::parse($channels), true));
    }

    private function butAlpha(string $channels): string
    {
        return Channels::write(array_values(array_diff(Channels::parse($channels), ['A'])));
    }

    /** @return list<Fix> for each of the two that is wrong */
    private function deeper(Situation $situation): array
    {
        $fixes = [];
        foreach ([
            RequirementId::FORMAT_BIT_DEPTH => 'the depth',
            RequirementId::FORMAT_SAMPLE => 'the sample type',
        ] as $id => $label) {
            $fixes = [...$fixes, ...($situation->isUnequal($id) ? EntryFix::of($situation, $id, $label)->fixes : [])];
        }

        return $fixes;
    }

    /** @return iterable<Finding> */
    private function depth(Situation $situation): iterable
    {
        $less = false;
        $side = Side::Scene;
        foreach ([RequirementId::FORMAT_BIT_DEPTH, RequirementId::FORMAT_SAMPLE] as $id) {
            if (! $situation->isUnequal($id) || ! $this->isUniform($situation, $id)) {
                continue;
            }
            $found = $situation->found($id) ?? '';
            $asked = $situation->entry($id)?->requirement->value->single() ?? '';
            $side = $situation->side($id);
            $less = $less
                || (
                    $id === RequirementId::FORMAT_BIT_DEPTH ? (int) $found < (int) $asked : $found === 'uint'
                    && $asked === 'float'
                );
        }
        if (! $less) {
            return;
        }
        $depth = static fn (?string $bits, ?string $sample): string => trim(
            ($bits === null ? '' : "{$bits}-bit ").($sample ?? ''),
        );
        $found = $depth(
            $situation->isUnequal(RequirementId::FORMAT_BIT_DEPTH)
                ? $situation->found(RequirementId::FORMAT_BIT_DEPTH)
                : null,
            $situation->isUnequal(RequirementId::FORMAT_SAMPLE)
                ? $situation->found(RequirementId::FORMAT_SAMPLE)
                : null,
        );
        $asked = $depth(
            $situation->subject->part->single(RequirementId::FORMAT_BIT_DEPTH),
            $situation->subject->part->single(RequirementId::FORMAT_SAMPLE),
        );
        yield Finding::of(
            CauseId::DepthDropped,
            $side,
            "Depth was dropped: {$found} where {$asked} is asked.",
            ["it is {$found}"],
            [RequirementId::FORMAT_BIT_DEPTH, RequirementId::FORMAT_SAMPLE],
            $this->deeper($situation),
        )->asAlternative()->rendering($side === Side::Files && ! $situation->subject->part->delivers->isMovie());
    }
}
