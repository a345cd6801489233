<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\DamagedTail;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Damage;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/**
 * `empty-file`, `cut-short`, `checksum-fails`: single files that are not whole, apart from the end of a render that
 * stopped.
 */
final readonly class BrokenFileCauses implements CauseFamily
{
    private const MOST_NAMED = 10;

    public function find(Situation $situation): iterable
    {
        if (! $situation->inFiles(RequirementId::CONTENT_WHOLE)) {
            return;
        }
        foreach ($this->broken($situation) as $id => $broken) {
            $cause = CauseId::from($id);
            $seen = array_map(
                static fn (array $one): string => ($situation->subject->isNumbered() ? "frame {$one[0]}: " : '')
                    .$one[1],
                array_slice($broken, 0, self::MOST_NAMED),
            );
            $says = $this->says($cause, array_column($broken, 0), $broken[0][1], $situation->subject->isNumbered());
            $fixes = $situation->subject->part->delivers->isMovie() ? [self::madeAgain($situation)] : [];
            yield Finding::of($cause, Side::Files, $says, $seen, [RequirementId::CONTENT_WHOLE], $fixes)
                ->rendering($fixes === []);
        }
    }

    /**
     * @return array<string, non-empty-list<array{int, string}>> frames and what is wrong with each, by the id of the
     *   cause
     */
    private function broken(Situation $situation): array
    {
        /** @var array<string, non-empty-list<array{int, string}>> $broken */
        $broken = [];
        foreach ($situation->passes() as $pass) {
            $counting = $pass->relevant()->minus($this->stoppedTail($situation, $pass));
            foreach ($pass->frames->numbers as $i => $number) {
                $facts = $pass->frames->factsAt($i);
                if ($facts->damage() !== null && $counting->contains($number)) {
                    $broken[self::cause($facts->damage())->value][] = [$number, (string) $facts->wholeness->reason];
                }
            }
        }

        return $broken;
    }

    /** What is not in a movie’s file comes back only from what it was made of. */
    private static function madeAgain(Situation $situation): Fix
    {
        $from = $situation->subject->part->madeFrom;

        return Fix::encode(
            $situation->part(),
            RequirementId::CONTENT_WHOLE,
            'a whole file',
            'cut short',
            'whole',
            null,
            'Make the movie again'.($from === null ? '' : " from {$from}").', or copy it again if the copy broke off.',
        );
    }

    private static function cause(Damage $damage): CauseId
    {
        return match ($damage) {
            Damage::Empty => CauseId::EmptyFile,
            Damage::CutShort, Damage::Zeros => CauseId::CutShort,
            Damage::Checksum, Damage::Header => CauseId::ChecksumFails,
            default => CauseId::ValueDiffers,
        };
    }

    /** @param  non-empty-list<int>  $frames */
    private function says(CauseId $cause, array $frames, string $why, bool $numbered): string
    {
        $which = $numbered ? mb_strimwidth((string) FrameRange::fromNumbers($frames), 0, 120, '…') : 'The file';
        $many = count($frames) > 1;
        $why = Text::shown($why);

        return "{$which} ".match ($cause) {
            CauseId::EmptyFile => $many ? 'are empty.' : 'is empty.',
            CauseId::CutShort => $many ? 'were cut off mid-write.' : 'was cut off mid-write.',
            CauseId::ChecksumFails => ($many ? 'contradict themselves' : 'contradicts itself').": {$why}.",
            default => ($many ? 'are no pictures' : 'is no picture').": {$why}.",
        };
    }

    /** What belongs to a render that stopped is told there. */
    private function stoppedTail(Situation $situation, PassMatch $pass): FrameRange
    {
        $expected = $pass->expected;
        $inside = $expected === null ? FrameRange::none() : $pass->present->and($expected);
        if ($expected === null || $inside->isEmpty() || ! $expected->covers($pass->present)) {
            return FrameRange::none();
        }
        $stopped = $inside->first() === $expected->first() && $inside->last() < $expected->last();
        $scene = $situation->scene()?->frames();
        $one = $situation->told(RequirementId::TIME_EXTENT) === 'one';
        $asSet = $scene !== null && ! $scene->isEmpty() && ! $one && $scene->last() <= $inside->last();

        return $stopped && ! $asSet ? FrameRange::fromNumbers(DamagedTail::of($pass)) : FrameRange::none();
    }
}
