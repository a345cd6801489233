<?php

declare(strict_types=1);

namespace App\Processes;

use PlainLedger\Core\Tree\TreeOrder;

/** Has a delivered tree looked through apart. */
final readonly class TreeProcess
{
    /**
     * @param  \Closure(array{done: int, all: int|null, at: string}|null): bool  $progress  null: it goes on; false
     *   stops it
     *
     * @throws WorkRefused
     */
    public static function run(TreeOrder $order, \Closure $progress): ScanOutcome
    {
        $last = [];
        $outcome = ChildProcess::standard()->run(
            'tree',
            $order->write(),
            static function (array $line) use (&$last, $progress): bool {
                $goesOn = ProgressLine::told($line, $progress);
                $last = $goesOn === null ? $line : $last;

                return $goesOn ?? true;
            },
        );
        if (isset($last['refused'])) {
            throw WorkRefused::told($last);
        }

        return match (true) {
            $outcome === Outcome::Stopped => ScanOutcome::Stopped,
            $outcome === Outcome::Finished && isset($last['ended']) => ScanOutcome::Whole,
            $outcome === Outcome::Finished && isset($last['paused']) => ScanOutcome::Paused,
            default => ScanOutcome::Broken,
        };
    }
}
