<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Deliverable;
use App\Models\IntakeRoot;
use App\Models\Production;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Specification\ApprovedPicture;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\PlainSentence;

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
            throw SourceUnreadable::file($file->getClientOriginalName(), 'it is no whole PNG, JPEG or OpenEXR');
        }
        $name = substr((string) hash_file('sha256', $file->getRealPath()), 0, 16).'.'.$facts->kind->usualExtension();
        Storage::putFileAs(self::folder($production->id), $file, $name);

        return self::UPLOADED.$name;
    }

    private static function folder(int $production): string
    {
        return "approved/{$production}";
    }

    /**
     * Where they lie, for whoever is to open them.
     *
     * @param  IntakeRoot|null  $root  null: the files lie in none, and only what was uploaded is to be reached
     * @return array<int, array{folder: string, name: string}> by frame; those that may not be reached are left out
     */
    public static function places(Specification $specification, Deliverable $deliverable, ?IntakeRoot $root): array
    {
        $places = [];
        foreach (ApprovedPicture::in($specification) as $frame => $picture) {
            try {
                $folder = str_starts_with($picture, self::UPLOADED)
                    ? self::uploadedFolder($deliverable)
                    : self::folderBelow($root, $picture, $deliverable);
                $places[$frame] = ['folder' => $folder, 'name' => basename($picture)];
            } catch (FolderRefused|SourceUnreadable) {
                // it is told as one that cannot be read
            }
        }

        return $places;
    }

    private static function folderBelow(?IntakeRoot $root, string $picture, Deliverable $deliverable): string
    {
        if ($root === null) {
            throw SourceUnreadable::file($picture, 'it lies in an intake');
        }

        return IntakeFolder::open($root, dirname($picture) === '.' ? '' : dirname($picture), $deliverable, true)->path;
    }

    private static function uploadedFolder(Deliverable $deliverable): string
    {
        $path = realpath(Storage::path(self::folder($deliverable->production_id)));

        return $path === false ? throw SourceUnreadable::file(self::UPLOADED, 'no such picture was uploaded') : $path;
    }
}
