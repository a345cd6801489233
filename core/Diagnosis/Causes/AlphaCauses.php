<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\FormatFacts;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Media\CodecCapabilities;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\RequirementId;

/** `alpha-cannot-live-here`, `alpha-not-saved`, `alpha-not-asked`. */
final readonly class AlphaCauses implements CauseFamily
{
    private const LINES = [
        RequirementId::FORMAT_ALPHA,
        RequirementId::FORMAT_CHANNELS,
        RequirementId::CONTENT_ALPHA_USED,
    ];

    public function find(Situation $situation): iterable
    {
        $uniform = FormatFacts::isUniform($situation, RequirementId::FORMAT_ALPHA)
            && FormatFacts::isUniform($situation, RequirementId::FORMAT_CHANNELS);
        foreach ($uniform ? [Side::Files, Side::Scene] : [] as $side) {
            $touches = $this->touches($situation);
            if (! $this->isShown($situation, $side) || ! $situation->isUnequal(...$touches)) {
                continue;
            }
            $finding = $this->finding($situation, $side, $touches);
            if ($finding !== null) {
                yield $finding;
            }
        }
    }

    /** @param  list<string>  $touches */
    private function finding(Situation $situation, Side $side, array $touches): ?Finding
    {
        $has = $this->hasAlpha($situation, $side);
        if ($this->isAsked($situation)) {
            return $has === false ? $this->lacking($situation, $side, $touches) : null;
        }

        return $has !== true ? null : Finding::of(
            CauseId::AlphaNotAsked,
            $side,
            'There is an alpha channel, and none is asked.',
            [$side === Side::Files ? 'every whole file has an alpha channel' : 'the scene saves alpha'],
            $touches,
            $side === Side::Files ? $this->savedWithout($situation) : $this->setWithout($situation),
        )->asAlternative();
    }

    private function isAsked(Situation $situation): bool
    {
        $alpha = $situation->askedOfPart(RequirementId::FORMAT_ALPHA);
        $channels = Channels::parse($situation->askedOfPart(RequirementId::FORMAT_CHANNELS) ?? '');

        return in_array($alpha, ['straight', 'premultiplied', 'any'], true)
            || in_array('A', $channels, true)
            || $situation->askedOfPart(RequirementId::CONTENT_ALPHA_USED) === 'yes';
    }

    private function isShown(Situation $situation, Side $side): bool
    {
        $shown = static fn (string $id): bool => $side === Side::Files
            ? $situation->inFiles($id)
            : $situation->inScene($id) && ! $situation->inFiles($id);

        return array_filter(self::LINES, $shown) !== [];
    }

    /** @return list<string> without the channels where they differ in more than alpha, which is another matter */
    private function touches(Situation $situation): array
    {
        $id = RequirementId::FORMAT_CHANNELS;
        $butForAlpha = $situation->isUnequal($id)
            && $this->butAlpha($situation->found($id) ?? '') === $this->butAlpha($situation->asked($id));

        return $butForAlpha ? self::LINES : [RequirementId::FORMAT_ALPHA, RequirementId::CONTENT_ALPHA_USED];
    }

    private function hasAlpha(Situation $situation, Side $side): ?bool
    {
        if ($side === Side::Files) {
            $told = $situation->shared(static fn (MediaFacts $f): ?bool => $f->encoding->hasAlpha());

            return is_bool($told) ? $told : null;
        }
        if ($situation->found(RequirementId::FORMAT_ALPHA) === 'none') {
            return false;
        }
        $alpha = $situation->told(RequirementId::FORMAT_ALPHA);
        $channels = $situation->told(RequirementId::FORMAT_CHANNELS);

        return match (true) {
            $alpha !== null => $alpha !== 'none',
            $channels !== null => in_array('A', Channels::parse($channels), true),
            default => null,
        };
    }

    private function butAlpha(string $channels): string
    {
        return Channels::write(array_values(array_diff(Channels::parse($channels), ['A'])));
    }

    /** @return list<Fix> */
    private function setWithout(Situation $situation): array
    {
        $id = RequirementId::FORMAT_ALPHA;
        $alpha = Fix::set($situation->part(), $id, 'alpha', $situation->found($id), 'none', 'Save without alpha.');
        $channels = $situation->inScene(RequirementId::FORMAT_CHANNELS)
            ? EntryFix::of($situation, RequirementId::FORMAT_CHANNELS, 'the channels')->fixes
            : [];

        return [...($situation->inScene($id) ? [$alpha] : []), ...$channels];
    }

    /** @return list<Fix> */
    private function savedWithout(Situation $situation): array
    {
        $id = $situation->isUnequal(RequirementId::FORMAT_ALPHA)
            ? RequirementId::FORMAT_ALPHA
            : RequirementId::FORMAT_CHANNELS;
        if ($situation->subject->part->delivers->isMovie()) {
            return EntryFix::of($situation, $id, 'the alpha')->fixes;
        }
        $shared = $situation->shared(static fn (MediaFacts $f): ?string => $f->encoding->channelsText()) ?? 'RGBA';
        $to = $situation->askedOfPart(RequirementId::FORMAT_CHANNELS) ?? $this->butAlpha($shared);
        $frames = $situation->framesOf($id);

        return [Fix::encode($situation->part(), RequirementId::FORMAT_CHANNELS, 'channels', "{$to}A", $to, $frames)];
    }

    /** @param  list<string>  $touches */
    private function lacking(Situation $situation, Side $side, array $touches): Finding
    {
        $codec = $situation->told(RequirementId::FORMAT_CODEC);
        $kind = FormatFacts::kind($situation);
        if ($side === Side::Scene && $codec !== null && ! CodecCapabilities::canHoldAlpha($codec)) {
            $fixes = [$this->otherCodec($situation, $codec), ...$this->save($situation, $side)];

            return $this->noPlace($side, "The codec {$codec}", "format.codec is {$codec}", $touches, $fixes);
        }
        $render = $situation->wouldRender($side);
        if ($kind !== null && ! $kind->canHoldAlpha()) {
            $fixes = [$this->otherKind($situation, $kind), ...$this->save($situation, $side)];

            return $this->noPlace(
                $side,
                $kind->spoken(),
                "the format is {$kind->value}",
                $touches,
                $fixes,
            )->rendering($render);
        }

        return Finding::of(
            CauseId::AlphaNotSaved,
            $side,
            'Alpha is asked and was not saved'.($kind === null ? '.' : "; {$kind->spoken()} could carry it."),
            [$side === Side::Files ? 'no whole file has an alpha channel' : 'the scene saves no alpha'],
            $touches,
            EntryFix::ofEach($situation, [
                RequirementId::FORMAT_ALPHA => 'alpha',
                RequirementId::FORMAT_CHANNELS => 'the channels',
            ]),
        )->asAlternative()->rendering($render);
    }

    /**
     * @param  list<string>  $touches
     * @param  list<Fix>  $fixes
     */
    private function noPlace(Side $side, string $what, string $evidence, array $touches, array $fixes): Finding
    {
        $says = "{$what} cannot carry alpha, and alpha is asked.";

        return Finding::of(CauseId::AlphaCannotLiveHere, $side, $says, [$evidence], $touches, $fixes)->asAlternative();
    }

    /** @return list<Fix> alpha switched on, unless the scene says that it is */
    private function save(Situation $situation, Side $side): array
    {
        if ($side === Side::Scene && $situation->told(RequirementId::FORMAT_ALPHA) !== 'none') {
            return [];
        }
        $asked = $situation->askedOfPart(RequirementId::FORMAT_ALPHA) ?? 'straight';
        $to = $asked === 'any' ? 'straight' : $asked;

        return [Fix::set($situation->part(), RequirementId::FORMAT_ALPHA, 'alpha', 'none', $to, 'Save alpha.')];
    }

    private function otherCodec(Situation $situation, string $codec): Fix
    {
        $asked = $situation->askedOfPart(RequirementId::FORMAT_CODEC);
        $usable = $asked !== null && CodecCapabilities::canHoldAlpha($asked);

        return Fix::set(
            $situation->part(),
            RequirementId::FORMAT_CODEC,
            'the codec',
            $codec,
            $usable ? $asked : 'prores 4444',
            $usable ? null : 'Set the codec to one that carries alpha, such as ProRes 4444, PNG or Animation.',
        );
    }

    private function otherKind(Situation $situation, Kind $kind): Fix
    {
        $able = array_filter($situation->subject->part->kinds(), static fn (Kind $k): bool => $k->canHoldAlpha());
        $isMovie = $situation->subject->part->delivers->isMovie();

        return Fix::set(
            $situation->part(),
            RequirementId::FORMAT_KIND,
            'the format',
            $kind->value,
            (array_values($able)[0] ?? ($isMovie ? Kind::Mov : Kind::Png))->value,
            $able === [] && ! $isMovie ? 'Set the format to one that carries alpha, such as PNG or OpenEXR.' : null,
        );
    }
}
