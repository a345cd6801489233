<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\NameDifferences;
use PlainLedger\Core\Diagnosis\NamingSentences;
use PlainLedger\Core\Diagnosis\RenameFix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Diagnosis\VersionProof;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\PieceReading;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/**
 * Every differing piece of the names that files have, each with its cause.
 *
 * @phpstan-type Place array{PassMatch, Take, FrameRange, Difference, PieceReading}
 */
final readonly class NamingCauses implements CauseFamily
{
    private const MOST_NAMED = 10;

    public function find(Situation $situation): iterable
    {
        if (! $situation->inFiles(RequirementId::NAMING_PATTERN)) {
            return;
        }
        foreach ($situation->passes() as $pass) {
            foreach ($pass->lone ? $pass->takes : [] as $take) {
                if (! $take->frames->isEmpty() && $take->reading !== null) {
                    yield $this->lone($situation, $take);
                }
            }
        }
        foreach ($this->places($situation) as $id => $places) {
            yield $this->finding($situation, CauseId::from($id), $places);
        }
    }

    /** @return array<string, non-empty-list<Place>> by the id of the cause */
    private function places(Situation $situation): array
    {
        /** @var array<string, non-empty-list<Place>> $places */
        $places = [];
        $differences = new NameDifferences($situation);
        foreach ($situation->passes() as $pass) {
            $relevant = $pass->relevant();
            foreach ($pass->lone ? [] : $pass->takes as $take) {
                $frames = $take->misnamed()->and($relevant);
                if ($frames->isEmpty() || $take->reading === null) {
                    continue;
                }
                foreach ($differences->of($take->reading, $take) as [$id, $difference, $piece]) {
                    $places[$id->value][] = [$pass, $take, $frames, $difference, $piece];
                }
            }
        }

        return $places;
    }

    /** @param  non-empty-list<Place>  $places */
    private function finding(Situation $situation, CauseId $id, array $places): Finding
    {
        $sentences = new NamingSentences($situation);
        $fixes = [];
        $says = [];
        $evidence = [];
        foreach ($places as [$pass, $take, $frames, $difference, $piece]) {
            $fixes = [...$fixes, ...$this->fixes($situation, $id, $pass, $take, $frames)];
            $says[] = $id === CauseId::ValueOfAnother
                ? NamingSentences::ofAnother($piece).' If they were only named so, rename them.'
                : $sentences->says($difference, $piece);
            $evidence[] = Text::shown($take->sequence->sampleName());
        }

        return Finding::of(
            $id,
            Side::Files,
            implode(' ', array_unique($says)),
            array_slice(array_values(array_unique($evidence)), 0, self::MOST_NAMED),
            [RequirementId::NAMING_PATTERN],
            Fix::eachOnce($fixes),
        );
    }

    /** @return non-empty-list<Fix> */
    private function fixes(
        Situation $situation,
        CauseId $id,
        PassMatch $pass,
        Take $take,
        FrameRange $frames,
    ): array {
        $numbers = $situation->subject->isNumbered() ? $frames : null;
        $aside = Fix::setAside($situation->part(), $take->path(), count($frames), $numbers);
        if ($id === CauseId::ValueOfAnother) {
            return [$aside];
        }

        return VersionProof::isLacking($situation, $take)
            ? [$this->deliverRightOne($situation, $take, self::askedOf($pass, $frames)), $aside]
            : [RenameFix::of($situation, $pass, $take, $frames)];
    }

    /** The frames that are asked instead: those that are there, where they are among the asked. */
    private static function askedOf(PassMatch $pass, FrameRange $frames): FrameRange
    {
        return $pass->expected !== null && $frames->and($pass->expected)->isEmpty() ? $pass->expected : $frames;
    }

    private function deliverRightOne(Situation $situation, Take $take, FrameRange $frames): Fix
    {
        $typed = $situation->asTyped(RequirementId::NAMING_PATTERN);
        $numbered = $situation->subject->isNumbered();
        $which = $numbered ? ', '.mb_strimwidth((string) $frames, 0, 90, '…') : '';
        $path = Text::shown($take->path());

        return Fix::deliver(
            $situation->part(),
            $typed,
            $numbered ? $frames : null,
            "Deliver {$typed}{$which}, and not {$path}.",
            $path,
        );
    }

    /** A picture without a number is one frame, whichever; the next would have been written over it. */
    private function lone(Situation $situation, Take $take): Finding
    {
        $name = Text::shown($take->sequence->sampleName());
        $id = RequirementId::NAMING_PATTERN;

        return Finding::of(
            CauseId::FixedNameOverwrites,
            Side::Files,
            "The name “{$name}” has no frame number: every frame would overwrite the one before.",
            [$name],
            [$id],
            [
                Fix::set($situation->part(), $id, 'the output name', $name, $situation->asTyped($id)),
                Fix::setAside($situation->part(), $take->path(), 1),
            ],
        )->rendering();
    }
}
