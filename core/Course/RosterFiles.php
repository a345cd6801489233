<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Delivery\Archive\ArchiveRefused;
use PlainLedger\Core\Delivery\Archive\ZipDirectory;
use PlainLedger\Core\Delivery\Archive\ZipListing;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Tabular\TableRefused;

/** A roster as it is handed over: one table, the files of a OneRoster, or an archive of them. */
final readonly class RosterFiles
{
    /** Bytes of one table. */
    private const LARGEST = 20_000_000;

    /** Tables of one roster. */
    private const MOST = 40;

    /**
     * @param  array<string, ByteSource>  $files  by name
     * @param  string|null  $class  the id of one class, where there are several
     *
     * @throws CourseRefused
     * @throws TableRefused
     * @throws ArchiveRefused
     * @throws SourceUnreadable
     */
    public static function read(array $files, ?string $class = null): Roster
    {
        $tables = [];
        foreach ($files as $name => $source) {
            $isZip = ZipDirectory::isZip($source->read(0, 4));
            $tables += $isZip ? self::unpacked($source, $name) : [basename($name) => self::whole($source, $name)];
        }
        if (OneRoster::isOne($tables)) {
            return OneRoster::read($tables, $class);
        }
        if (count($tables) !== 1) {
            throw CourseRefused::because('the roster', 'it is one table with names, or has a users.csv.');
        }
        $name = (string) array_key_first($tables);

        return ListedRoster::read($tables[$name], $name);
    }

    /**
     * @return array<string, string> bytes by name
     *
     * @throws ArchiveRefused
     * @throws SourceUnreadable
     * @throws CourseRefused
     */
    private static function unpacked(ByteSource $archive, string $label): array
    {
        $listing = ZipListing::of($archive, $label);
        $tables = [];
        foreach ($listing->files() as $file) {
            if ("{$file->folder}/{$file->name}" === 'xl/workbook.xml') {
                throw CourseRefused::because(
                    $label,
                    'it is a workbook. Save the sheet as CSV; the pages also read one whose name ends in .xlsx.',
                );
            }
            if (strtolower(pathinfo($file->name, PATHINFO_EXTENSION)) !== 'csv' || $file->refused !== null) {
                continue;
            }
            if (count($tables) >= self::MOST) {
                throw CourseRefused::because($label, 'it holds more tables than a roster has.');
            }
            $tables[$file->name] = self::whole($listing->open($file), $file->name);
        }

        return $tables;
    }

    /**
     * @throws CourseRefused
     * @throws SourceUnreadable
     */
    private static function whole(ByteSource $source, string $label): string
    {
        if ($source->size() > self::LARGEST) {
            throw CourseRefused::because($label, 'it has more than 20 MB; that is no roster.');
        }

        return $source->read(0, $source->size());
    }
}
