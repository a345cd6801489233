<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Deliverable;
use App\Models\IntakeRoot;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Media\Approving;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\Pixels;
use PlainLedger\Core\Media\SourceGone;
use PlainLedger\Core\Specification\Approved;
use PlainLedger\Core\Specification\Specification;

/**
 * The approved pictures that frames are to agree with. Their paths are told from the top of the intake that the files
 * lie in; whoever coordinates has written them, so that they may lie where one learner alone does not see.
 */
final readonly class ApprovedPictures
{
    /** @return array<int, Pixels|null> by frame; null where one is not there, or cannot be read */
    public static function of(Specification $specification, Deliverable $deliverable, IntakeRoot $root): array
    {
        return Approving::pictures(Approved::in($specification), static function (string $picture) use ($deliverable, $root): FileSource {
            try {
                $folder = dirname($picture) === '.' ? '' : dirname($picture);

                return FileSource::open(IntakeFolder::open($root, $folder, $deliverable, true)->file(basename($picture)));
            } catch (FolderRefused $refused) {
                throw SourceGone::file($picture, $refused->getMessage());
            }
        });
    }
}
