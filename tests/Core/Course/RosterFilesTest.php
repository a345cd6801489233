<?php

declare(strict_types=1);

namespace Tests\Core\Course;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Course\CourseRefused;
use PlainLedger\Core\Course\RosterFiles;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Text\PlainSentence;

/** Rosters as they are handed over, also by whoever means harm. */
final class RosterFilesTest extends TestCase
{
    private const USERS = "sourcedId,givenName,familyName,email\n1,Fern,Lowe,f@practice.example\n";

    /** @param  array<string, string>  $entries */
    private static function zip(array $entries): StringSource
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'roster');
        $zip = new \ZipArchive;
        self::assertTrue($zip->open($path, \ZipArchive::OVERWRITE));
        foreach ($entries as $name => $bytes) {
            $zip->addFromString($name, $bytes);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return new StringSource($bytes);
    }

    public function test_an_archive_of_tables_whatever_else_lies_in_it(): void
    {
        $roster = RosterFiles::read(['school.zip' => self::zip([
            'export/Users.csv' => self::USERS, 'export/notes.txt' => 'x', '__MACOSX/._Users.csv' => 'junk',
            '../../users.csv' => "sourcedId,givenName,familyName,email\n9,Out,Side,o@practice.example\n",
        ])]);

        self::assertCount(1, $roster->people);
        self::assertSame('Fern Lowe', $roster->people[0]->name);
    }

    public function test_one_table_by_itself(): void
    {
        $roster = RosterFiles::read(['class.tsv' => new StringSource("Name\tID\nFern Lowe\t007\n")]);

        self::assertSame(['007', 'Fern Lowe'], [$roster->people[0]->number, $roster->people[0]->name]);
    }

    /** @param  array<string, ByteSource>  $files */
    private static function refusal(array $files): string
    {
        try {
            RosterFiles::read($files);
        } catch (PlainSentence $no) {
            return $no->getMessage();
        }
        self::fail('it was read');
    }

    public function test_what_is_no_roster(): void
    {
        $table = new StringSource("Name\nFern Lowe\n");
        self::assertSame(
            'the roster: it is one table with names, or has a users.csv.',
            self::refusal(['a.csv' => $table, 'b.csv' => $table]),
        );
        self::assertStringContainsString('one table', self::refusal(['empty.zip' => self::zip(['readme.txt' => 'x'])]));
        self::assertStringContainsString('no text', self::refusal(['x.csv' => new StringSource("\0\0\0\0")]));
        $book = dirname(__DIR__, 2).'/fixtures/courses/roster.xlsx';
        self::assertSame(
            'roster.xlsx: it is a workbook. Save the sheet as CSV; the pages also read one whose name ends in .xlsx.',
            self::refusal(['roster.xlsx' => new StringSource((string) file_get_contents($book))]),
        );
        self::assertNotSame('', self::refusal(['broken.zip' => new StringSource("PK\x03\x04".str_repeat('x', 60))]));
    }

    public function test_more_than_a_roster_has(): void
    {
        $huge = new class implements ByteSource
        {
            public function size(): int
            {
                return 5_000_000_000;
            }

            public function read(int $offset, int $length): string
            {
                TestCase::assertLessThan(1000, $length, 'it is not read');

                return str_repeat('a', $length);
            }
        };
        self::assertSame('huge.csv: it has more than 20 MB; that is no roster.', self::refusal(['huge.csv' => $huge]));
        $bomb = self::zip(['users.csv' => str_repeat("1,a,b,c\n", 3_000_000)]);
        self::assertLessThan(200_000, $bomb->size());
        self::assertStringContainsString('more than 20 MB', self::refusal(['bomb.zip' => $bomb]));
        $many = array_fill_keys(array_map(static fn (int $n): string => "t{$n}.csv", range(1, 60)), 'Name');
        $says = self::refusal(['many.zip' => self::zip($many)]);
        self::assertStringContainsString('more tables than a roster has', $says);
    }

    public function test_a_list_of_ten_thousand_names_is_too_long(): void
    {
        $rows = implode('', array_map(static fn (int $n): string => "P {$n},{$n}\n", range(1, 2500)));
        $this->expectException(CourseRefused::class);
        $this->expectExceptionMessage('more than 2,000 people');
        RosterFiles::read(['class.csv' => new StringSource("name,id\n{$rows}")]);
    }
}
