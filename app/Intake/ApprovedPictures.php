<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Deliverable;
use App\Models\IntakeRoot;
use App\Models\Production;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Media\Approving;
use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\Pixels;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SourceGone;
use PlainLedger\Core\PlainSentence;
use PlainLedger\Core\Specification\Approved;
use PlainLedger\Core\Specification\Specification;

/**
 * The approved pictures that frames are to agree with. Their paths are told from the top of the intake that the files
 * lie in; whoever coordinates has written them, so that they may lie where one learner alone does not see.
 */
final readonly class ApprovedPictures
{
    /** Pictures that were uploaded stand under this, below the production's own folder. */
    private const UPLOADED = 'uploaded/';

    /**
     * Keeps a picture under a name of its content, so that what was approved never becomes another.
     *
     * @return string the path by which it is asked
     *
     * @throws PlainSentence where it is no whole picture that can be compared
     */
    public static function keep(Production $production, UploadedFile $file): string
    {
        $source = FileSource::open($file->getRealPath());
        $facts = Probe::standard()->read($source);
        if ($facts->kind === null || ! $facts->isWhole() || ! PictureDecoder::standard()->decodes($facts->kind)) {
            throw SourceGone::file($file->getClientOriginalName(), 'it is no whole PNG, JPEG or OpenEXR');
        }
        $name = substr((string) hash_file('sha256', $file->getRealPath()), 0, 16).'.'.$facts->kind->usualExtension();
        Storage::putFileAs(self::folder($production->id), $file, $name);

        return self::UPLOADED.$name;
    }

    private static function folder(int $production): string
    {
        return "approved/{$production}";
    }

    private static function uploaded(string $picture, Deliverable $deliverable): FileSource
    {
        $name = substr($picture, strlen(self::UPLOADED));
        if (preg_match('~^[0-9a-f]{16}\.[a-z]{3,4}$~D', $name) !== 1) {
            throw SourceGone::file($picture, 'no such picture was uploaded');
        }

        return FileSource::open(Storage::path(self::folder($deliverable->production_id)."/{$name}"));
    }

    /** @return array<int, Pixels|null> by frame; null where one is not there, or cannot be read */
    public static function of(Specification $specification, Deliverable $deliverable, IntakeRoot $root): array
    {
        return Approving::pictures(Approved::in($specification), static function (string $picture) use ($deliverable, $root): FileSource {
            if (str_starts_with($picture, self::UPLOADED)) {
                return self::uploaded($picture, $deliverable);
            }
            try {
                $folder = dirname($picture) === '.' ? '' : dirname($picture);

                return IntakeFolder::open($root, $folder, $deliverable, true)->file(basename($picture));
            } catch (FolderRefused $refused) {
                throw SourceGone::file($picture, $refused->getMessage());
            }
        });
    }
}
