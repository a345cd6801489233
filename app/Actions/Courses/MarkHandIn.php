<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use App\Models\HandIn;
use App\Models\HandInMark;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** What one who marks has to say; and what all of them agree on. */
final readonly class MarkHandIn
{
    /** @param  string|null  $points  null: those that are worked out stand */
    public function run(HandIn $handIn, ?string $points, string $remark, User $by): void
    {
        DB::transaction(static function () use ($handIn, $points, $remark, $by): void {
            $own = HandInMark::query()->firstOrNew(['hand_in_id' => $handIn->id, 'user_id' => $by->id]);
            if ($points === null && $remark === '') {
                $own->exists && $own->delete();
            } else {
                $own->fill(['points' => $points, 'remark' => $remark])->save();
            }
            // what was agreed on was agreed on before this
            $handIn->update(['agreed' => null, 'agreed_by_id' => null]);
        });
    }

    /**
     * What is said of many together: whoever marks keeps what they gave before, but for what is said anew.
     *
     * @param  string|null  $points  null: as before
     * @param  string  $remark  empty: as before
     */
    public function more(HandIn $handIn, ?string $points, string $remark, User $by): void
    {
        $own = HandInMark::query()->where(['hand_in_id' => $handIn->id, 'user_id' => $by->id])->first();
        $this->run($handIn, $points ?? $own?->points, $remark === '' ? (string) $own?->remark : $remark, $by);
    }

    public function agree(HandIn $handIn, ?string $points, User $by): void
    {
        $handIn->update(['agreed' => $points, 'agreed_by_id' => $points === null ? null : $by->id]);
    }
}
