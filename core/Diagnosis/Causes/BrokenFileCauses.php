<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\DamagedTail;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Damage;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** `empty-file`, `cut-short`, `checksum-fails`: single files that are not whole, apart from the end of a render that stopped. */
final readonly class BrokenFileCauses implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        if (! $situation->inFiles(RequirementId::CONTENT_WHOLE)) {
            return;
        }
        $frames = [];
        $evidence = [];
        $first = [];
        foreach ($situation->passes() as $pass) {
            $relevant = $pass->relevant();
            $tail = $this->stoppedTail($situation, $pass);
            foreach ($pass->frames->numbers as $i => $number) {
                $facts = $pass->frames->factsAt($i);
                $id = match (true) {
                    $facts->damage === null || ! $relevant->contains($number) || $tail->contains($number) => null,
                    $facts->damage === Damage::Empty => CauseId::EmptyFile,
                    in_array($facts->damage, [Damage::CutShort, Damage::Zeros], true) => CauseId::CutShort,
                    $facts->damage === Damage::Checksum, $facts->damage === Damage::Header => CauseId::ChecksumFails,
                    default => CauseId::ValueDiffers,
                };
                if ($id !== null) {
                    $frames[$id->value][] = $number;
                    $first[$id->value] ??= Text::shown((string) $facts->damageSays);
                    if (count($evidence[$id->value] ?? []) < 10) {
                        $evidence[$id->value][] = ($situation->subject->isNumbered() ? "frame {$number}: " : '')
                            .$facts->damageSays;
                    }
                }
            }
        }
        foreach ($frames as $id => $numbers) {
            $seen = $evidence[$id] ?? [];
            $cause = CauseId::from($id);
            $which = $situation->subject->isNumbered()
                ? mb_strimwidth((string) FrameRange::fromNumbers($numbers), 0, 120, '…')
                : 'The file';
            $many = count($numbers) > 1;
            yield Finding::of($cause, Side::Files, match ($cause) {
                CauseId::EmptyFile => "{$which} ".($many ? 'are' : 'is').' empty.',
                CauseId::CutShort => "{$which} ".($many ? 'were' : 'was').' cut off mid-write.',
                CauseId::ChecksumFails => "{$which} "
                    .($many ? 'contradict themselves' : 'contradicts itself')
                    .': '
                    .($first[$id] ?? '')
                    .'.',
                default => "{$which} ".($many ? 'are no pictures' : 'is no picture').': '.($first[$id] ?? '').'.',
            }, $seen, [RequirementId::CONTENT_WHOLE])->rendering();
        }
    }

    /** What belongs to a render that stopped is told there. */
    private function stoppedTail(Situation $situation, PassMatch $pass): FrameRange
    {
        $expected = $pass->expected;
        $inside = $expected === null ? $pass->present : $pass->present->and($expected);
        if (
            $expected === null
            || $inside->isEmpty()
            || $inside->first() !== $expected->first()
            || $inside->last() >= $expected->last()
            || ! $expected->covers($pass->present)
        ) {
            return FrameRange::none();
        }
        $scene = $situation->scene()?->frames();
        if (
            $scene !== null
            && ! $scene->isEmpty()
            && $scene->last() <= $inside->last()
            && $situation->scene()->get(RequirementId::TIME_EXTENT) !== 'one'
        ) {
            return FrameRange::none();
        }

        return FrameRange::fromNumbers(DamagedTail::of($pass));
    }
}
