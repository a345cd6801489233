<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Intake\ApprovedPictures;
use App\Intake\PickedFolder;
use App\Models\Deliverable;
use App\Processes\PickedProcess;
use App\Processes\ScanProcess;
use PlainLedger\Core\Checking\Rules\ChecksumsRule;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\ContentOrder;
use PlainLedger\Core\Delivery\Delivery as Scanned;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Delivery\Picked\PickedOrder;
use PlainLedger\Core\Text\PlainSentence;

/** Goes on with a look at somebody's own files as far as what they have sent allows. */
final readonly class AdvancePicked
{
    /** So many files may break a step off before it is given up. */
    private const MOST_BROKEN = 20;

    /**
     * @return Scanned|null what was found, once it is at its end; null while something has to come first
     *
     * @throws PlainSentence
     */
    public function run(PickedFolder $folder, Deliverable $deliverable): ?Scanned
    {
        $asked = $deliverable->loadAsked()->resolved();
        $content = new ContentOrder(
            PixelRules::sampleOptionsFor($asked),
            ApprovedPictures::places($asked, $deliverable, null),
            ChecksumsRule::isAskedBy($asked),
        );
        for ($broken = 0; $broken <= self::MOST_BROKEN; $broken++) {
            $step = PickedProcess::step(new PickedOrder(
                $folder->path(),
                $folder->label(),
                $folder->isWhole(),
                $content,
                $folder->avoided(),
            ));
            if ($step === null) {
                return ScanProcess::delivery($folder->spool()->delivery());
            }
            if (isset($step['wanted'])) {
                $folder->want($step['wanted'], $step['done']);

                return null;
            }
            if ($step['at'] === null) {
                break;
            }
            $folder->avoid(...$step['at']);
        }

        throw FolderRefused::because($folder->label(), 'could not be looked through: a file took too much memory');
    }
}
