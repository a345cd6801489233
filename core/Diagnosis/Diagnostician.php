<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Checking\Check;
use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\PassEntries;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Diagnosis\Causes\AlphaCauses;
use PlainLedger\Core\Diagnosis\Causes\AssemblyCauses;
use PlainLedger\Core\Diagnosis\Causes\AssemblySceneCauses;
use PlainLedger\Core\Diagnosis\Causes\BrokenFileCauses;
use PlainLedger\Core\Diagnosis\Causes\CameraCauses;
use PlainLedger\Core\Diagnosis\Causes\CauseFamily;
use PlainLedger\Core\Diagnosis\Causes\CodecCauses;
use PlainLedger\Core\Diagnosis\Causes\DepthDropped;
use PlainLedger\Core\Diagnosis\Causes\ExtensionLies;
use PlainLedger\Core\Diagnosis\Causes\FormatCauses;
use PlainLedger\Core\Diagnosis\Causes\FrameSetCauses;
use PlainLedger\Core\Diagnosis\Causes\Leftovers;
use PlainLedger\Core\Diagnosis\Causes\MidwayChangeCauses;
use PlainLedger\Core\Diagnosis\Causes\MovieContentCauses;
use PlainLedger\Core\Diagnosis\Causes\MovieLengthCauses;
use PlainLedger\Core\Diagnosis\Causes\MoviePictureCauses;
use PlainLedger\Core\Diagnosis\Causes\MovieShapeCauses;
use PlainLedger\Core\Diagnosis\Causes\MovieTagCauses;
use PlainLedger\Core\Diagnosis\Causes\NamingCauses;
use PlainLedger\Core\Diagnosis\Causes\NothingDelivered;
use PlainLedger\Core\Diagnosis\Causes\PictureSizeCauses;
use PlainLedger\Core\Diagnosis\Causes\PixelCauses;
use PlainLedger\Core\Diagnosis\Causes\ProjectionCauses;
use PlainLedger\Core\Diagnosis\Causes\RateOfAnotherStandard;
use PlainLedger\Core\Diagnosis\Causes\RegionCauses;
use PlainLedger\Core\Diagnosis\Causes\ResavedLater;
use PlainLedger\Core\Diagnosis\Causes\SavedElsewhere;
use PlainLedger\Core\Diagnosis\Causes\SceneNameCauses;
use PlainLedger\Core\Diagnosis\Causes\SceneStateCauses;
use PlainLedger\Core\Diagnosis\Causes\SizeCapCause;
use PlainLedger\Core\Diagnosis\Causes\SoundCauses;
use PlainLedger\Core\Diagnosis\Causes\SpeedChanged;
use PlainLedger\Core\Diagnosis\Causes\ValueDiffers;
use PlainLedger\Core\Diagnosis\Causes\VariableRate;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\RequirementId;

/**
 * Settles which causes explain which unequal entries, in each pass by itself. For one entry the first cause of the
 * order that holds explains it; readings of the same facts that come later are told with it as alternatives;
 * independent mistakes stay causes of their own. What is the same in all passes is told once.
 */
