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
     * @return bool whether it came to its end
     *
     * @throws WorkRefused
     */
    public static function run(TreeOrder $order, \Closure $progress): bool
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

        return $outcome === Outcome::Finished && isset($last['ended']);
    }
}
