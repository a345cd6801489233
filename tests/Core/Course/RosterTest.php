<?php

declare(strict_types=1);

namespace Tests\Core\Course;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Course\CourseRefused;
use PlainLedger\Core\Course\ListedRoster;
use PlainLedger\Core\Course\OneRoster;
use PlainLedger\Core\Course\Roster;
use PlainLedger\Core\Course\RosterPerson;
use PlainLedger\Core\Tabular\TableRefused;

final class RosterTest extends TestCase
{
    private const USERS = 'sourcedId,status,dateLastModified,enabledUser,orgSourcedIds,role,username,userIds,givenName,'
        ."familyName,middleName,identifier,email,sms,phone,agentSourcedIds,grades,password\n"
        ."u1,,,true,o1,student,wren,,Wren,Reed,,417,wren@practice.example,,,,,\n"
        ."u2,,,true,o1,student,tarn,,Tarn,Holm,,,tarn@practice.example,,,,,\n"
        ."u3,,,true,o1,teacher,corvin,,Corvin,Ash,,,corvin@practice.example,,,,,\n"
        ."u4,tobedeleted,,true,o1,student,gone,,Gone,Long,,,gone@practice.example,,,,,\n"
        ."u5,,,false,o1,student,off,,Out,Side,,,off@practice.example,,,,,\n"
        ."u6,,,true,o1,student,other,,Other,Class,,,other@practice.example,,,,,\n";

    private const ENROLLED = 'sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role,'
        ."primary\n"
        ."e1,,,c1,o1,u1,student,\ne2,,,c1,o1,u2,student,\ne3,,,c1,o1,u3,teacher,true\ne5,,,c1,o1,u5,student,\n"
        ."e6,,,c2,o1,u6,student,\ne7,tobedeleted,,c2,o1,u1,student,\ne8,,,c1,o1,u9,student,\n";

    private const CLASSES = "sourcedId,status,title\nc1,,Lighting\nc2,,Compositing\n";

    /** @return list<string> */
    private static function people(Roster $roster): array
    {
        return array_map(static fn (RosterPerson $p): string => implode('|', [
            $p->number, $p->name, $p->email, $p->handle, $p->teaches ? 'teaches' : 'learns',
        ]), $roster->people);
    }

    public function test_a_class_of_one_roster(): void
    {
        $files = ['users.csv' => self::USERS, 'Enrollments.csv' => self::ENROLLED, 'classes.csv' => self::CLASSES];
        $roster = OneRoster::read($files, 'c1');

        self::assertSame([
            '417|Wren Reed|wren@practice.example|wren|learns', 'u2|Tarn Holm|tarn@practice.example|tarn|learns',
            'u3|Corvin Ash|corvin@practice.example|corvin|teaches',
        ], self::people($roster));
        self::assertSame([
            ['id' => 'c1', 'title' => 'Lighting', 'people' => 5],
            ['id' => 'c2', 'title' => 'Compositing', 'people' => 1],
        ], $roster->classes);
        self::assertSame([
            'Out Side is not enabled there, and is left out.', '1 person enrolled in it stand in no users.csv.',
        ], $roster->notes);
        self::assertCount(4, OneRoster::read($files)->people);
        self::assertTrue(OneRoster::isOne(['Users.CSV' => '']));
        self::assertFalse(OneRoster::isOne(['people.csv' => '']));
    }

    public function test_roles_in_a_file_of_their_own_and_preferred_names(): void
    {
        $roster = OneRoster::read([
            'users.csv' => "sourcedId,status,enabledUser,username,givenName,familyName,preferredGivenName,email\n"
                ."u1,,true,wren,Wrenna,Reed,Wren,w@practice.example\nu3,,true,corvin,Corvin,Ash,,c@practice.example\n",
            'roles.csv' => "sourcedId,status,userSourcedId,roleType,role\nr1,,u1,primary,student\n"
                ."r2,,u3,primary,teacher\n",
        ]);

        self::assertSame(
            ['u1|Wren Reed|w@practice.example|wren|learns', 'u3|Corvin Ash|c@practice.example|corvin|teaches'],
            self::people($roster),
        );
    }

