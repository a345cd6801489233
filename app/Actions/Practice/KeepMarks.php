<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Actions\People\PeopleRefused;
use App\Language\Phrase;
use App\Models\PracticeTry;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Practice\Marking;

/** What somebody answered, and what it is worth: kept once. */
final readonly class KeepMarks
{
    /**
     * @param  array<string, mixed>  $answer  as it was given
     *
     * @throws PeopleRefused where it was answered already
     */
    public static function of(PracticeTry $try, array $answer, Marking $marking): void
    {
        $kept = PracticeTry::query()->whereKey($try->id)->whereNull('marked_at')->update([
            'answer' => json_encode($answer, JSON_THROW_ON_ERROR),
            'marks' => json_encode([
                'earned' => $marking->earned(), 'possible' => $marking->possible(), 'points' => $marking->points,
            ], JSON_THROW_ON_ERROR),
            'marked_at' => Carbon::now(),
        ]);
        if ($kept !== 1) {
            throw PeopleRefused::because(Phrase::of('This was answered already. Take another one.'));
        }
    }
}
