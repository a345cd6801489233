<?php

declare(strict_types=1);

namespace App\Audit;

use App\Models\HistoryEntry;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Submission\HistoryChain;
use PlainLedger\Core\Submission\HistoryEntry as Entry;

/** What happens to a deliverable, as a chain that shows whether anything in it was changed afterwards. */
final readonly class Chain
{
    private const NOBODY = 'the installation';

    /**
     * @param  string  $act  a verb in the past
     * @param  array<string, mixed>  $facts
     */
    public static function add(int $deliverable, string $act, array $facts, ?User $who = null): HistoryEntry
    {
        $by = $who ?? auth()->user();

        // it takes the lock at its beginning: two at once come one after the other
        return DB::transaction(static function () use ($deliverable, $act, $facts, $by): HistoryEntry {
            $last = self::last($deliverable);
            $entry = new Entry(
                ($last->number ?? 0) + 1,
                Carbon::now('UTC')->format('Y-m-d\TH:i:s\Z'),
                $by instanceof User ? $by->name : self::NOBODY,
                $act,
                $facts,
                $last->sum ?? Entry::NOTHING,
            );

            return HistoryEntry::query()->create(['deliverable_id' => $deliverable, 'sum' => $entry->sum()]
                + get_object_vars($entry));
        });
    }

    public static function last(int $deliverable): ?HistoryEntry
    {
        return HistoryEntry::query()->where('deliverable_id', $deliverable)->orderByDesc('number')->first();
    }

    /** @return string|null where it is broken; null where it holds */
    public static function fault(int $deliverable): ?string
    {
        $entries = HistoryEntry::query()->where('deliverable_id', $deliverable)->orderBy('number')->lazy(500);

        return HistoryChain::fault($entries->map(static fn (HistoryEntry $e): array => [$e->kept(), $e->sum]));
    }

    /** @return array<int, string> where they are broken, by deliverable */
    public static function faults(): array
    {
        $faults = [];
        foreach (HistoryEntry::query()->distinct()->pluck('deliverable_id') as $deliverable) {
            $fault = self::fault((int) $deliverable);
            if ($fault !== null) {
                $faults[(int) $deliverable] = $fault;
            }
        }

        return $faults;
    }
}
