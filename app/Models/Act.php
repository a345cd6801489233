<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Something that was changed, by whom and when. It is written once.
 *
 * @property int $id
 * @property int|null $production_id  null: of the installation
 * @property int|null $user_id
 * @property string $who  the name by then
 * @property About $about
 * @property string $what  a sentence without who
 * @property Carbon $created_at
 */
final class Act extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['production_id', 'user_id', 'who', 'about', 'what'];

    protected function casts(): array
    {
        return ['about' => About::class];
    }

    /**
     * Those a reader looks for.
     *
     * @param  Builder<self>  $query
     * @param  string|null  $who  a name, whole
     * @param  string  $text  a piece of what was done
     */
    public function scopeLookedFor(
        Builder $query,
        ?About $about,
        ?string $who,
        string $text,
        ?Carbon $from,
        ?Carbon $until,
    ): void {
        $piece = '%'.addcslashes($text, '%_\\').'%';
        $query->when($about !== null, fn (Builder $q) => $q->where('about', $about))
            ->when($who !== null, fn (Builder $q) => $q->where('who', $who))
            ->when($text !== '', fn (Builder $q) => $q->whereRaw("what like ? escape '\\'", [$piece]))
            ->when($from !== null, fn (Builder $q) => $q->where('created_at', '>=', $from))
            ->when($until !== null, fn (Builder $q) => $q->where('created_at', '<', $until));
    }
}
