<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Checking\Check;
use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Diagnosis\Causes\Assembling;
use PlainLedger\Core\Diagnosis\Causes\BrokenFiles;
use PlainLedger\Core\Diagnosis\Causes\CameraChosen;
use PlainLedger\Core\Diagnosis\Causes\CauseFamily;
use PlainLedger\Core\Diagnosis\Causes\ChangesMidway;
use PlainLedger\Core\Diagnosis\Causes\CodecHeld;
use PlainLedger\Core\Diagnosis\Causes\FormatHeld;
use PlainLedger\Core\Diagnosis\Causes\FrameSets;
use PlainLedger\Core\Diagnosis\Causes\Leftovers;
use PlainLedger\Core\Diagnosis\Causes\Names;
use PlainLedger\Core\Diagnosis\Causes\NothingThere;
use PlainLedger\Core\Diagnosis\Causes\PictureSize;
use PlainLedger\Core\Diagnosis\Causes\PixelsSeen;
use PlainLedger\Core\Diagnosis\Causes\Projection;
use PlainLedger\Core\Diagnosis\Causes\RateOfAnotherStandard;
use PlainLedger\Core\Diagnosis\Causes\RegionAndPixels;
use PlainLedger\Core\Diagnosis\Causes\SavedElsewhere;
use PlainLedger\Core\Diagnosis\Causes\SceneState;
use PlainLedger\Core\Diagnosis\Causes\SoundHeld;
use PlainLedger\Core\Diagnosis\Causes\SpeedChanged;
use PlainLedger\Core\Diagnosis\Causes\ValueDiffers;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Group;

/**
 * Settles which causes explain which unequal entries. For one entry the first cause of the order that holds explains
 * it; readings of the same facts that come later are told with it as alternatives; independent mistakes stay causes of
 * their own.
 */
final readonly class Diagnostician
{
    /** @param  list<CauseFamily>  $families */
    public function __construct(private array $families) {}

    public static function standard(): self
    {
        return new self([
            new NothingThere, new PictureSize, new Projection, new RegionAndPixels, new FrameSets, new RateOfAnotherStandard, new SpeedChanged, new CameraChosen, new SceneState,
            new FormatHeld, new CodecHeld, new SoundHeld, new Assembling, new Names, new SavedElsewhere, new BrokenFiles, new PixelsSeen, new ChangesMidway, new Leftovers,
        ]);
    }

    /** @return list<Cause> the one that explains most first */
    public function diagnose(Check $check): array
    {
        $causes = [];
        foreach ([...$check->subjects, ...$check->passSubjects] as $subject) {
            $causes = [...$causes, ...$this->part($check, $subject)];
        }
        $catalogue = Catalogue::standard();
        $groups = Group::cases();
        $group = static fn (Cause $c): int => min([count($groups), ...array_map(static fn (string $id): int => (int) array_search($catalogue->find($id)?->group, $groups, true), $c->explains)]);
        $place = static fn (Cause $c): int => min([PHP_INT_MAX, ...array_map($catalogue->place(...), $c->explains)]);
        $parts = array_map(static fn (Subject $s): string => $s->part->name, $check->subjects);
        usort($causes, static fn (Cause $a, Cause $b): int => [-count($a->explains), array_search($a->part, $parts, true), $group($a), Order::place($a->finding->id), $place($a)]
            <=> [-count($b->explains), array_search($b->part, $parts, true), $group($b), Order::place($b->finding->id), $place($b)]);

        return $causes;
    }

    /** @return list<Cause> */
    private function part(Check $check, Subject $subject): array
    {
        $entries = [];
        foreach ($check->entries as $entry) {
            if ($entry->part === $subject->part->name && $entry->pass === $subject->pass) {
                $entries[$entry->id()] = $entry;
            }
        }
        $unequal = array_keys(array_filter($entries, static fn (Entry $e): bool => $e->isUnequal()));
        if ($unequal === []) {
            return [];
        }
        $situation = new Situation($subject, $entries, $subject->delivery?->scannedAt);
        $findings = [];
        foreach ($this->families as $family) {
            foreach ($family->find($situation) as $finding) {
                $findings[] = $finding;
            }
        }
        usort($findings, static fn (Finding $a, Finding $b): int => Order::place($a->id) <=> Order::place($b->id));
        $findings = $this->merge($findings);
        $settled = $this->settle($findings, $unequal);
        $explained = array_merge([], ...array_map(static fn (Cause $c): array => $c->explains, $settled));
        $open = array_values(array_diff($unequal, $explained));
        foreach ($open as $id) {
            $finding = (new ValueDiffers)->forEntry($situation, $entries[$id], $open);
            if ($finding !== null) {
                $settled[] = new Cause($finding, $subject->part->name, array_values(array_intersect($finding->touches, $open)), []);
            }
        }

        return array_map(static fn (Cause $c): Cause => new Cause($c->finding, $subject->part->name, $c->explains, $c->or, $subject->pass), $settled);
    }

    /**
     * One cause seen in several places, such as several passes, is one cause.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private function merge(array $findings): array
    {
        $merged = [];
        foreach ($findings as $finding) {
            $key = $finding->id.($finding->id === 'settings-changed-midway' || $finding->id === 'value-differs' ? $finding->says : $finding->side);
            $before = $merged[$key] ?? null;
            if ($before === null) {
                $merged[$key] = $finding;

                continue;
            }
            $fixes = $before->fixes;
            foreach ($finding->fixes as $fix) {
                $known = array_filter($fixes, static fn ($f): bool => $f->toArray() === $fix->toArray());
                $fixes = $known === [] ? [...$fixes, $fix] : $fixes;
            }
            $merged[$key] = new Finding(
                $before->id, $before->side, $before->says === $finding->says ? $before->says : "{$before->says} {$finding->says}",
                array_values(array_unique([...$before->evidence, ...$finding->evidence])), array_values(array_unique([...$before->touches, ...$finding->touches])),
                $fixes, $before->alternative, $before->render || $finding->render, array_values(array_unique([...$before->or, ...$finding->or])),
            );
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
            $own = $finding->alternative ? array_values(array_filter($would, static fn (string $id): bool => ! isset($claimed[$id]))) : $would;
            if ($would === []) {
                continue;
            }
            if ($finding->alternative) {
                foreach ($would as $id) {
                    if (isset($claimed[$id]) && $finding->id !== $kept[$claimed[$id]]->id) {
                        $or[$claimed[$id]][] = $finding->id;
                    }
                }
            }
            if ($own === []) {
                continue;
            }
            $at = count($kept);
            $kept[] = $finding;
            foreach ($own as $id) {
                $claimed[$id] ??= $at;
            }
            $explains[$at] = $own;
        }
        $causes = [];
        foreach ($kept as $at => $finding) {
            $causes[] = new Cause($finding, '', $explains[$at] ?? [], array_values(array_unique([...$finding->or, ...$or[$at] ?? []])));
        }

        return $causes;
    }
}
