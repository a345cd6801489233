<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\CadenceRule;
use PlainLedger\Core\Checking\Rules\PassSamples;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\RequirementId;

/** `black-frames`, `frozen-frames` and `alpha-all-opaque`: what only a look at the pixels shows. */
final readonly class PixelCauses implements CauseFamily
{
    private const MOST_EVIDENCE = 10;

    public function find(Situation $situation): iterable
    {
        if ($situation->subject->part->delivers->isMovie()) {
            return;
        }
        yield from $this->black($situation);
        yield from $this->repeated($situation);
        yield from $this->frozen($situation);
        yield from $this->hold($situation);
        yield from $this->seam($situation);
        yield from $this->opaque($situation);
    }

    /** @return iterable<Finding> */
    private function seam(Situation $situation): iterable
    {
        $id = RequirementId::CONTENT_LOOP;
        $wrong = $situation->wrong($id);
        if (! $situation->inFiles($id) || count($wrong) !== 1 || $situation->asked($id) !== 'yes') {
            return;
        }
        $last = $wrong->last();
        $take = $situation->subject->onlyPass()?->takes[0] ?? null;
        $aside = Fix::setAside($situation->part(), $take?->path() ?? "frame {$last}", 1, $wrong);
        yield Finding::of(
            CauseId::SeamShownTwice,
            Side::Files,
            'The loop ends with the picture it begins with: played round, that one is shown twice. Leave frame '
                ."{$last} out.",
            ["the pixels of {$last} are those of the first frame"],
            [$id],
            [$aside, ...$this->shorterRange($situation, $wrong)],
        );
    }

    /** @return list<Fix> */
    private function shorterRange(Situation $situation, FrameRange $without): array
    {
        $expected = $situation->subject->expected;
        if ($expected === null) {
            return [];
        }
        $shorter = (string) $expected->minus($without);
        $says = "Set the range to {$shorter}, one frame shorter, where it is asked and in the scene.";

        return [
            Fix::set($situation->part(), RequirementId::TIME_RANGE, 'the range', (string) $expected, $shorter, $says),
        ];
    }

    /** @return iterable<Finding> */
    private function opaque(Situation $situation): iterable
    {
        $id = RequirementId::CONTENT_ALPHA_USED;
        $hasAlpha = $situation->shared(static fn (MediaFacts $f): ?bool => $f->encoding->hasAlpha()) === true;
        if (! $situation->inFiles($id) || $situation->found($id) !== 'no' || ! $hasAlpha) {
            return;
        }
        $says = 'Hide the background in the scene.';
        yield Finding::of(
            CauseId::AlphaAllOpaque,
            Side::Files,
            'There is an alpha channel, and it is opaque everywhere.',
            ['no pixel of any frame is seen through'],
            [$id],
            [Fix::set($situation->part(), $id, 'the background', 'opaque', 'hidden', $says)],
        )->rendering();
    }

    /** @return iterable<Finding> */
    private function repeated(Situation $situation): iterable
    {
        $samples = $situation->inFiles(RequirementId::CONTENT_CADENCE)
            || $situation->inFiles(RequirementId::CONTENT_FROZEN)
            ? PassSamples::of($situation->subject)
            : null;
        $cadence = $samples === null || $samples->hasUnseen() ? 'every' : CadenceRule::of($samples);
        $asked = $situation->entry(RequirementId::CONTENT_CADENCE)?->requirement->value->values ?? ['every'];
        if ($cadence === 'every' || in_array($cadence, $asked, true)) {
            return;
        }
        $how = match ($cadence) {
            '2' => 'Each picture stands for two frames',
            '3' => 'Each picture stands for three frames',
            default => "Pictures stand for {$cadence} frames in turn"
        };
        yield Finding::of(
            CauseId::PicturesRepeated,
            Side::Files,
            "{$how} throughout: a lower rate was stretched, or it was drawn so. Where that is meant, ask for a "
                ."cadence of {$cadence}.",
            ["the cadence is {$cadence}"],
            [RequirementId::CONTENT_CADENCE, RequirementId::CONTENT_FROZEN],
            [
                Fix::set(
                    $situation->part(),
                    'time.animation_rate',
                    'the rate and the speed',
                    $cadence,
                    'every',
                    'Set the rate, or the speed, that makes each frame a picture of its own.',
                ),
            ],
        )->rendering();
    }

    /** @return iterable<Finding> */
    private function hold(Situation $situation): iterable
    {
        $entry = $situation->entry(RequirementId::CONTENT_HOLD);
        if ($entry === null || ! $situation->inFiles(RequirementId::CONTENT_HOLD)) {
            return;
        }
        [$head, $tail] = array_map(intval(...), explode('+', $entry->requirement->value->single() ?? '0+0'));
        $found = $situation->found(RequirementId::CONTENT_HOLD) ?? '';
        [$hasHead, $hasTail] = array_map(intval(...), explode('+', str_contains($found, '+') ? $found : '0+0'));
        $short = [
            ...($hasHead < $head && $head > 1 ? ["the first picture stands for {$hasHead} of {$head} frames"] : []),
            ...($hasTail < $tail && $tail > 1 ? ["the last for {$hasTail} of {$tail}"] : []),
        ];
        yield Finding::of(
            CauseId::HoldTooShort,
            Side::Files,
            ucfirst(implode(', ', $short)).'.',
            $short,
            [RequirementId::CONTENT_HOLD],
            [
                Fix::set(
                    $situation->part(),
                    RequirementId::CONTENT_HOLD,
                    'the hold',
                    "{$hasHead}+{$hasTail}",
                    "{$head}+{$tail}",
                    'Hold the animation longer where it begins and ends.',
                ),
            ],
        )->rendering();
    }

    /** @return iterable<Finding> */
    private function black(Situation $situation): iterable
    {
        $frames = $this->wrong($situation, RequirementId::CONTENT_BLACK);
        if ($frames === null) {
            return;
        }
        $share = $situation->entry(RequirementId::CONTENT_BLACK)?->requirement->value->pixels->share;
        [$one, $many] = $share === null
            ? ['is black', 'are black']
            : ["is dark in more than {$share} % of its pixels", "are dark in more than {$share} % of their pixels"];
        yield Finding::of(
            CauseId::BlackFrames,
            Side::Files,
            $this->which($situation, $frames, $one, $many).' Look at lights, exposure and camera.',
            self::lightOf($situation, $frames),
            $share === null && $this->standsStillToo($situation, $frames)
                ? [RequirementId::CONTENT_BLACK, RequirementId::CONTENT_FROZEN]
                : [RequirementId::CONTENT_BLACK],
        )->rendering();
    }

    /** @return list<string> how light the first of these are */
    private static function lightOf(Situation $situation, FrameRange $frames): array
    {
        $samples = PassSamples::of($situation->subject)->samples ?? [];
        $evidence = [];
        foreach ($frames->numbers() as $number) {
            $light = ($samples[$number] ?? null)?->brightness?->mean();
            if (count($evidence) < self::MOST_EVIDENCE && $light !== null) {
                $which = $situation->subject->isNumbered() ? "frame {$number}: " : '';
                $evidence[] = $which.'mean luminance '.Fraction::decimal($light, 4).' of white';
            }
        }

        return $evidence;
    }

    /** @return iterable<Finding> */
    private function frozen(Situation $situation): iterable
    {
        $frames = $this->wrong($situation, RequirementId::CONTENT_FROZEN)?->minus($this->blackOnes($situation));
        if ($frames !== null && ! $frames->isEmpty()) {
            yield Finding::of(
                CauseId::FrozenFrames,
                Side::Files,
                $this->which($situation, $frames, 'stands still', 'stand still')
                    .' Pixel for pixel these are the same picture.',
                ["the pixels of {$this->short($frames)} are the same as those of the frame before or after"],
                [RequirementId::CONTENT_FROZEN],
            )->rendering();
        }
    }

    private function standsStillToo(Situation $situation, FrameRange $black): bool
    {
        $still = $this->wrong($situation, RequirementId::CONTENT_FROZEN) ?? FrameRange::none();

        return ! $still->and($black)->isEmpty();
    }

    /** One black picture is as another: those are told as black, and not as standing still besides. */
    private function blackOnes(Situation $situation): FrameRange
    {
        $share = $situation->entry(RequirementId::CONTENT_BLACK)?->requirement->value->pixels->share;

        return ($share === null ? $this->wrong($situation, RequirementId::CONTENT_BLACK) : null) ?? FrameRange::none();
    }

    private function wrong(Situation $situation, string $id): ?FrameRange
    {
        $sets = $situation->inFiles($id) ? $situation->entry($id)->files->wrong ?? [] : [];

        return $sets === [] ? null : array_values($sets)[0];
    }

    private function which(Situation $situation, FrameRange $frames, string $one, string $many): string
    {
        return ($situation->subject->isNumbered() ? $this->short($frames) : 'The picture')
            .' '
            .(count($frames) > 1 ? $many : $one)
            .'.';
    }

    private function short(FrameRange $frames): string
    {
        return mb_strimwidth((string) $frames, 0, 120, '…');
    }
}
