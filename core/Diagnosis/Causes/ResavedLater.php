<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\RequirementId;

/**
 * `resaved-later`: a few whole frames differ in header facts from all others and are newer: somebody worked on them.
 */
final readonly class ResavedLater implements CauseFamily
{
    /** More than these, or than a tenth, are no few. */
    private const FEW = 3;

    public function find(Situation $situation): iterable
    {
        foreach ($situation->passes() as $pass) {
            $odd = self::odd($pass);
            if ($odd === null) {
                continue;
            }
            [$frames, $differ] = $odd;
            $lines = [];
            foreach (array_keys($differ) as $fact) {
                $lines = [...$lines, ...MidwayChangeCauses::LINES[$fact]];
            }
            $lines = array_values(
                array_filter(array_unique([...$lines, RequirementId::CONTENT_UNIFORM]), $situation->inFiles(...)),
            );
            if ($lines === [] || ! $frames->covers(self::wrongIn($situation, $lines))) {
                continue;
            }
            $says = [];
            foreach ($differ as $fact => [$usual, $own]) {
                $says[] = "{$fact} "
                    .($own === '' ? 'not told' : $own)
                    .' instead of '
                    .($usual === '' ? 'not told' : $usual);
            }
            [$fixes, $render] = self::mended($situation, $lines);
            yield Finding::of(
                CauseId::ResavedLater,
                Side::Files,
                mb_strimwidth((string) $frames, 0, 90, '…')
                    .(count($frames) === 1 ? ' was' : ' were')
                    .' worked on after the render: '
                    .implode(', ', $says)
                    .', and newer than all others.',
                ["{$frames}: ".implode(', ', $says), 'written after every other frame'],
                $lines,
                $fixes,
            )->rendering($render);
        }
    }

    /** @param  list<string>  $lines */
    private static function wrongIn(Situation $situation, array $lines): FrameRange
    {
        return array_reduce(
            $lines,
            static fn (FrameRange $all, string $id): FrameRange => $all->plus($situation->wrong($id)),
            FrameRange::none(),
        );
    }

    /**
     * @param  list<string>  $lines
     * @return array{list<Fix>, bool}
     */
    private static function mended(Situation $situation, array $lines): array
    {
        $fixes = [];
        $render = false;
        foreach ($lines as $id) {
            $mending = EntryFix::of($situation, $id, 'the '.lcfirst($situation->label($id)));
            $render = $render || $mending->render;
            $fixes = [...$fixes, ...$mending->fixes];
        }

        return [$render ? [] : $fixes, $render];
    }

    /** Whether a few frames differ from all others and are newer, so that they are no second take. */
    public static function isSeenIn(PassMatch $pass): bool
    {
        return self::odd($pass) !== null;
    }

    /**
     * @return array{FrameRange, array<string, array{string, string}>}|null the frames, and by fact what is usual and
     *   what theirs is
     */
    private static function odd(PassMatch $pass): ?array
    {
        $groups = self::groups($pass);
        if (count($groups) < 2) {
            return null;
        }
        $most = array_shift($groups);
        $few = array_merge(...$groups);
        $times = array_map(static fn (int $i): int => $pass->frames->times[$i], $few);
        $latest = max(array_map(static fn (int $i): int => $pass->frames->times[$i], $most));
        $numbers = array_map(static fn (int $i): int => $pass->frames->numbers[$i], $few);
        $many = count($few) > max(self::FEW, intdiv(count($most), 10)) || count($few) * 2 >= count($most);
        // what stands at the end is newer anyway
        $atTheEnd = min([PHP_INT_MAX, ...$numbers]) > $pass->frames->numbers[$most[count($most) - 1]];
        if ($many || $atTheEnd || min([PHP_INT_MAX, ...$times]) <= $latest) {
            return null;
        }
        $usual = MidwayChangeCauses::facts($pass->frames->factsAt($most[0]));
        $differ = [];
        foreach ($few as $i) {
            foreach (MidwayChangeCauses::facts($pass->frames->factsAt($i)) as $fact => $value) {
                $differ += $value === $usual[$fact] ? [] : [$fact => [$usual[$fact], $value]];
            }
        }

        return [FrameRange::fromNumbers($numbers), $differ];
    }

    /** @return list<non-empty-list<int>> rows of whole frames that count, by what their files say, most first */
    private static function groups(PassMatch $pass): array
    {
        $groups = [];
        $relevant = $pass->relevant();
        foreach ($pass->frames->numbers as $i => $number) {
            if ($pass->frames->factsAt($i)->isWhole() && $relevant->contains($number)) {
                $groups[$pass->frames->facts[$i]][] = $i;
            }
        }
        usort($groups, static fn (array $a, array $b): int => count($b) <=> count($a));

        return $groups;
    }
}
