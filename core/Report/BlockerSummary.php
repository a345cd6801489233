<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\FixKind;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Text\Text;

/** What holds a deliverable up, in the few words an index line has room for. */
final readonly class BlockerSummary
{
    public const ARRIVING = 'still arriving';

    public static function inWords(CheckReport $account): string
    {
        if ($account->check->verdict === Verdict::Balanced) {
            $waived = count(
                array_filter($account->check->entries, static fn (Entry $e): bool => $e->mark === Mark::Waived),
            );

            return $waived === 0 ? 'balances' : 'balances, '.Text::count($waived, 'line').' accepted';
        }
        if ($account->check->verdict === Verdict::Open) {
            $open = count(
                array_filter(
                    $account->check->entries,
                    static fn (Entry $e): bool => $e->mark === Mark::Unknown && $e->level() === Level::Must,
                ),
            );

            return $open === 0 ? 'nothing to compare' : Text::count($open, 'line').' not told';
        }
        $causes = array_map(static fn (Cause $c): string => $c->finding->id->value, $account->causes);
        if (in_array('nothing-delivered', $causes, true)) {
            return 'nothing delivered';
        }
        if (in_array('still-arriving', $causes, true)) {
            return self::ARRIVING;
        }
        $count = static fn (FixKind $kind): int => array_sum(
            array_map(
                static fn (Fix $f): int => (int) ($f->details['count'] ?? 1),
                array_filter($account->remedy->fixes, static fn (Fix $f): bool => $f->kind === $kind),
            ),
        );
        foreach ([
            [FixKind::Render, 'frame', self::wereAllRendered($account) ? 'to render again' : 'to render'],
            [FixKind::Rename, 'file', 'to rename'],
            [FixKind::Move, 'file', 'to move'],
            [FixKind::Encode, 'setting', 'to save again with'],
            [FixKind::Retag, 'value', 'to write anew'],
            [FixKind::SetAside, 'file', 'left over'],
        ] as [$kind, $one, $work]) {
            $many = $kind === FixKind::Rename || $kind === FixKind::Move ? self::once($account, $kind) : $count($kind);
            if ($many > 0) {
                return Text::count($many, $one).' '.$work;
            }
        }
        $scene = count(array_filter($account->causes, static fn ($c): bool => $c->finding->side === Side::Scene));

        return $scene > 0 ? 'scene, '.Text::count($scene, 'cause') : Text::count(count($account->causes), 'cause');
    }

    /** Whether every frame that is to be rendered lies there already, so that it is rendered again. */
    private static function wereAllRendered(CheckReport $account): bool
    {
        foreach ($account->check->subjects as $subject) {
            foreach ($account->remedy->rerender[$subject->part->name] ?? [] as $place => $frames) {
                $present = $subject->match->passes[$place]->present ?? FrameRange::none();
                if (! $frames->minus($present)->isEmpty()) {
                    return false;
                }
            }
        }

        return true;
    }

    /** Files that several fixes of one kind touch are counted once. */
    private static function once(CheckReport $account, FixKind $kind): int
    {
        $most = [];
        foreach ($account->remedy->fixes as $fix) {
            if ($fix->kind === $kind) {
                $from = (string) ($fix->details['from'] ?? '');
                $most[$from] = max($most[$from] ?? 0, (int) ($fix->details['count'] ?? 1));
            }
        }

        return array_sum($most);
    }
}
