<?php

declare(strict_types=1);

namespace Tests\Core\Course;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Course\CourseLearner;
use PlainLedger\Core\Course\CourseRefused;
use PlainLedger\Core\Course\FilledGradebook;
use PlainLedger\Core\Course\Gradebook;
use PlainLedger\Core\Course\GradebookColumns;
use PlainLedger\Core\Course\NamedBy;
use PlainLedger\Core\Tabular\SeparatedValues;
use PlainLedger\Core\Tabular\TableRefused;

final class GradebookTest extends TestCase
{
    private const POINTS = [1 => '87.5', 2 => '100', 3 => '0'];

    /** @return list<CourseLearner> */
    private static function learners(): array
    {
        return [
            new CourseLearner(1, 'Wren Reed', 'wren', 'wren@practice.example', '00417'),
            new CourseLearner(2, 'Tarn Holm', 'tarn', 'tarn@practice.example', '00418'),
            new CourseLearner(3, 'Isla van der Moor', 'isla', 'isla@practice.example', null),
            new CourseLearner(4, 'Wren Holm', 'wren2', 'w.holm@practice.example', '00420'),
        ];
    }

    private static function filled(string $bytes, string $title = 'Weathervane study'): FilledGradebook
    {
        $book = Gradebook::read($bytes, 'grades.csv');
        $columns = $book->guess(self::learners(), $title) ?? self::fail('no column names anybody');

        return $book->fill($columns, self::learners(), self::POINTS);
    }

    /** @return iterable<string, array{string, string}> what comes, and what goes back */
    public static function layouts(): iterable
    {
        yield 'ids with zeros before them, one column of points' => [
            "Student ID,Weathervane study\r\n00417,\r\n00418,50\r\n",
            "Student ID,Weathervane study\r\n00417,87.5\r\n00418,100\r\n",
        ];
        yield 'no column for it yet' => [
            "Login,Section\nwren,A\nTARN,B\n",
            "Login,Section,Weathervane study\nwren,A,87.5\nTARN,B,100\n",
        ];
        yield 'a number behind the title, points possible below the headings, a row for trying out' => [
            "Student,ID,Weathervane study (4711),Final\n"
                ."    Points Possible,,100,\n\"Reed, Wren\",9001,,12\n\"Holm, Tarn\",9002,,\nTest Student,9003,,\n",
            "Student,ID,Weathervane study (4711),Final\n"
                ."\"    Points Possible\",,100,\n\"Reed, Wren\",9001,87.5,12\n\"Holm, Tarn\",9002,100,\n"
                ."Test Student,9003,,\n",
        ];
        yield 'names in two columns, addresses that are elsewhere' => [
            "Surname,First name,Weathervane study\nReed,Wren,\nvan der Moor,Isla,\n",
            "Surname,First name,Weathervane study\nReed,Wren,87.5\nvan der Moor,Isla,0\n",
        ];
        yield 'semicolons, so a comma in numbers' => [
            "Name;E-Mail;Punkte\r\nReed;wren@practice.example;1\r\n",
            "Name;E-Mail;Punkte;Weathervane study\r\nReed;wren@practice.example;1;87,5\r\n",
        ];
        yield 'semicolons, and points in numbers all the same' => [
            "Name;E-Mail;Quiz\nReed;Wren@Practice.example;1.5\n",
            "Name;E-Mail;Quiz;Weathervane study\nReed;Wren@Practice.example;1.5;87.5\n",
        ];
        yield 'a mark, quotes around all, formulas and texts that stay' => [
            "\xEF\xBB\xBF\"email\",\"sum\",\"note\"\r\n\"tarn@practice.example\",\"=B2+1\",\"say \"\"hi\"\"\nyou\"\r\n",
            "\xEF\xBB\xBF\"email\",\"sum\",\"note\",\"Weathervane study\"\r\n"
                ."\"tarn@practice.example\",\"=B2+1\",\"say \"\"hi\"\"\nyou\",\"100\"\r\n",
        ];
        yield 'a title above the headings' => [
            "Term 2\nid\tgroup\n00417\tx\n",
            "Term 2\nid\tgroup\tWeathervane study\n00417\tx\t87.5\n",
        ];
    }

    #[DataProvider('layouts')]
    public function test_points_go_where_they_belong_and_all_else_stays(string $bytes, string $expected): void
    {
        self::assertSame($expected, self::filled($bytes)->bytes);
    }

    public function test_other_encodings_come_back_as_they_were(): void
    {
        $utf16 = "\xFF\xFE".mb_convert_encoding("name\tpts\r\nWren Reed\t\r\nJörg\t3\r\n", 'UTF-16LE', 'UTF-8');
        $back = self::filled($utf16, 'pts')->bytes;
        self::assertStringStartsWith("\xFF\xFE", $back);
        self::assertSame(
            "name\tpts\r\nWren Reed\t87.5\r\nJörg\t3\r\n",
            mb_convert_encoding(substr($back, 2), 'UTF-8', 'UTF-16LE'),
        );
        $latin = mb_convert_encoding("name,pts\nWren Reed,\nJörg,3\n", 'Windows-1252', 'UTF-8');
        self::assertSame(
            mb_convert_encoding("name,pts\nWren Reed,87.5\nJörg,3\n", 'Windows-1252', 'UTF-8'),
            self::filled($latin, 'pts')->bytes,
        );
    }

