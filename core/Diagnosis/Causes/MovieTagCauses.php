<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Specification\RequirementId;

/** `no-start-timecode` and `index-last`: what a movie’s file says beside its pictures, and where it says it. */
final readonly class MovieTagCauses implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        $id = RequirementId::TIME_START_TIMECODE;
        if ($situation->inFiles($id) && $situation->found($id) === 'none') {
            yield Finding::of(
                CauseId::NoStartTimecode,
                Side::Files,
                "The movie has no timecode, and it is to start at {$situation->asked($id)}.",
                ['no track and no field of the file holds a timecode'],
                [$id],
                [Fix::retag($situation->part(), $id, 'the start timecode', 'none', $situation->asked($id))],
            );
        }
        $id = RequirementId::FORMAT_INDEX;
        if ($situation->inFiles($id) && $situation->found($id) === 'last') {
            yield Finding::of(
                CauseId::IndexLast,
                Side::Files,
                'The index stands behind the pictures: a player has to load all of the file before it begins.',
                ['the index follows the media data'],
                [$id],
                [Fix::retag($situation->part(), $id, 'the index', 'last', 'first')],
            );
        }
    }
}
