<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Intake\UploadedArchive;
use App\Models\Check;
use App\Models\Production;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Measure\ByteSize;

/**
 * How much of one production is kept, and how often it may have files looked at, so that it leaves room for the others.
 */
final readonly class ProductionQuota
{
    /** Seconds for which what is kept is not counted anew. */
    private const COUNTED_FOR = 300;

    /** @throws CheckRefused */
    public static function allows(Production $production, bool $ofFiles): void
    {
        $mostChecks = $production->limits['checks'] ?? (int) config('ledger.most_checks');
        if ($ofFiles && self::checksOfADay($production) >= $mostChecks) {
            throw CheckRefused::tooMany($mostChecks);
        }
        $mostBytes = $production->limits['bytes'] ?? (int) config('ledger.most_bytes');
        $kept = self::bytes($production);
        if ($kept >= $mostBytes) {
            throw CheckRefused::tooMuch((string) ByteSize::of($kept), (string) ByteSize::of($mostBytes));
        }
    }

    private static function checksOfADay(Production $production): int
    {
        return Check::query()->whereNotNull('order')->where('created_at', '>=', Carbon::now()->subDay())
            ->whereIn('deliverable_id', $production->everything()->select('id'))->count();
    }

    /** Of checks, deliveries, settings and archives; other rows are small beside those. */
    public static function bytes(Production $production): int
    {
        return (int) Cache::remember(
            "kept-of-{$production->id}",
            self::COUNTED_FOR,
            static function () use ($production): int {
                $own = static fn (string $table): Builder => DB::table($table)->whereIn(
                    'deliverable_id',
                    $production->everything()->select('id'),
                );
                $of = static fn (string $table, string $column): int => (int) $own($table)->sum(
                    DB::raw("length(cast({$column} as blob))"),
                );
                $texts = DB::table('scene_texts')->whereIn('hash', $own('scenes')->select('hash'));

                return UploadedArchive::bytes($production->everything()->pluck('id')->all())
                    + $of('checks', 'document')
                    + $of('deliveries', 'data')
                    + (int) $texts->sum(DB::raw('length(cast(content as blob))'));
            },
        );
    }
}
