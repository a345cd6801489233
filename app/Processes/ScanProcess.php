<?php

declare(strict_types=1);

namespace App\Processes;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\ScanOrder;

/** Has some seconds of a scan done apart, and says how that went. */
final readonly class ScanProcess
{
    public function __construct(private ChildProcess $child) {}

    public static function standard(): self
    {
        return new self(ChildProcess::standard());
    }

    /** What a scan that came to its end left in its spool. */
    public static function delivery(string $spool): Delivery
    {
        /** @var array<string, mixed> $data */
        $data = json_decode((string) gzdecode((string) file_get_contents($spool)), true, 64, JSON_THROW_ON_ERROR);

        return Delivery::fromArray($data);
    }

    /**
     * @param  \Closure(array{done: int, all: int|null, at: string}|null): bool  $progress null: it goes on, however
     *   long; false stops it
     */
    public function run(ScanOrder $order, \Closure $progress): ScanEnd
    {
        $last = [];
        $at = null;
        $outcome = $this->child->run(
            'scan',
            $order->write(),
            static function (array $line) use (&$last, &$at, $progress): bool {
                if (isset($line['path'], $line['stage'])) {
                    $at = [(string) base64_decode((string) $line['path'], true), (string) $line['stage']];

                    return true;
                }
                $goesOn = ProgressLine::told($line, $progress);
                $last = $goesOn === null ? $line : $last;

                return $goesOn ?? true;
            },
        );

        return match (true) {
            $outcome === Outcome::Stopped => ScanEnd::stopped(),
            isset($last['refused']) => ScanEnd::refused(WorkRefused::told($last)),
            $outcome === Outcome::Finished && isset($last['ended']) => ScanEnd::whole(),
            $outcome === Outcome::Finished && isset($last['paused']) => ScanEnd::paused(),
            default => ScanEnd::broken($at),
        };
    }
}
