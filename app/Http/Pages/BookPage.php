<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Actions\Checks\AskedLayers;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Report\BlockerSummary;

/** The open book around every page: the running head, and the index of deliverables with trouble first. */
final readonly class BookPage
{
    /** Minutes after which nothing is said to arrive still that nobody has looked at since. */
    private const ARRIVES_FOR = 20;

    /** @return array<string, mixed> */
    public static function of(Production $production, User $reader): array
    {
        $role = $reader->roleIn($production->id);
        $overseer = $role?->decides() ?? false;
        $deliverables = $production->deliverables()->with(AskedLayers::NEEDS)
            ->when(! $overseer, fn ($query) => $query->where('owner_id', $reader->id))
            ->with(
                [
                    'newest' => fn ($query) => $query->select(
                        'checks.id',
                        'checks.deliverable_id',
                        'checks.verdict',
                        'checks.holds_up',
                        'checks.waived',
                        'checks.asked',
                        'checks.trouble',
                        'checks.scene_id',
                        'checks.delivery_id',
                        'checks.updated_at',
                    ),
                ],
            )
            ->orderBy('code')->get();
        $lines = $deliverables->map(self::line(...))->all();
        $weight = ['unbalanced' => 0, 'open' => 1, '' => 2, 'balanced' => 3];
        usort(
            $lines,
            static fn (array $a, array $b): int => [
                $weight[$a['verdict'] ?? ''],
                $a['code'],
            ] <=> [$weight[$b['verdict'] ?? ''], $b['code']],
        );

        return [
            'production' => [
                'id' => $production->id,
                'code' => $production->code,
                'name' => $production->name,
                'kind' => $production->kind,
            ],
            'role' => $role?->value,
            'decides' => $overseer,
            'index' => $lines,
        ];
    }

    /**
     * @return array{id: int, code: string, title: string, owner: string|null, due: array{at: string, words: string,
     *   late: bool}|null, verdict: string|null, waived: bool, holdsUp: string|null, stale: bool, folio: string}
     */
    public static function line(Deliverable $deliverable): array
    {
        return [
            'id' => $deliverable->id,
            'code' => $deliverable->code,
            'title' => $deliverable->title,
            'owner' => $deliverable->owner?->name,
            'due' => self::due($deliverable->due_at),
            'verdict' => $deliverable->newest?->verdict,
            'waived' => ($deliverable->newest->waived ?? 0) > 0,
            'holdsUp' => self::holdsUp($deliverable->newest),
            'stale' => AskedLayers::hasChangedSince($deliverable, $deliverable->newest),
            'folio' => self::folio($deliverable->newest),
        ];
    }

    /** What a check says of itself in the fewest words; that files arrive is said no more once they should be there. */
    public static function holdsUp(?Check $check): ?string
    {
        return $check?->holds_up === BlockerSummary::ARRIVING && self::shouldHaveArrived($check)
            ? 'was arriving; check again'
            : $check?->holds_up;
    }

    /** Whether so much time has passed that files which were arriving then are there, or never will be. */
    public static function shouldHaveArrived(Check $check): bool
    {
        return $check->updated_at->isBefore(Carbon::now()->subMinutes(self::ARRIVES_FOR));
    }

    /** The folio that has the trouble: the first cause's side; of what balances, the frames where there are any. */
    public static function folio(?Check $check): string
    {
        return match (true) {
            $check?->trouble !== null => $check->trouble === 'scene' ? 'scene' : 'frames',
            default => $check?->delivery_id === null && $check?->scene_id !== null ? 'scene' : 'frames',
        };
    }

    /** @return array{at: string, words: string, late: bool}|null */
    public static function due(?Carbon $due): ?array
    {
        if ($due === null) {
            return null;
        }
        $minutes = (int) floor(Carbon::now()->diffInMinutes($due));
        $words = match (true) {
            $minutes < 0 => self::long(-$minutes).' late',
            default => 'in '.self::long($minutes),
        };

        return ['at' => $due->format('l j M, H:i'), 'words' => $words, 'late' => $minutes < 0];
    }

    private static function long(int $minutes): string
    {
        [$number, $unit] = match (true) {
            $minutes < 60 => [$minutes, 'minute'],
            $minutes < 48 * 60 => [intdiv($minutes, 60), 'hour'],
            default => [intdiv($minutes, 1440), 'day'],
        };

        return "{$number} {$unit}".($number === 1 ? '' : 's');
    }

    /** @return array<string, mixed> what a deliverable's own pages have in common */
    public static function deliverable(Deliverable $deliverable): array
    {
        $newest = $deliverable->newest;

        return self::line($deliverable) + [
            'specification' => $deliverable->specification->title,
            'revision' => $deliverable->specification->latest->number,
            'folios' => $newest instanceof Check ? self::folios($newest) : ['scene' => null, 'frames' => null],
        ];
    }

    /** @return array{scene: string|null, frames: string|null} each folio's own mark */
    private static function folios(Check $check): array
    {
        $marks = ['scene' => [], 'files' => []];
        /** @var list<array<string, mixed>> $entries */
        $entries = Check::query()->findOrFail($check->id)->account()['entries'];
        foreach ($entries as $entry) {
            foreach (['scene', 'files'] as $side) {
                $cell = $entry[$side] ?? null;
                if (is_array($cell) && ! isset($cell['stale']) && $entry['level'] === 'must') {
                    $marks[$side][] = $cell['mark'];
                }
            }
        }
        $together = static fn (array $list): ?string => match (true) {
            $list === [] => null,
            in_array('unequal', $list, true) => 'unequal',
            in_array('unknown', $list, true) => 'unknown',
            in_array('waived', $list, true) => 'waived',
            default => 'equal',
        };

        return ['scene' => $together($marks['scene']), 'frames' => $together($marks['files'])];
    }
}
