<?php

declare(strict_types=1);

namespace App\Actions\Productions;

use App\Audit\Trail;
use App\Intake\UploadedArchive;
use App\Models\About;
use App\Models\Production;
use Illuminate\Support\Facades\DB;

/** A production with all that is kept of it goes for good. Its files stay where they are. */
final readonly class ForgetProduction
{
    /** Days for which a deleted one can be brought back. */
    public const KEPT_DAYS = 30;

    public function run(Production $production): void
    {
        $gone = $production->everything()->pluck('id')->all();
        DB::transaction(static function () use ($production): void {
            // a specification that is followed cannot go first
            $production->everything()->delete();
            $production->forceDelete();
            Trail::note(About::Production, "deleted the production {$production->code} for good", null);
        });
        array_map(UploadedArchive::forget(...), $gone);
    }

    /** @return int how many were forgotten whose days are over */
    public function overdue(): int
    {
        $gone = Production::onlyTrashed()->where('deleted_at', '<', now()->subDays(self::KEPT_DAYS))->get();
        $gone->each($this->run(...));

        return $gone->count();
    }
}
