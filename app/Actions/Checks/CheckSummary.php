<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\WaivedLine;
use PlainLedger\Core\Checking\Waiver;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Level;

/** What boards and lists show of a check, kept beside it so that five hundred of them need not be unpacked. */
final readonly class CheckSummary
{
    /**
     * @return array{groups: array<string, string>, causes: list<array{id: string, side: string, says: string}>,
     *   balance: array{int, int}, settings: array<string, string>|null, waivers: list<array<string, mixed>>,
     *   earlier: int|null, render: array{frames: string, bytes: int|null, gaps: list<int>}|null}
     */
    public static function of(CheckReport $account, ?int $earlier): array
    {
        $groups = [];
        foreach ($account->check->entries as $entry) {
            if ($entry->level() === Level::Must) {
                $groups[$entry->requirement->descriptor->group->value][] = $entry->mark;
            }
        }
        $held = [];
        foreach ($account->check->entries as $entry) {
            if ($entry->waiver !== null) {
                $held[] = $entry->waiver;
            }
        }

        return [
            'groups' => array_map(static fn (array $marks): string => Mark::together(...$marks)->value, $groups),
            'causes' => array_map(
                static fn (Cause $c): array => [
                    'id' => $c->finding->id->value,
                    'side' => $c->finding->side->value,
                    'says' => mb_strimwidth($c->says(), 0, 300, '…'),
                ],
                array_slice($account->causes, 0, 20),
            ),
            'balance' => $account->check->balance(),
            'settings' => $account->scene?->all(),
            'waivers' => array_map(self::writeWaiver(...), $held),
            'earlier' => $earlier,
            'render' => self::render($account),
        ];
    }

    /**
     * What is still to be rendered of the first part with numbered frames, what one of them takes on disk, and the gaps
     * between the times of those that came.
     *
     * @return array{frames: string, bytes: int|null, gaps: list<int>}|null
     */
    private static function render(CheckReport $account): ?array
    {
        foreach ($account->check->subjects as $subject) {
            if (! $subject->isNumbered() || $subject->expected === null) {
                continue;
            }
            if ($subject->match === null) {
                return ['frames' => (string) $subject->expected, 'bytes' => null, 'gaps' => []];
            }
            $frames = FrameRange::none();
            [$bytes, $times] = [0, []];
            foreach ($subject->match->passes as $p => $pass) {
                $frames = $frames->plus($account->remedy->rerender[$subject->part->name][$p] ?? FrameRange::none());
                $sizes = $pass->frames->sizes;
                $bytes += $sizes->isEmpty() ? 0 : intdiv($sizes->sum(), count($sizes));
                $times = $times === [] ? $pass->frames->times->all() : $times;
            }

            return [
                'frames' => (string) $frames,
                'bytes' => $bytes === 0 ? null : $bytes,
                'gaps' => self::gaps($times),
            ];
        }

        return null;
    }

    /**
     * @param  list<int>  $times  seconds since 1970
     * @return list<int> at most 200 of them, from all over; two files of one moment were written together
     */
    private static function gaps(array $times): array
    {
        sort($times);
        $gaps = [];
        foreach ($times as $i => $time) {
            if ($i > 0 && $time > $times[$i - 1]) {
                $gaps[] = $time - $times[$i - 1];
            }
        }
        $every = max(1, intdiv(count($gaps) + 199, 200));

        return array_values(array_filter($gaps, static fn (int $i): bool => $i % $every === 0, ARRAY_FILTER_USE_KEY));
    }

    /** @return array<string, mixed> as `waivers` reads it */
    private static function writeWaiver(Waiver $waiver): array
    {
        return [
            ...get_object_vars($waiver->line),
            'accepted' => $waiver->accepted, 'reason' => $waiver->reason, 'by' => $waiver->by, 'key' => $waiver->key,
        ];
    }

    /**
     * @param  array<string, mixed>|null  $summary
     * @return list<Waiver>
     */
    public static function waivers(?array $summary): array
    {
        /**
         * @var list<array{id: string, part: string, pass: string|null, required: string, accepted: list<string>,
         *   reason: string, by: string|null, key: int|null}> $kept
         */
        $kept = is_array($summary['waivers'] ?? null) ? $summary['waivers'] : [];

        return array_map(
            static fn (array $w): Waiver => new Waiver(
                new WaivedLine($w['id'], $w['part'], $w['pass'], $w['required']),
                $w['accepted'],
                $w['reason'],
                $w['by'],
                $w['key'],
            ),
            $kept,
        );
    }
}