    public function test_what_could_not_be_filled_is_told(): void
    {
        $filled = self::filled(
            "id,Weathervane study\n00417,50\n00418,\n00418,\n00999,7\n,sum\n00420,3\n",
        );

        self::assertSame([1], $filled->filled);
        self::assertSame(1, $filled->changed);
        self::assertSame(['line 5: 00999'], $filled->unknown);
        self::assertSame(['Tarn Holm'], $filled->twice);
        self::assertSame(['Isla van der Moor'], $filled->absent);
        self::assertSame(['Wren Holm'], $filled->pointless);
        self::assertSame("id,Weathervane study\n00417,87.5\n00418,\n00418,\n00999,7\n,sum\n00420,3\n", $filled->bytes);
    }

    public function test_a_name_that_is_two_peoples_is_nobodys(): void
    {
        $two = [...self::learners(), new CourseLearner(5, 'Reed Wren', 'rw', 'rw@practice.example')];
        $book = Gradebook::read("Name,P\nWren Reed,\nTarn Holm,\n", 'grades.csv');
        $columns = $book->guess($two, 'P') ?? self::fail('no column');

        self::assertSame("Name,P\nWren Reed,\nTarn Holm,100\n", $book->fill($columns, $two, self::POINTS)->bytes);
    }

    public function test_columns_that_were_chosen_once_are_taken_again(): void
    {
        $book = Gradebook::read("id,login,Vane\n00417,tarn,\n", 'grades.csv');
        $kept = new GradebookColumns(['login'], NamedBy::Handle, 'Other', 'Remark');

        $columns = $book->guess(self::learners(), 'Vane', $kept);
        self::assertSame(['login'], $columns?->whose);
        self::assertSame('Vane', $columns->points);
        self::assertNull($columns->remark);
        self::assertEquals($columns, GradebookColumns::fromArray($columns->toArray()));
        // where such a column is not there, it is looked for anew
        $other = new GradebookColumns(['Number'], NamedBy::Number, 'Other');
        self::assertSame(['id'], $book->guess(self::learners(), 'Vane', $other)?->whose);
        self::assertNull(GradebookColumns::fromArray(['whose' => ['a', 'b', 'c'], 'by' => 'name', 'points' => 'x']));
        self::assertNull(GradebookColumns::fromArray(['whose' => ['a'], 'by' => 'shoe', 'points' => 'x']));
    }

    public function test_remarks_are_no_formulas(): void
    {
        $book = Gradebook::read("id,Vane,Remark\n00417,,\n", 'grades.csv');
        $columns = new GradebookColumns(['id'], NamedBy::Number, 'Vane', 'Remark');
        $filled = $book->fill($columns, self::learners(), self::POINTS, [1 => '=HYPERLINK("x")', 2 => 'good']);

        self::assertSame("id,Vane,Remark\n00417,87.5,\"'=HYPERLINK(\"\"x\"\")\"\n", $filled->bytes);
    }

    public function test_numbers_of_another_system_are_learnt_from_it(): void
    {
        $rows = "Name,No\nIsla van der Moor,77\nTarn Holm,78\nTarn Holm,79\nWren Reed,\n";
        $book = Gradebook::read($rows, 'grades.csv');
        $columns = new GradebookColumns(['Name'], NamedBy::Name, 'P');

        self::assertSame([3 => '77'], $book->numbers($columns, 'No', self::learners()));
    }

    public function test_what_is_no_gradebook(): void
    {
        self::assertNull(Gradebook::read("shot,range\nTC_010,1-9\n", 'shots.csv')->guess(self::learners(), 'P'));
        $book = Gradebook::read("id,P\n00417,\n", 'grades.csv');
        try {
            $book->fill(new GradebookColumns(['Key'], NamedBy::Number, 'P'), self::learners(), self::POINTS);
            self::fail('a column that is not there');
        } catch (CourseRefused $no) {
            self::assertSame('the gradebook: it has no column “Key”.', $no->getMessage());
        }
        $this->expectException(TableRefused::class);
        Gradebook::read("one\ntwo\n", 'words.txt');
    }

    public function test_values_are_read_as_before_where_a_spreadsheet_kept_them_texts(): void
    {
        self::assertSame([['a', '=1'], ["'b", '+3']], SeparatedValues::cells("a,'=1\n'b,+3\n", 'x.csv'));
        self::assertSame([['a', "'=1"]], SeparatedValues::asWritten("a,'=1\n", 'x.csv')[1]);
    }
}
