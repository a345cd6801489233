<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy;

use PlainLedger\Core\Checking\Check;
use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Group;

/** The least work that puts a check right. */
final readonly class Remedy
{
    /**
     * @param  list<Fix>  $fixes  the cheapest kind first
     * @param  array<string, list<FrameRange>>  $rerender  by part, one for each pass in order
     */
    private function __construct(public array $fixes, public array $rerender) {}

    /** @param  list<Cause>  $causes */
    public static function of(Check $check, array $causes): self
    {
        $fixes = [];
        $rerender = [];
        foreach ($check->subjects as $subject) {
            $own = array_values(array_filter($causes, static fn (Cause $c): bool => $c->part === $subject->part->name));
            foreach ($own as $cause) {
                foreach ($cause->finding->fixes as $fix) {
                    $fixes[serialize($fix->toArray())] = $fix;
                }
            }
            foreach ($subject->match->passes ?? [] as $p => $pass) {
                $frames = self::rerender($check, $subject, $pass, $p, $own);
                $rerender[$subject->part->name][] = $frames;
                $render = self::waits($own) ? $frames->minus($pass->missing()) : $frames;
                if ($render->isEmpty()) {
                    continue;
                }
                $fix = $subject->isNumbered() ? Fix::render($subject->part->name, $pass->pass, $render) : Fix::renderPicture($subject->part->name);
                $fixes[serialize($fix->toArray())] = $fix;
            }
        }
        $kinds = FixKind::cases();
        $list = array_values($fixes);
        usort($list, static fn (Fix $a, Fix $b): int => [array_search($a->kind, $kinds, true), self::turn($a)] <=> [array_search($b->kind, $kinds, true), self::turn($b)]);

        return new self($list, $rerender);
    }

    /** Settings in the order one would go through them: what is missing first, then group by group, saving last; within a group as the causes stand. */
    private static function turn(Fix $fix): int
    {
        $id = (string) ($fix->details['id'] ?? '');
        $group = Catalogue::standard()->find($id === 'camera.chosen' ? 'camera.name' : $id)?->group;

        return match (true) {
            $id === 'scene.links' => -1,
            $id === 'scene.saved' => PHP_INT_MAX,
            default => $group === null ? PHP_INT_MAX - 1 : (int) array_search($group, Group::cases(), true),
        };
    }

    /** @param  list<Cause>  $causes */
    private static function waits(array $causes): bool
    {
        return array_filter($causes, static fn (Cause $c): bool => $c->finding->id === 'still-arriving') !== [];
    }

    /**
     * Missing, damaged, and those whose unequal facts only a render can mend; within what is expected. Frames that are
     * only numbered from elsewhere need no render.
     *
     * @param  list<Cause>  $causes
     */
    private static function rerender(Check $check, Subject $subject, PassMatch $pass, int $place, array $causes): FrameRange
    {
        $wrong = self::isWaived($check, $subject, 'content.whole') ? FrameRange::none() : $pass->damaged->and($pass->relevant());
        $shift = 0;
        foreach ($causes as $cause) {
            if ($cause->finding->id === 'numbered-from-elsewhere' && $cause->finding->side === 'files' && $pass->expected !== null && ! $pass->isEmpty() && count($pass->present) === count($pass->expected)) {
                $shift = $pass->expected->first() - $pass->present->first();
            }
            foreach ($cause->finding->render ? $cause->explains : [] as $id) {
                $wrong = $wrong->plus(self::entry($check, $cause, $id)?->files->wrong[$place] ?? FrameRange::none());
            }
        }
        if ($pass->expected === null) {
            return $subject->isNumbered() || ! $pass->isEmpty() ? $wrong : ($subject->nothingDelivered() ? FrameRange::of(0, 0) : $wrong);
        }
        if ($shift !== 0) {
            return $wrong->and($pass->present)->shifted($shift)->and($pass->expected);
        }

        $missing = self::isWaived($check, $subject, 'time.range') ? FrameRange::none() : $pass->missing();

        return $missing->plus($wrong)->and($pass->expected);
    }

    /** What is accepted as it is needs no work. */
    private static function isWaived(Check $check, Subject $subject, string $id): bool
    {
        foreach ($check->entries as $entry) {
            if ($entry->id() === $id && $entry->part === $subject->part->name && $entry->waiver !== null) {
                return true;
            }
        }

        return false;
    }

    private static function entry(Check $check, Cause $cause, string $id): ?Entry
    {
        foreach ($check->entries as $entry) {
            if ($entry->id() === $id && $entry->part === $cause->part && $entry->pass === $cause->pass) {
                return $entry;
            }
        }

        return null;
    }
}
