<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\MovieFound;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Media\Movie\SourceShown;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/**
 * `frames-in-wrong-order`, `stills-held`, `view-applied-twice`, `view-missing`: what a movie’s pictures show beside the
 * frames it is made from, where they were looked at.
 */
final readonly class MoviePictureCauses implements CauseFamily
{
    /** Lines that show it too where each still of the frames was held. */
    public const SHOW_STILLS_HELD = [RequirementId::CONTENT_CADENCE, RequirementId::CONTENT_FROZEN];

    public function find(Situation $situation): iterable
    {
        $movie = MovieFound::in($situation);
        $shown = $movie?->facts->movie?->shown;
        if ($movie === null || $shown === null || ! $situation->inFiles(RequirementId::CONTENT_SOURCE)) {
            return;
        }
        $frames = $movie->source->name ?? 'frames';
        if (in_array($shown->order, [SourceShown::REVERSED, SourceShown::MIXED], true)) {
            yield $this->finding(
                $situation,
                CauseId::FramesInWrongOrder,
                $shown->order === SourceShown::REVERSED
                    ? "The movie shows its {$frames} from the last to the first."
                    : "The movie does not show its {$frames} in the order of their numbers: pictures "
                        ."{$shown->apart} are others than they should be.",
                $shown,
                "Sort the {$frames} by number and make the movie again from them.",
            );
        } elseif ($shown->order === SourceShown::OTHERS) {
            yield $this->finding(
                $situation,
                CauseId::ValueDiffers,
                "The movie shows other pictures than its {$frames}.",
                $shown,
                "Make the movie again from the {$frames} that are there.",
            );
        } elseif ($shown->times > 1 && ! $situation->isUnequal(RequirementId::TIME_RANGE, RequirementId::TIME_COUNT)) {
            yield $this->finding(
                $situation,
                CauseId::StillsHeld,
                "The movie shows each of its {$frames} {$shown->times} times in a row.",
                $shown,
                "Make the movie again from {$frames}, each still one frame.",
            )->asAlternative();
        } elseif ($shown->light !== null) {
            yield $this->light($situation, $shown, $shown->light, $frames);
        }
    }

    private function light(Situation $situation, SourceShown $shown, string $light, string $frames): Finding
    {
        $isTwice = $light !== 'darker';

        return $this->finding(
            $situation,
            $isTwice ? CauseId::ViewAppliedTwice : CauseId::ViewMissing,
            "The movie is {$light} than its {$frames} throughout: "
                .($isTwice
                    ? 'a view or look was applied to them once more when they were put together.'
                    : 'they were put together without the view that they are meant to be seen through.'),
            $shown,
            "Set view and look to none where the {$frames} are put together, and make the movie again.",
        )->orElse($isTwice ? CauseId::ViewMissing : CauseId::ViewAppliedTwice);
    }

    private function finding(
        Situation $situation,
        CauseId $id,
        string $says,
        SourceShown $shown,
        string $work,
    ): Finding {
        $were = $shown->looked === 1 ? 'was' : 'were';
        $evidence = [Text::count($shown->looked, 'picture')." of it {$were} looked at"];
        $fix = Fix::encode(
            $situation->part(),
            RequirementId::CONTENT_SOURCE,
            'the pictures',
            $situation->found(RequirementId::CONTENT_SOURCE) ?? '',
            'each once, in order',
            null,
            $work,
        );

        return Finding::of(
            $id,
            Side::Files,
            $says,
            $shown->why === null ? $evidence : [...$evidence, $shown->why],
            [RequirementId::CONTENT_SOURCE, ...($id === CauseId::StillsHeld ? self::SHOW_STILLS_HELD : [])],
            [$fix],
        );
    }
}
