<?php

declare(strict_types=1);

namespace App\Processes;

use PlainLedger\Core\Delivery\ListedFile;

/** Has a small picture of one file made apart. */
final readonly class ThumbnailProcess
{
    /** Seconds that one may take. */
    private const PATIENCE = 30;

    /**
     * @param  string  $folder  the delivery's, at its real place
     * @param  string  $layer  of its channels; `""` for those in none
     * @param  int|null  $picture  of a movie, counted from 0
     * @return string|null PNG; null where it cannot be made
     */
    public static function make(
        string $folder,
        ListedFile $file,
        int $longest,
        string $layer = '',
        ?int $picture = null,
    ): ?string {
        $order = json_encode([
            'folder' => base64_encode($folder),
            'below' => base64_encode($file->folder),
            'name' => base64_encode($file->name),
            'size' => $file->size, 'modified' => $file->modified, 'longest' => $longest,
            'layer' => base64_encode($layer),
        ] + ($picture === null ? [] : ['picture' => $picture]), JSON_THROW_ON_ERROR);

        return ChildProcess::answer('thumbnail', $order, 'png', self::PATIENCE);
    }
}
