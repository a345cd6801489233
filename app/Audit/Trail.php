<?php

declare(strict_types=1);

namespace App\Audit;

use App\Models\About;
use App\Models\Act;
use App\Models\User;
use Illuminate\Support\Str;

/** Where who changed what is written down. */
final readonly class Trail
{
    private const LONGEST = 1000;

    /** Who did what nobody who is signed in did: a command, or the installation itself. */
    private const NOBODY = 'the installation';

    /**
     * @param  int|null  $production  its id; null: of the installation
     * @param  User|null  $who  where it is not whoever is signed in
     * @param  string  $what  a sentence without who, beginning with a verb in the past
     */
    public static function note(About $about, string $what, ?int $production, ?User $who = null): void
    {
        $by = $who ?? auth()->user();
        $by = $by instanceof User ? $by : null;
        Act::query()->create([
            'production_id' => $production,
            'user_id' => $by?->id,
            'who' => $by->name ?? self::NOBODY,
            'about' => $about,
            'what' => Str::limit($what, self::LONGEST - 1, '…'),
        ]);
    }
}
