<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\CadenceRule;
use PlainLedger\Core\Checking\Rules\PassSamples;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\MovieFound;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\RequirementId;

/**
 * `black-frames`, `frozen-frames`, `pictures-repeated`, `hold-too-short`, `seam-shown-twice` and `alpha-all-opaque` in
 * a movie whose pictures were looked at. It is made again; what its frames lack is rendered before.
 */
final readonly class MovieContentCauses implements CauseFamily
{
    private const LONG = 120;

    public function find(Situation $situation): iterable
    {
        $samples = $situation->subject->part->delivers->isMovie() ? PassSamples::of($situation->subject) : null;
        if ($samples === null) {
            return;
        }
        yield from $this->black($situation);
        yield from $this->repeated($situation, $samples);
        yield from $this->frozen($situation);
        yield from $this->hold($situation);
        yield from $this->seam($situation, $samples);
        yield from $this->opaque($situation);
    }

    /** @return iterable<Finding> */
    private function black(Situation $situation): iterable
    {
        $id = RequirementId::CONTENT_BLACK;
        $black = $situation->wrong($id);
        if ($black->isEmpty()) {
            return;
        }
        $share = $situation->entry($id)?->requirement->value->pixels->share;
        $are = count($black) > 1 ? 'are' : 'is';
        $how = $share === null ? "{$are} black" : "{$are} dark in more than {$share} % of the pixels";
        $isStillToo = $share === null && ! $situation->wrong(RequirementId::CONTENT_FROZEN)->and($black)->isEmpty();
        yield $this->finding(
            $situation,
            CauseId::BlackFrames,
            self::which($black)." {$how}.",
            $isStillToo ? [$id, RequirementId::CONTENT_FROZEN] : [$id],
            $this->again($situation, 'without black pictures'),
        );
    }

    /** @return iterable<Finding> */
    private function frozen(Situation $situation): iterable
    {
        $id = RequirementId::CONTENT_FROZEN;
        $isOfLight = $situation->entry(RequirementId::CONTENT_BLACK)?->requirement->value->pixels->share === null;
        $black = $isOfLight ? $situation->wrong(RequirementId::CONTENT_BLACK) : FrameRange::none();
        $frozen = $situation->wrong($id)->minus($black);
        if (! $frozen->isEmpty()) {
            yield $this->finding(
                $situation,
                CauseId::FrozenFrames,
                self::which($frozen).' stand still: pixel for pixel these are the same picture.',
                [$id],
                $this->again($situation, 'where each picture is another'),
            );
        }
    }

    /** @return iterable<Finding> */
    private function repeated(Situation $situation, PassSamples $samples): iterable
    {
        $id = RequirementId::CONTENT_CADENCE;
        $isAsked = $situation->inFiles($id) || $situation->inFiles(RequirementId::CONTENT_FROZEN);
        $cadence = ! $isAsked || $samples->hasUnseen() ? 'every' : CadenceRule::of($samples);
        $asked = $situation->entry($id)?->requirement->value->values ?? ['every'];
        // where its frames were held one by one, that is told of them
        $isHeld = (MovieFound::in($situation)->facts->movie?->shown->times ?? 1) > 1;
        if ($cadence === 'every' || $isHeld || in_array($cadence, $asked, true)) {
            return;
        }
        $how = match ($cadence) {
            '2' => 'Each picture stands for two',
            '3' => 'Each picture stands for three',
            default => "Pictures stand for {$cadence} in turn"
        };
        yield $this->finding(
            $situation,
            CauseId::PicturesRepeated,
            "{$how} throughout the movie: a lower rate was stretched, or it was drawn so. Where that is meant, ask for "
                ."a cadence of {$cadence}.",
            [$id, RequirementId::CONTENT_FROZEN],
            $this->again($situation, 'at the rate at which each picture is one of its own'),
        );
    }

    /** @return iterable<Finding> */
    private function hold(Situation $situation): iterable
    {
        $id = RequirementId::CONTENT_HOLD;
        $entry = $situation->entry($id);
        if ($entry === null || ! $situation->inFiles($id)) {
            return;
        }
        $asked = $entry->requirement->value->single() ?? '0+0';
        [$head, $tail] = array_map(intval(...), explode('+', $asked));
        [$hasHead, $hasTail] = array_map(intval(...), explode('+', ($situation->found($id) ?? '0+0').'+0'));
        $short = [
            ...($hasHead < $head && $head > 1 ? ["the first picture stands for {$hasHead} of {$head}"] : []),
            ...($hasTail < $tail && $tail > 1 ? ["the last for {$hasTail} of {$tail}"] : []),
        ];
        yield $this->finding(
            $situation,
            CauseId::HoldTooShort,
            ucfirst(implode(', ', $short)).' pictures.',
            [$id],
            $this->again($situation, "with {$head} pictures held at its head and {$tail} at its tail"),
        );
    }

    /** @return iterable<Finding> */
    private function seam(Situation $situation, PassSamples $samples): iterable
    {
        $id = RequirementId::CONTENT_LOOP;
        $wrong = $situation->wrong($id);
        if (count($wrong) !== 1 || $situation->asked($id) !== 'yes') {
            return;
        }
        $count = count($samples->samples) - 1;
        yield $this->finding(
            $situation,
            CauseId::SeamShownTwice,
            'The movie ends with the picture it begins with: played round, that one is shown twice.',
            [$id],
            $this->again($situation, "without its last picture, and ask for {$count} pictures"),
        );
    }

    /** @return iterable<Finding> */
    private function opaque(Situation $situation): iterable
    {
        $id = RequirementId::CONTENT_ALPHA_USED;
        $hasAlpha = MovieFound::in($situation)?->facts->encoding->hasAlpha() === true;
        if ($hasAlpha && $situation->inFiles($id) && $situation->found($id) === 'no') {
            yield $this->finding(
                $situation,
                CauseId::AlphaAllOpaque,
                'There is an alpha channel, and it is opaque everywhere.',
                [$id],
                'Hide the background in the scene, render again, and '.lcfirst($this->again($situation, 'of that')),
            );
        }
    }

    /** @param  list<string>  $explains */
    private function finding(Situation $situation, CauseId $cause, string $says, array $explains, string $work): Finding
    {
        $id = $explains[0];
        $found = $situation->found($id) ?? '';
        $fix = Fix::encode($situation->part(), $id, 'the pictures', $found, $situation->asTyped($id), null, $work);

        return Finding::of($cause, Side::Files, $says, ['all of its pictures were looked at'], $explains, [$fix]);
    }

    /** @param  string  $how  in words that follow “Make the movie again” */
    private function again(Situation $situation, string $how): string
    {
        $source = $situation->subject->source()?->name;
        $look = $source === null ? '' : "Look at {$source} first: what is wrong there too is rendered again before. ";

        return "{$look}Make the movie again".($source === null ? '' : " from {$source}").", {$how}.";
    }

    private static function which(FrameRange $pictures): string
    {
        return (count($pictures) > 1 ? 'Pictures ' : 'Picture ')
            .mb_strimwidth((string) $pictures, 0, self::LONG, '…')
            .' of the movie';
    }
}
