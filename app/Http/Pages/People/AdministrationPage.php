<?php

declare(strict_types=1);

namespace App\Http\Pages\People;

use App\Actions\Productions\ForgetProduction;
use App\Database\Backup;
use App\Database\Restore;
use App\Health\Health;
use App\Health\StorageUse;
use App\Http\Moment;
use App\Http\Pages\RendersPage;
use App\Models\Production;
use App\Models\User;
use App\Queue\Waiting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PlainLedger\Core\Measure\ByteSize;

/** The installation: its people, its productions, and how it stands. */
final readonly class AdministrationPage
{
    use RendersPage;

    private const MOST_FAILED = 50;

    /**
     * @var list<array{id: int, name: string, email: string, productions: list<string>, isAdministrator: bool,
     *   isDisabled: bool, isReader: bool, hasCodes: bool}>
     */
    public array $people;

    /**
     * @var list<array{id: int, code: string, name: string, kind: string, people: int, deliverables: int,
     *   isArchived: bool, isSample: bool, isIn: bool}>
     */
    public array $productions;

    /** @var list<array{id: int, code: string, name: string, until: string}> deleted, and not forgotten yet */
    public array $deleted;

    /** @var list<array{what: string, says: string, well: bool}> */
    public array $health;

    /** @var array{newest: string|null, many: int, folder: string} */
    public array $backups;

    /** Bytes that databases and files of the ledger take. */
    public string $storage;

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
            'isReader' => $u->id === $reader->id, 'hasCodes' => $u->codes_since !== null,
        ])->all());
        $own = $reader->memberships()->pluck('production_id')->all();
        $all = Production::query()->withCount('memberships', 'deliverables')->orderBy('name')->get();
        $this->productions = array_values($all->map(static fn (Production $p): array => [
            'id' => $p->id, 'code' => $p->code, 'name' => $p->name, 'kind' => $p->kind,
            'people' => (int) $p->getAttribute('memberships_count'),
            'deliverables' => (int) $p->getAttribute('deliverables_count'),
            'isArchived' => $p->archived_at !== null, 'isSample' => $p->is_sample,
            'isIn' => in_array($p->id, $own, true),
        ])->all());
        $deleted = Production::onlyTrashed()->orderBy('name')->get();
        $this->deleted = array_values($deleted->map(static fn (Production $p): array => [
            'id' => $p->id, 'code' => $p->code, 'name' => $p->name,
            'until' => $p->deleted_at === null
                ? '' : Moment::day($p->deleted_at->addDays(ForgetProduction::KEPT_DAYS)),
        ])->all());
        $health = Health::now();
        $this->health = array_map(
            static fn (string $what, array $line): array => [
                'what' => $what, 'says' => $line['says'], 'well' => $line['well'],
            ],
            array_keys($health),
            array_values($health),
        );
        $this->waiting = Waiting::count();
        $moments = Restore::moments();
        $made = $moments === [] ? null : Carbon::createFromFormat('Ymd-His', $moments[0], 'UTC');
        $this->backups = [
            'newest' => $made === null ? null : Moment::told($made), 'many' => count($moments),
            'folder' => Backup::folder(),
        ];
        $this->storage = (string) ByteSize::of(StorageUse::bytes());
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