    public function test_a_class_that_is_not_there(): void
    {
        $this->expectException(CourseRefused::class);
        $this->expectExceptionMessage('it has no class “c9”');
        OneRoster::read(['users.csv' => self::USERS, 'enrollments.csv' => self::ENROLLED], 'c9');
    }

    public function test_a_roster_without_users(): void
    {
        $this->expectException(CourseRefused::class);
        $this->expectExceptionMessage('no users.csv');
        OneRoster::read(['classes.csv' => self::CLASSES]);
    }

    public function test_a_list_with_headings_in_any_order(): void
    {
        $roster = ListedRoster::read(
            "E-mail;Surname;First name;Student no.;Role\nwren@practice.example;Reed;Wren;0417;student\n"
                ."corvin@practice.example;Ash;Corvin;;Tutor\n;;;;\n",
            'class.csv',
        );
        self::assertSame([
            '0417|Wren Reed|wren@practice.example||learns', '|Corvin Ash|corvin@practice.example||teaches',
        ], self::people($roster));
        $turned = ListedRoster::read("ID,Student\n7,\"Holm, Tarn\"\n", 'class.csv');
        self::assertSame(['7|Tarn Holm|||learns'], self::people($turned));
    }

    /** @return iterable<string, array{string, string}> */
    public static function names(): iterable
    {
        yield 'whole, and what they are called' => ["Name,Preferred name\nWren Tolliver,Birdie\n", 'Wren Tolliver'];
        yield 'given and family name' => ["First name,Last name\nWren,Tolliver\n", 'Wren Tolliver'];
        yield 'all three' => ["Student,First,Last\n\"Tolliver, Wren\",Wren,Tolliver\n", 'Wren Tolliver'];
        yield 'a name that is the given one' => ["Name,Surname\nWren,Tolliver\n", 'Wren Tolliver'];
        yield 'a name that has the family name too' => ["Surname,Name\nTolliver,Wren Tolliver\n", 'Wren Tolliver'];
        yield 'written the other way about' => ["Name,Email\n\"Tolliver, Wren\",w@practice.example\n", 'Wren Tolliver'];
        yield 'a given name alone' => ["First name,Email\nWren,w@practice.example\n", 'Wren'];
        yield 'a family name alone' => ["Last name,Email\nTolliver,w@practice.example\n", 'Tolliver'];
    }

    #[DataProvider('names')]
    public function test_names_in_whichever_columns(string $list, string $name): void
    {
        self::assertSame($name, ListedRoster::read($list, 'list.csv')->people[0]->name);
    }

    public function test_ids_that_stand_there_twice(): void
    {
        $roster = ListedRoster::read(
            "id,name,email\n1,Wren Reed,w@practice.example\n1,Wren Reed,w@practice.example\n"
                ."2,Tarn Holm,t@practice.example\n2,Isla Moor,i@practice.example\n"
                ."3,Fenn Lowe,f@practice.example\n4,Finn Lowe,F@practice.example\n",
            'class.csv',
        );

        self::assertSame(['1|Wren Reed|w@practice.example||learns'], self::people($roster));
        self::assertSame([
            'Wren Reed stands there twice, and is taken once.',
            'Tarn Holm and Isla Moor have the same id, “2”; none of them is taken until that is put right.',
            'Fenn Lowe and Finn Lowe have the same address, “f@practice.example”; none of them is taken until that is'
                .' put right.',
        ], $roster->notes);
    }

    public function test_a_table_of_something_else(): void
    {
        try {
            ListedRoster::read("id,role\n1,x\n", 'class.csv');
            self::fail('nobody is named in it');
        } catch (CourseRefused $no) {
            self::assertStringContainsString('no column has names or addresses', $no->getMessage());
        }
        $this->expectException(TableRefused::class);
        ListedRoster::read("shot,range\nTC_010,1-9\n", 'shots.csv');
    }

    public function test_too_many_people(): void
    {
        $many = array_map(
            static fn (int $n): RosterPerson => new RosterPerson((string) $n, "P {$n}", '', ''),
            range(1, 2001),
        );
        $this->expectException(CourseRefused::class);
        $this->expectExceptionMessage('more than 2,000 people');
        Roster::of($many, 'class.csv');
    }
}
