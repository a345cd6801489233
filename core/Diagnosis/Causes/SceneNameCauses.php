<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\KindRule;
use PlainLedger\Core\Checking\Rules\NamingRules;
use PlainLedger\Core\Checking\Rules\OverwritesRule;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\NameDifferences;
use PlainLedger\Core\Diagnosis\NamingSentences;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** Every differing piece of the name that a scene writes; and `fixed-name-overwrites`. */
final readonly class SceneNameCauses implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        $shown = $situation->inScene(RequirementId::NAMING_PATTERN)
            || $situation->inScene(RequirementId::OUTPUT_OVERWRITES);
        if (! $shown || $situation->inFiles(RequirementId::NAMING_PATTERN)) {
            return;
        }
        $set = NamePattern::withHashes($situation->told(RequirementId::NAMING_PATTERN) ?? '');
        $typed = $situation->asTyped(RequirementId::NAMING_PATTERN);
        $fix = Fix::set($situation->part(), RequirementId::NAMING_PATTERN, 'the output name', $set, $typed);
        yield from $this->overwriting($situation, $set, $fix);
        $seen = [];
        foreach ($set === '' ? [] : $this->differing($situation) as $finding) {
            if (! isset($seen[$finding->id->value])) {
                yield $finding->withFixes([$fix]);
            }
            $seen[$finding->id->value] = true;
        }
    }

    /** @return iterable<Finding> */
    private function differing(Situation $situation): iterable
    {
        $differences = new NameDifferences($situation);
        $sentences = new NamingSentences($situation);
        $kindIsOther = KindRule::otherExtension($situation->subject) !== null
            && $situation->inScene(RequirementId::FORMAT_KIND);
        foreach (NamingRules::sceneReadings($situation->subject) as $reading) {
            foreach ($differences->of($reading, null) as [$id, $difference, $piece]) {
                // told with the format
                if ($piece->piece === 'ext' && $kindIsOther) {
                    continue;
                }
                $says = $id === CauseId::ValueOfAnother
                    ? NamingSentences::ofAnother($piece).' Its frames would land among that one’s.'
                    : $sentences->says($difference, $piece);
                $seen = ["the scene would write {$reading->name}"];
                yield Finding::of($id, Side::Scene, $says, $seen, [RequirementId::NAMING_PATTERN]);
            }
        }
    }

    /** @return iterable<Finding> */
    private function overwriting(Situation $situation, string $set, Fix $fix): iterable
    {
        if ($set !== '' && NamingRules::lacksNumber($situation->subject)) {
            yield Finding::of(
                CauseId::FixedNameOverwrites,
                Side::Scene,
                "The output name “{$set}” has no frame number: every frame would overwrite the one before.",
                ["naming.pattern is {$set}"],
                [RequirementId::NAMING_PATTERN, RequirementId::OUTPUT_OVERWRITES],
                [$fix],
            );

            return;
        }
        $under = $situation->inScene(RequirementId::OUTPUT_OVERWRITES)
            ? OverwritesRule::writtenOver($situation->subject)
            : null;
        if ($under !== null && ! $under->isEmpty()) {
            yield $this->onGoodFiles($situation, $set, $under);
        }
    }

    private function onGoodFiles(Situation $situation, string $set, FrameRange $under): Finding
    {
        $asked = $situation->askedOfPart(RequirementId::NAMING_PATTERN) ?? '';
        $says = 'Give the scene another output folder, or raise its version'
            .(str_contains($asked, '{version') ? '' : ' in the name')
            .', so that nothing is written over.';
        $id = RequirementId::OUTPUT_FOLDER;
        $fix = Fix::set($situation->part(), $id, 'the output folder', $situation->told($id), 'another', $says);

        return Finding::of(
            CauseId::FixedNameOverwrites,
            Side::Scene,
            'The output falls on good files of an earlier delivery: '.Text::count(count($under), 'file').": {$under}.",
            [
                "the scene writes {$set}",
                'the files lie there already, under the same name in a folder of the same name',
            ],
            [RequirementId::OUTPUT_OVERWRITES],
            [$fix],
        );
    }
}
