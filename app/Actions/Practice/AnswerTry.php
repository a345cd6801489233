<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Actions\People\PeopleRefused;
use App\Models\PracticeTry;
use PlainLedger\Core\Diagnosis\CauseGuide;
use PlainLedger\Core\Practice\Marking;
use PlainLedger\Core\Practice\PracticeAnswer;

/** Marks what somebody said of what they were given, once. */
final readonly class AnswerTry
{
    public function __construct(private PractiseFolder $folder) {}

    /** @throws PeopleRefused where it was answered already */
    public function run(PracticeTry $try, PracticeAnswer $answer): Marking
    {
        $guide = CauseGuide::read((string) file_get_contents(base_path('docs/causes.md')));
        $marking = Marking::of($this->folder->truth($try), $answer, $guide);
        KeepMarks::of($try, [
            'balances' => $answer->balances, 'lines' => $answer->lines, 'causes' => $answer->causes,
            'render' => array_map(strval(...), $answer->render),
        ], $marking);

        return $marking;
    }
}
