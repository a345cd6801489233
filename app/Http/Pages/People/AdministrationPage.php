<?php

declare(strict_types=1);

namespace App\Http\Pages\People;

use App\Health\Health;
use App\Http\Pages\RendersPage;
use App\Models\Production;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The installation: its people, its productions, and how it stands. */
final readonly class AdministrationPage
{
    use RendersPage;

    private const MOST_FAILED = 50;

    /**
     * @var list<array{id: int, name: string, email: string, productions: list<string>, isAdministrator: bool,
     *   isDisabled: bool, isReader: bool}>
     */
    public array $people;

    /** @var list<array{id: int, code: string, name: string, kind: string, people: int, deliverables: int}> */
    public array $productions;

    /** @var list<array{what: string, says: string, well: bool}> */
    public array $health;

    /** Pieces of work that wait for their turn. */
    public int $waiting;

    /** @var list<array{id: string, what: string, why: string, at: string}> */
    public array $failed;

    /** @param  string|null  $fresh  a link that is shown this once */
    public function __construct(User $reader, public ?string $fresh)
    {
        $people = User::query()->with('productions')->orderBy('name')->get();
        $this->people = array_values($people->map(static fn (User $u): array => [
            'id' => $u->id, 'name' => $u->name, 'email' => $u->email,
            'productions' => array_values($u->productions->sortBy('code')->pluck('code')->all()),
            'isAdministrator' => $u->is_administrator, 'isDisabled' => $u->disabled_at !== null,
            'isReader' => $u->id === $reader->id,
        ])->all());
        $all = Production::query()->withCount('memberships', 'deliverables')->orderBy('name')->get();
        $this->productions = array_values($all->map(static fn (Production $p): array => [
            'id' => $p->id, 'code' => $p->code, 'name' => $p->name, 'kind' => $p->kind,
            'people' => (int) $p->getAttribute('memberships_count'),
            'deliverables' => (int) $p->getAttribute('deliverables_count'),
        ])->all());
        $health = Health::now();
        $this->health = array_map(
            static fn (string $what, array $line): array => [
                'what' => $what, 'says' => $line['says'], 'well' => $line['well'],
            ],
            array_keys($health),
            array_values($health),
        );
        $this->waiting = DB::connection('side')->table('jobs')->count();
        $this->failed = self::failed();
    }

    /** @return list<array{id: string, what: string, why: string, at: string}> the newest first */
    private static function failed(): array
    {
        $rows = DB::connection('side')->table('failed_jobs')->orderByDesc('id')->limit(self::MOST_FAILED)->get();

        return array_values($rows->map(static function (\stdClass $row): array {
            $payload = json_decode((string) $row->payload, true);
            $class = is_array($payload) ? (string) ($payload['displayName'] ?? '') : '';

            return [
                'id' => (string) $row->uuid,
                'what' => Str::lower(Str::headline(class_basename($class))),
                'why' => Str::limit(Str::before((string) $row->exception, "\n"), 200),
                'at' => (string) $row->failed_at,
            ];
        })->all());
    }
}
