<?php

declare(strict_types=1);

namespace App\Intake;

use App\Processes\ScanOutcome;
use App\Processes\ScanProcess;
use App\Processes\WorkRefused;
use PlainLedger\Core\Delivery\ContentOrder;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Delivery\ScanOrder;
use PlainLedger\Core\Delivery\ScanPlace;
use PlainLedger\Core\Media\ScanDepth;

/**
 * A folder looked at while somebody waits, head and tail of each file: done apart, and only as long as one likes to
 * wait.
 */
final readonly class QuickLook
{
    private const MOST_FILES = 5000;

    private const SECONDS = 25;

    /** @throws FolderRefused|WorkRefused */
    public static function at(IntakeFolder $folder): Delivery
    {
        if (! ListingSize::isAtMost($folder->listing(), self::MOST_FILES)) {
            $most = number_format(self::MOST_FILES);
            throw FolderRefused::because(
                $folder->below,
                "holds more than {$most} files; choose one with a single delivery",
            );
        }
        $spool = (string) tempnam(sys_get_temp_dir(), 'look');
        try {
            $place = new ScanPlace($folder->path);
            $order = new ScanOrder($place, ScanDepth::Quick, new ContentOrder, $spool, self::SECONDS);
            $end = ScanProcess::standard()->run($order, static fn (): bool => true);
            if ($end->refusal !== null) {
                throw $end->refusal;
            }
            if ($end->outcome !== ScanOutcome::Whole) {
                throw FolderRefused::because(
                    $folder->below,
                    'takes longer to look at than anybody waits; choose one with a single delivery',
                );
            }

            return ScanProcess::delivery($spool);
        } finally {
            @unlink($spool);
        }
    }
}
