<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Delivery\Archive\ArchiveRefused;
use PlainLedger\Core\Delivery\Archive\ZipDirectory;
use PlainLedger\Core\Delivery\Archive\ZipListing;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\SourceUnreadable;

/** Whatever a path on this machine leads to: a folder, an archive, or one file. */
final readonly class PlaceListing
{
    private const ROOT_WORDS = 4;

    /**
     * @param  string  $path  as somebody named it; links of its own are followed
     *
     * @throws FolderRefused|ArchiveRefused|SourceUnreadable
     */
    public static function of(string $path): Listing
    {
        $real = str_contains($path, "\0") ? false : realpath($path);
        if ($real === false || is_dir($real)) {
            return FolderListing::of($path);
        }

        return self::ofFile(FileSource::open($real), $real);
    }

    /**
     * @param  string  $path  the real place of what was chosen before
     *
     * @throws ArchiveRefused|SourceUnreadable
     */
    public static function at(string $path): Listing
    {
        if (is_dir($path)) {
            return FolderListing::at($path);
        }
        // the very file that lies there, and no link
        $folder = FolderListing::at(dirname($path));
        $found = $folder->find(basename($path))
            ?? throw SourceUnreadable::file(basename($path), 'there is no such file, or it may not be read');

        return self::ofFile($folder->open($found), $path);
    }

    private static function ofFile(ByteSource $file, string $path): Listing
    {
        if (! ZipDirectory::isZip($file->read(0, 4))) {
            return FileListing::of($path);
        }
        $place = implode('/', array_slice(explode('/', trim($path, '/')), -self::ROOT_WORDS));

        return ZipListing::of($file, basename($path), (string) preg_replace('~\.zip$~i', '', $place));
    }
}
