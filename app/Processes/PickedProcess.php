<?php

declare(strict_types=1);

namespace App\Processes;

use PlainLedger\Core\Delivery\Picked\PickedOrder;
use PlainLedger\Core\Delivery\Picked\Wanted;

/** Has one step of a look at somebody's own files taken apart. */
final readonly class PickedProcess
{
    /**
     * @return array{wanted: Wanted, done: int}|array{at: array{string, string}|null}|null what has to come next, and
     *   how many files are done; or at which file it broke off, path and stage; null once it is at its end
     *
     * @throws WorkRefused
     */
    public static function step(PickedOrder $order): ?array
    {
        $last = [];
        $at = null;
        $outcome = ChildProcess::standard()->run(
            'picked',
            $order->write(),
            static function (array $line) use (&$last, &$at): bool {
                if (isset($line['path'], $line['stage'])) {
                    $at = [(string) base64_decode((string) $line['path'], true), (string) $line['stage']];

                    return true;
                }
                $last = $line;

                return true;
            },
        );
        if (isset($last['refused'])) {
            throw WorkRefused::told($last);
        }
        if ($outcome !== Outcome::Finished || $last === []) {
            return ['at' => $at];
        }

        /**
         * @var array{ended?: bool, ranges?: array<int, list<array{int, int}>>, sums?: array<int, string>,
         *   done?: int} $last
         */
        return isset($last['ended'])
            ? null
            : ['wanted' => new Wanted($last['ranges'] ?? [], $last['sums'] ?? []), 'done' => $last['done'] ?? 0];
    }
}
