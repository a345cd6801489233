<?php

declare(strict_types=1);

namespace App\Audit;

use App\Models\HistoryEnd;
use App\Models\HistoryEntry;
use App\Models\User;
use App\Security\RecordKeys;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Submission\HistoryChain;
use PlainLedger\Core\Submission\HistoryEntry as Entry;
use PlainLedger\Core\Submission\RecordKey;

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

            $kept = HistoryEntry::query()->create(['deliverable_id' => $deliverable, 'sum' => $entry->sum()]
                + get_object_vars($entry));
            self::signEnd($kept);

            return $kept;
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

        return HistoryChain::fault($entries->map(static fn (HistoryEntry $e): array => [$e->kept(), $e->sum]))
            ?? self::faultOfEnd($deliverable);
    }

    /** Whether entries were cut from the end, or put there by others. Somebody may add to it meanwhile. */
    private static function faultOfEnd(int $deliverable): ?string
    {
        $end = HistoryEnd::query()->where('deliverable_id', $deliverable)->first();
        $last = self::last($deliverable);
        if ($end === null) {
            return $last === null ? null : "its end, after entry {$last->number}, is not signed";
        }
        $there = HistoryEntry::query()->where('deliverable_id', $deliverable)->where('number', $end->number)->first();

        $number = $last->number ?? 0;

        return match (true) {
            ! self::isOurs($end) => 'its end is not signed by this installation',
            $there === null => "entries after {$number} are missing",
            $there->sum !== $end->sum => "entry {$end->number} is not the one that was written then",
            $number > self::signedUpTo($deliverable) => "entry {$number} was written by others",
            default => null,
        };
    }

    private static function signEnd(HistoryEntry $entry): void
    {
        $key = RecordKeys::own();
        $signature = $key->sign(self::signed($entry->deliverable_id, $entry->number, $entry->sum));
        HistoryEnd::query()->updateOrCreate(['deliverable_id' => $entry->deliverable_id], [
            'number' => $entry->number, 'sum' => $entry->sum, 'key' => base64_encode($key->public),
            'signature' => base64_encode($signature),
        ]);
    }

    private static function isOurs(HistoryEnd $end): bool
    {
        $key = (string) base64_decode($end->key, true);
        $signature = (string) base64_decode($end->signature, true);

        return RecordKeys::isOurs($key)
            && RecordKey::holds($signature, self::signed($end->deliverable_id, $end->number, $end->sum), $key);
    }

    private static function signed(int $deliverable, int $number, string $sum): string
    {
        return "plain-ledger/history {$deliverable} {$number} {$sum}";
    }

    private static function signedUpTo(int $deliverable): int
    {
        return (int) HistoryEnd::query()->where('deliverable_id', $deliverable)->value('number');
    }

    /** Signs the ends of all histories, as they stand: of those that were written before ends were signed. */
    public static function signEnds(): void
    {
        $newest = HistoryEntry::query()->groupBy('deliverable_id')->selectRaw('max(id)');
        foreach (HistoryEntry::query()->whereIn('id', $newest)->lazy(500) as $entry) {
            self::signEnd($entry);
        }
    }

    /** @return array<int, string> where they are broken, by deliverable */
    public static function faults(): array
    {
        $faults = [];
        $all = HistoryEntry::query()->distinct()->pluck('deliverable_id')
            ->merge(HistoryEnd::query()->pluck('deliverable_id'))->unique();
        foreach ($all as $deliverable) {
            $fault = self::fault((int) $deliverable);
            if ($fault !== null) {
                $faults[(int) $deliverable] = $fault;
            }
        }

        return $faults;
    }
}
