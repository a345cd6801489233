<?php

declare(strict_types=1);

namespace Tests\Core\Cli;

use PHPUnit\Framework\TestCase;
use Tests\Core\Support\RunsProgram;
use Tests\Core\Support\Workbench;

/** A class that is judged from the console. */
final class CourseCommandTest extends TestCase
{
    use RunsProgram;

    private Workbench $bench;

    protected function setUp(): void
    {
        $this->bench = new Workbench;
        $this->bench->put('vane.json', (string) json_encode([
            'format' => 'plain-ledger/specification', 'version' => 1, 'title' => 'Vane', 'delivers' => 'frames',
            'require' => [
                'picture.resolution' => '64x36', 'time.range' => '1-3', 'format.kind' => 'png',
                'naming.pattern' => '{learner}.{frame:2}.png',
            ],
        ]));
        $this->bench->put('rules.json', (string) json_encode([
            'format' => 'plain-ledger/assignment', 'version' => 1,
            'points' => ['groups' => ['Picture' => 40, 'Naming' => 60]], 'late' => ['percent' => 10],
        ]));
        $this->bench->frames('class/wren/wren.%02d.png', '1-3', Workbench::png());
        $this->bench->frames('class/tarn/tarn.%02d.png', '1-3', Workbench::png(32, 18));
        foreach (glob("{$this->bench->folder}/class/*/*") ?: [] as $file) {
            touch($file, str_contains($file, 'wren') ? 1_764_000_000 : 1_764_100_000);
        }
    }

    public function test_all_are_judged_by_the_same_rules(): void
    {
        [$code, $output] = $this->run_([
            'course', 'points', '--spec', 'vane.json', '--rules', 'rules.json', '--class', 'class',
            '--due', '2025-11-24T17:00', '--zone', 'Europe/Berlin',
        ]);

        self::assertSame(0, $code);
        self::assertSame(
            "learner,verdict,points,of,by eye,late,first cause\r\n"
                ."tarn,unbalanced,48,100,,\"27 hours late, 2nd day: 20 % off\",scale-below-full\r\n"
                ."wren,balanced,100,100,,in time,\r\n",
            $output,
        );
    }

    public function test_points_go_into_a_gradebook(): void
    {
        $points = $this->run_(['course', 'points', '--spec', 'vane.json', '--class', 'class'])[1];
        $this->bench->put('points.csv', $points)->put('grades.csv', "Login;Group\nWREN;A\nnobody;B\n");
        [$code, $output, $errors] = $this->run_([
            'course', 'gradebook', 'grades.csv', '--points', 'points.csv', '--column', 'Vane',
        ]);

        self::assertSame([0, "Login;Group;Vane\nWREN;A;100\nnobody;B;\n"], [$code, $output]);
        self::assertStringContainsString("1 row filled, by “Login”.\nNobody known: line 3: nobody\n", $errors);
        self::assertStringContainsString('In no row: tarn', $errors);
    }

    public function test_whose_files_are_the_same(): void
    {
        self::assertSame("Nobody's files are another's.\n", $this->run_(['course', 'same', '--class', 'class'])[1]);
        copy("{$this->bench->folder}/class/wren/wren.02.png", "{$this->bench->folder}/class/tarn/tarn.04.png");
        $told = $this->run_(['course', 'same', '--class', 'class'])[1];
        self::assertMatchesRegularExpression('~same bytes  tarn\.04\.png  wren\.0\d\.png~', $told);
    }

    public function test_a_roster_is_printed_as_a_table(): void
    {
        $this->bench->put('users.csv', "sourcedId,role,givenName,familyName,email\n"
            ."u1,student,Wren,Reed,w@practice.example\nu2,teacher,Corvin,Ash,c@practice.example\n")
            ->put('enrollments.csv', "sourcedId,classSourcedId,userSourcedId,role\n1,c1,u1,student\n2,c2,u2,teacher\n");
        [$code, $output, $errors] = $this->run_(['course', 'roster', 'users.csv', 'enrollments.csv']);
        self::assertSame(0, $code);
        self::assertSame("id,name,email,username,role\r\nu1,Wren Reed,w@practice.example,,learner\r\n"
            ."u2,Corvin Ash,c@practice.example,,instructor\r\n", $output);
        self::assertStringContainsString('--only c1  c1, 1 enrolled', $errors);
        $one = $this->run_(['course', 'roster', 'users.csv', 'enrollments.csv', '--only', 'c1'])[1];
        self::assertStringNotContainsString('Corvin', $one);
    }

    public function test_what_cannot_be_used_is_told(): void
    {
        $this->bench->put('bad.json', '{"format": "plain-ledger/assignment", "version": 1, "attempts": 0}')
            ->put('points.csv', "who,what\nwren,1\n")->put('grades.csv', "Login,Group\nwren,A\n");
        foreach ([
            [['do'], 'Say points, same, roster or gradebook.'],
            [['points', '--class', 'class'], '--spec is needed: what is asked.'],
            [['points', '--spec', 'vane.json'], '--class is needed: a folder with a folder a learner.'],
            [['points', '--spec', 'vane.json', '--class', 'none'], 'none: it is no folder that can be read.'],
            [['points', '--spec', 'vane.json', '--class', 'class', '--rules', 'bad.json'],
                'bad.json: attempts are a whole number from 1 to 100.'],
            [['points', '--spec', 'vane.json', '--class', 'class', '--due', 'soon'],
                '--due is written as 2026-12-01T23:59.'],
            [['points', '--spec', 'vane.json', '--class', 'class', '--zone', 'Moon'],
                '--zone is a time zone, as Europe/Berlin.'],
            [['roster'], 'Say which file.'],
            [['gradebook', 'grades.csv'], '--points is needed: a table with learner and points.'],
            [['gradebook', 'grades.csv', '--points', 'points.csv'],
                'points.csv: it has no columns “learner” and “points”.'],
        ] as [$arguments, $says]) {
            self::assertSame([3, '', "{$says}\n"], $this->run_(['course', ...$arguments]));
        }
    }
}
