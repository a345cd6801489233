<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy;

use PlainLedger\Core\Checking\Check;
use PlainLedger\Core\Checking\PassEntries;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\FixKind;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\RequirementId;

/**
 * The least work that puts a check right, in an order in which it can be carried out: settings first, then what is done
 * with files, cause by cause. Nothing is done to what other work replaces.
 */
final readonly class Remedy
{
    /**
     * @param  list<Fix>  $fixes  in the order in which they are carried out
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
            $named = [];
            foreach ($own as $at => $cause) {
                foreach ($cause->finding->fixes as $fix) {
                    $named[] = [$fix, $at];
                }
            }
            foreach ($subject->match->passes ?? [] as $place => $pass) {
                $lines = self::linesOf($check, $subject, $place);
                $work = new PassWork(
                    $subject,
                    $pass,
                    $place,
                    $lines,
                    array_values(
                        array_filter(
                            $own,
                            static fn (Cause $c): bool => $c->places === [] || in_array($place, $c->places, true),
                        ),
                    ),
                );
                $rerender[$subject->part->name][] = $work->rerender;
                $named = [
                    ...$work->spared($named),
                    ...array_map(static fn (Fix $f): array => [$f, self::firstCause($own, $place)], $work->fixes()),
                ];
            }
            $fixes = [...$fixes, ...self::inOrder($named, $subject->part->delivers === Delivers::Movie)];
        }

        return new self(self::asideOnce(self::eachOnce($fixes)), $rerender);
    }

    private static function linesOf(Check $check, Subject $subject, int $place): ?PassEntries
    {
        foreach ($check->lines as $lines) {
            if (
                $lines->subject->part->name === $subject->part->name
                && ($lines->subject->pass === null || array_key_first($lines->subject->match->passes ?? []) === $place)
            ) {
                return $lines;
            }
        }

        return null;
    }

    /**
     * Where the first cause stands that asks for frames to be rendered.
     *
     * @param  list<Cause>  $causes
     */
    private static function firstCause(array $causes, int $place): int
    {
        foreach ($causes as $at => $cause) {
            $renders = $cause->finding->standing->render
                || array_intersect(
                    $cause->explains,
                    [
                        RequirementId::TIME_RANGE,
                        RequirementId::TIME_COUNT,
                        RequirementId::CONTENT_WHOLE,
                        RequirementId::PASSES,
                    ],
                ) !== [];
            if ($renders && ($cause->places === [] || in_array($place, $cause->places, true))) {
                return $at;
            }
        }

        return count($causes);
    }

    /**
     * Settings in the order one would go through them: what is missing first, then group by group, saving last. Then
     * the files, as the causes stand: what is set aside makes room for what is renamed, and names come before folders.
     *
     * @param  list<array{Fix, int}>  $named  with the place of the cause
     * @return list<Fix>
     */
    private static function inOrder(array $named, bool $isMovie): array
    {
        $kinds = [
            FixKind::Deliver, FixKind::SetAside, FixKind::Rename, FixKind::Move, FixKind::Retag, FixKind::Encode,
            FixKind::Render,
        ];
        // a movie that is encoded anew is tagged then: before, the tag would be lost
        $encodes = $isMovie
            && array_filter($named, static fn (array $n): bool => $n[0]->kind === FixKind::Encode) !== [];
        $weight = static fn (Fix $fix, int $cause): array => match ($fix->kind) {
            FixKind::Wait => [0, 0, 0],
            FixKind::Retag => [$encodes ? 5 : 4, $cause, (int) array_search($fix->kind, $kinds, true)],
            FixKind::Set => [1, self::turn($fix), $cause],
            FixKind::SetAside => [2, $cause, 0],
            FixKind::Rename => [3, $cause, 0],
            default => [4, $cause, (int) array_search($fix->kind, $kinds, true)],
        };
        usort($named, static fn (array $a, array $b): int => $weight(...$a) <=> $weight(...$b));

        return array_map(static fn (array $n): Fix => $n[0], $named);
    }

    private static function turn(Fix $fix): int
    {
        $id = (string) ($fix->details['id'] ?? '');
        $group = Catalogue::standard()->find($id === 'camera.chosen' ? RequirementId::CAMERA_NAME : $id)?->group;

        return match (true) {
            $id === RequirementId::SCENE_LINKS => -1,
            $id === RequirementId::SCENE_SAVED => PHP_INT_MAX,
            default => $group === null ? PHP_INT_MAX - 1 : (int) array_search($group, Group::cases(), true),
        };
    }

    /**
     * A file that several causes want out of the way is set aside once.
     *
     * @param  list<Fix>  $fixes
     * @return list<Fix>
     */
    private static function asideOnce(array $fixes): array
    {
        $gone = [];
        $left = [];
        foreach ($fixes as $fix) {
            $frames = FrameRange::parse((string) ($fix->details['frames'] ?? ''));
            if ($fix->kind !== FixKind::SetAside || $frames->isEmpty()) {
                $left[] = $fix;

                continue;
            }
            $from = (string) $fix->details['from'];
            $before = $gone[$from] ?? FrameRange::none();
            $gone[$from] = $before->plus($frames);
            array_push($left, ...self::asideBut($before, $fix, $frames));
        }

        return $left;
    }

    /** @return list<Fix> none where nothing is left of it */
    private static function asideBut(FrameRange $gone, Fix $fix, FrameRange $frames): array
    {
        $new = $frames->minus($gone);
        if ($new->isEmpty() || count($new) === count($frames)) {
            return $new->isEmpty() ? [] : [$fix];
        }
        $pass = $fix->details['pass'] ?? null;
        $less = Fix::setAside($fix->part, (string) $fix->details['from'], count($new), $new);

        return [$less->ofPass(is_string($pass) ? $pass : null)];
    }

    /**
     * @param  list<Fix>  $fixes
     * @return list<Fix>
     */
    private static function eachOnce(array $fixes): array
    {
        $once = [];
        foreach ($fixes as $fix) {
            $key = $fix->kind === FixKind::Set
                ? serialize(
                    [$fix->part, $fix->details['id'] ?? '', $fix->details['to'] ?? '', $fix->details['pass'] ?? ''],
                )
                : serialize($fix->toArray());
            $once[$key] ??= $fix;
        }

        return array_values($once);
    }
}
