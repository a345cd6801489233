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
     * @param  string  $called  how an archive was called by whoever handed it in, where it lies under another name
     *
     * @throws ArchiveRefused|SourceUnreadable
     */
    public static function at(string $path, string $called = ''): Listing
    {
        if (is_dir($path)) {
            return FolderListing::at($path);
        }
        // the very file that lies there, and no link
        $folder = FolderListing::at(dirname($path));
        $found = $folder->find(basename($path))
            ?? throw SourceUnreadable::file(basename($path), 'there is no such file, or it may not be read');

        return self::ofFile($folder->open($found), $path, $called);
    }

    private static function ofFile(ByteSource $file, string $path, string $called = ''): Listing
    {
        if (! ZipDirectory::isZip($file->read(0, 4))) {
            return FileListing::of($path);
        }
        if ($called !== '') {
            return ZipListing::of($file, $called, self::withoutEnding($called));
        }
        $place = implode('/', array_slice(explode('/', trim($path, '/')), -self::ROOT_WORDS));

        return ZipListing::of($file, basename($path), self::withoutEnding($place));
    }

    private static function withoutEnding(string $name): string
    {
        return (string) preg_replace('~\.zip$~i', '', $name);
    }
}