final readonly class Diagnostician
{
    /** Of these, another sentence is another cause. */
    private const TOLD_APART = [CauseId::SettingsChangedMidway, CauseId::ValueDiffers, CauseId::ResavedLater];

    /** @param  list<CauseFamily>  $families */
    public function __construct(private array $families) {}

    public static function standard(): self
    {
        return new self([
            new NothingDelivered, new PictureSizeCauses, new ProjectionCauses, new RegionCauses, new FrameSetCauses,
            new AssemblySceneCauses, new MovieLengthCauses, new MoviePictureCauses, new MovieShapeCauses,
            new MovieTagCauses, new VariableRate, new RateOfAnotherStandard, new SpeedChanged,
            new CameraCauses, new SceneStateCauses, new ExtensionLies, new FormatCauses, new AlphaCauses,
            new DepthDropped, new CodecCauses, new SizeCapCause, new SoundCauses, new AssemblyCauses, new NamingCauses,
            new SceneNameCauses, new SavedElsewhere,
            new BrokenFileCauses, new PixelCauses,
            new MovieContentCauses, new ResavedLater, new MidwayChangeCauses, new Leftovers,
        ]);
    }

    /** @return list<Cause> the one that explains most first */
    public function diagnose(Check $check): array
    {
        $causes = [];
        foreach ($check->subjects as $subject) {
            $own = array_values(
                array_filter(
                    $check->lines,
                    static fn (PassEntries $l): bool => $l->subject->part->name === $subject->part->name,
                ),
            );
            $causes = [...$causes, ...$this->ofPart($own)];
        }
        $causes = CarriedOver::in($causes, $check->lines);
        $catalogue = Catalogue::standard();
        $groups = Group::cases();
        $parts = array_flip(array_map(static fn (Subject $s): string => $s->part->name, $check->subjects));
        $weights = array_map(static fn (Cause $c): array => [
            -self::reach($c, $causes), $parts[$c->part] ?? 0,
            min(
                [
                    count($groups),
                    ...array_map(
                        static fn (string $id): int => (int) array_search($catalogue->find($id)?->group, $groups, true),
                        $c->explains,
                    ),
                ],
            ),
            $c->finding->id->place(), $c->places[0] ?? 0,
            min([PHP_INT_MAX, ...array_map($catalogue->place(...), $c->explains)]),
        ], $causes);
        array_multisort($weights, $causes);

        return $causes;
    }

    /**
     * How many lines it explains, those included in which another part shows it.
     *
     * @param  list<Cause>  $causes
     */
    private static function reach(Cause $cause, array $causes): int
    {
        $carried = array_filter($causes, static fn (Cause $other): bool => $other->isCarriedFrom($cause));

        return count($cause->explains)
            + array_sum(array_map(static fn (Cause $other): int => count($other->explains), $carried));
    }

    /**
     * @param  list<PassEntries>  $lines  of one part
     * @return list<Cause>
     */
    private function ofPart(array $lines): array
    {
        $found = [];
        $there = [];
        foreach ($lines as $each) {
            $place = $each->subject->pass === null ? null : array_key_first($each->subject->match->passes ?? []);
            if ($place !== null && ! $each->subject->nothingDelivered()) {
                $there[] = $place;
            }
            foreach ($this->ofPass($each, $place) as $cause) {
                $found[$cause->key()][] = [$cause, $each->subject->pass];
            }
        }

        return array_merge([], ...array_map(
            static fn (array $seen): array => count($lines) < 2
                ? [self::joined($seen, false)]
                : self::together($seen, $there),
            array_values($found),
        ));
    }

    /**
     * The same mistake in all passes that are there is told once.
     *
     * @param  non-empty-list<array{Cause, string|null}>  $seen  with the pass it was seen in
     * @param  list<int>  $there  the places of the passes that are there
     * @return list<Cause>
     */
    private static function together(array $seen, array $there): array
    {
        $places = array_merge(...array_map(static fn (array $one): array => $one[0]->places, $seen));
        $inAll = array_diff($there, $places) === [] && count($seen) > 1;

        return $inAll
            ? [self::joined($seen, true)]
            : array_map(static fn (array $one): Cause => $one[0]->ofPass($one[1]), $seen);
    }

    /** @param  non-empty-list<array{Cause, string|null}>  $seen */
    private static function joined(array $seen, bool $severalPasses): Cause
    {
        $named = array_map(
            static fn (array $one): Cause => self::withNamedFiles($one[0], $severalPasses ? $one[1] : null),
            $seen,
        );
        $first = array_shift($named);

        return array_reduce($named, static fn (Cause $all, Cause $one): Cause => $all->joined($one), $first);
    }

    /** Work on single files says of which pass they are, even where the mistake is the same in all. */
    private static function withNamedFiles(Cause $cause, ?string $pass): Cause
    {
        $fixes = array_map(
            static fn (Fix $f): Fix => $f->isAboutFiles()
                && ! in_array(RequirementId::DELIVERY_EXTRAS, $cause->explains, true)
                ? $f->ofPass($pass)
                : $f,
            $cause->finding->fixes,
        );

        return new Cause(
            $cause->finding->withFixes($fixes),
            $cause->part,
            $cause->explains,
            $cause->or,
            null,
            $cause->places,
        );
    }

    /** @return list<Cause> */
    private function ofPass(PassEntries $lines, ?int $place): array
    {
        $unequal = array_keys(array_filter($lines->entries, static fn (Entry $e): bool => $e->isUnequal()));
        if ($unequal === []) {
            return [];
        }
        $delivery = $lines->subject->delivery;
        $scannedAt = $delivery?->mayGrow === true ? $delivery->scannedAt : null;
        $situation = new Situation($lines->subject, $lines->entries, $scannedAt);
        $findings = [];
        foreach ($this->families as $family) {
            foreach ($family->find($situation) as $finding) {
                $findings[] = $finding;
            }
        }
        usort($findings, static fn (Finding $a, Finding $b): int => $a->id->place() <=> $b->id->place());
        $settled = $this->settle($this->merge($findings), $unequal);
        $explained = array_merge([], ...array_map(static fn (Cause $c): array => $c->explains, $settled));
        $open = array_values(array_diff($unequal, $explained));
        foreach ($open as $id) {
            $finding = (new ValueDiffers)->forEntry($situation, $lines->entries[$id], $open);
            if ($finding !== null) {
                $settled[] = new Cause($finding, '', array_values(array_intersect($finding->touches, $open)), []);
            }
        }

        $settled = array_map(
            static fn (Cause $c): Cause => MovieWork::instead($situation, $c),
            self::withEverySetting($situation, $settled),
        );

        return array_map(
            static fn (Cause $c): Cause => new Cause(
                $c->finding,
                $lines->subject->part->name,
                $c->explains,
                $c->or,
                null,
                $place === null ? [] : [$place],
            ),
            $settled,
        );
    }

    /**
     * A cause that explains several settings has each of them set: what came with another format does not go with it.
     *
     * @param  list<Cause>  $causes
     * @return list<Cause>
     */
    private static function withEverySetting(Situation $situation, array $causes): array
    {
        $set = [];
        foreach ($causes as $cause) {
            foreach ($cause->finding->fixes as $fix) {
                $set[(string) ($fix->details['id'] ?? '')] = true;
            }
        }
        foreach ($causes as $at => $cause) {
            $fixes = $cause->finding->fixes;
            foreach ($cause->explains as $id) {
                if (! isset($set[$id]) && self::isToBeSet($situation, $id)) {
                    $label = 'the '.lcfirst($situation->label($id));
                    $fixes = [...$fixes, ...EntryFix::of($situation, $id, $label)->fixes];
                    $set[$id] = true;
                }
            }
            $causes[$at] = new Cause($cause->finding->withFixes($fixes), $cause->part, $cause->explains, $cause->or);
        }

        return $causes;
    }

    private static function isToBeSet(Situation $situation, string $id): bool
    {
        return preg_match('~^(?:format|render|colour|audio|other)\.~', $id) === 1
            && $situation->inScene($id)
            && ! $situation->inFiles($id)
            && $situation->scene()?->get($id) !== $situation->asTyped($id);
    }

    /**
     * One cause seen in several places is one cause.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private function merge(array $findings): array
    {
        $merged = [];
        foreach ($findings as $finding) {
            $apart = in_array($finding->id, self::TOLD_APART, true) ? $finding->says : $finding->side->value;
            $key = $finding->id->value.$apart;
            $merged[$key] = isset($merged[$key]) ? $merged[$key]->joined($finding) : $finding;
        }

        return array_values($merged);
    }

    /**
     * @param  list<Finding>  $findings  in order
     * @param  list<string>  $unequal
     * @return list<Cause>
     */
    private function settle(array $findings, array $unequal): array
    {
        $kept = [];
        $claimed = [];
        $explains = [];
        $or = [];
        foreach ($findings as $finding) {
            $would = array_values(array_intersect($unequal, $finding->touches));
            $taken = $finding->standing->alternative
                ? array_filter($would, static fn (string $id): bool => isset($claimed[$id]))
                : [];
            foreach ($taken as $id) {
                $or[$claimed[$id]] = [...$or[$claimed[$id]] ?? [], ...self::besides($finding, $kept[$claimed[$id]])];
            }
            $own = array_values(array_diff($would, $taken));
            if ($own === []) {
                continue;
            }
            $at = count($kept);
            $kept[] = $finding;
            $claimed += array_fill_keys($own, $at);
            $explains[$at] = $own;
        }

        return array_map(
            static fn (Finding $finding, int $at): Cause => new Cause(
                $finding,
                '',
                $explains[$at],
                array_values(array_unique([...$finding->standing->or, ...$or[$at] ?? []], SORT_REGULAR)),
            ),
            $kept,
            array_keys($kept),
        );
    }

    /** @return list<CauseId> a reading of the same facts, beside the one that explains them */
    private static function besides(Finding $alternative, Finding $kept): array
    {
        return in_array($alternative->id, [$kept->id, CauseId::ValueDiffers], true) ? [] : [$alternative->id];
    }
}
