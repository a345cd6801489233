<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Diagnosis\CauseId;
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
        return match ($account->check->verdict) {
            Verdict::Balanced => self::balanced($account),
            Verdict::Open => self::open($account),
            Verdict::Unbalanced => self::unbalanced($account),
        };
    }

    private static function balanced(CheckReport $account): string
    {
        $accepted = array_filter($account->check->entries, static fn (Entry $e): bool => $e->mark === Mark::Waived);

        return $accepted === [] ? 'balances' : 'balances, '.Text::count(count($accepted), 'line').' accepted';
    }

    private static function open(CheckReport $account): string
    {
        $open = array_filter(
            $account->check->entries,
            static fn (Entry $e): bool => $e->mark === Mark::Unknown && $e->level() === Level::Must,
        );

        return $open === [] ? 'nothing to compare' : Text::count(count($open), 'line').' not told';
    }

    private static function unbalanced(CheckReport $account): string
    {
        $causes = array_map(static fn (Cause $c): CauseId => $c->finding->id, $account->causes);
        if (in_array(CauseId::NothingDelivered, $causes, true)) {
            return 'nothing delivered';
        }
        if (in_array(CauseId::StillArriving, $causes, true)) {
            return self::ARRIVING;
        }
        $scene = array_filter($account->causes, static fn (Cause $c): bool => $c->finding->side === Side::Scene);

        return self::work($account) ?? match ($scene) {
            [] => Text::count(count($account->causes), 'cause'),
            default => 'scene, '.Text::count(count($scene), 'cause'),
        };
    }

    /** The first kind of work that is to be done, counted; null where there is none with files. */
    private static function work(CheckReport $account): ?string
    {
        $render = self::wereAllRendered($account) ? 'to render again' : 'to render';
        foreach ([
            [FixKind::Render, 'frame', $render],
            [FixKind::Rename, 'file', 'to rename'],
            [FixKind::Move, 'file', 'to move'],
            [FixKind::Encode, 'setting', 'to save again with'],
            [FixKind::Retag, 'value', 'to write anew'],
            [FixKind::SetAside, 'file', 'left over'],
        ] as [$kind, $one, $work]) {
            $eachOnce = in_array($kind, [FixKind::Rename, FixKind::Move], true);
            $many = $eachOnce ? self::once($account, $kind) : self::count($account, $kind);
            if ($many > 0 && $kind === FixKind::Encode && self::isOfMovies($account)) {
                return 'a movie to make again';
            }
            if ($many > 0) {
                return Text::count($many, $one)." {$work}";
            }
        }

        return null;
    }

    /** Whether nothing but movies is to be encoded. */
    private static function isOfMovies(CheckReport $account): bool
    {
        foreach ($account->remedy->fixes as $fix) {
            $part = $account->specification->part($fix->part);
            if ($fix->kind === FixKind::Encode && $part?->delivers->isMovie() !== true) {
                return false;
            }
        }

        return true;
    }

    private static function count(CheckReport $account, FixKind $kind): int
    {
        $fixes = array_filter($account->remedy->fixes, static fn (Fix $fix): bool => $fix->kind === $kind);

        return array_sum(array_map(static fn (Fix $fix): int => (int) ($fix->details['count'] ?? 1), $fixes));
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
