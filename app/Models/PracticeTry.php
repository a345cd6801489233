<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What somebody was given to practise on, and what they said of it.
 *
 * @property int $id
 * @property int $practice_exercise_id
 * @property int $user_id
 * @property string $word  by which it is made, and made again the same
 * @property array{balances?: bool, lines?: list<string>, causes?: list<string>, render?: string,
 *   require?: array<string, string>}|null $answer  what was found; or `require`, what was written for a described job
 * @property array{earned: int, possible: int, points: list<array{about: string, key: string, mark: string, earned: int,
 *   possible: int, says: string}>}|null $marks
 * @property Carbon|null $marked_at
 * @property Carbon $created_at
 * @property PracticeExercise $exercise
 * @property User $person
 */
final class PracticeTry extends Model
{
    protected $fillable = ['practice_exercise_id', 'user_id', 'word', 'answer', 'marks', 'marked_at'];

    protected function casts(): array
    {
        return ['answer' => 'array', 'marks' => 'array', 'marked_at' => 'datetime'];
    }

    /** @return BelongsTo<PracticeExercise, $this> */
    public function exercise(): BelongsTo
    {
        return $this->belongsTo(PracticeExercise::class, 'practice_exercise_id');
    }

    /** @return BelongsTo<User, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(User::class, 'user_id');
    }

    /** Where it lies in the storage. */
    public function folder(): string
    {
        return 'practice/'.$this->id.'-'.substr(hash('sha256', $this->word), 0, 16);
    }
}
