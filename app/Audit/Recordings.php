<?php

declare(strict_types=1);

namespace App\Audit;

use App\Models\About;
use App\Models\Change;
use App\Models\Deliverable;
use App\Models\FileMove;
use App\Models\IntakeRoot;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Preset;
use App\Models\Production;
use App\Models\SheetLink;
use App\Models\Specification;
use App\Models\Submission;
use App\Models\User;
use App\Models\Waiver;
use App\Models\Webhook;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Str;
use PlainLedger\Core\Text\Text;

/** Everything of which each change is written down. What is asked is told by its changes, checks tell of themselves. */
final readonly class Recordings
{
    public static function begin(): void
    {
        $own = static fn (Model $row): int => (int) $row->getAttribute('production_id');
        self::ofProductions($own);
        self::ofWork($own);
        self::ofPeople($own);
    }

    /** @param  \Closure(Model): int  $own */
    private static function ofProductions(\Closure $own): void
    {
        (new Recorded(
            Production::class,
            About::Production,
            static fn (Production $p): string => "the production {$p->code}",
            [
                'code' => 'the code', 'name' => 'the name', 'kind' => 'the kind', 'time_zone' => 'the time zone',
                'limits' => 'the limits', 'retention' => 'how long checks are kept',
                'field_map' => 'other names for settings', 'log_shapes' => 'log patterns',
                'pool' => 'the machines', 'archived_at' => 'archived|took back from the archive',
                'deleted_at' => 'deleted|brought back',
            ],
            static fn (Production $p): ?int => $p->exists ? $p->id : null,
        ))->observe();
        (new Recorded(
            IntakeRoot::class,
            About::Production,
            static fn (IntakeRoot $r): string => "the intake folder “{$r->label}” ({$r->path})",
            ['label' => 'the name', 'path' => 'the path'],
            $own,
        ))->observe();
        (new Recorded(
            Specification::class,
            About::Specification,
            static fn (Specification $s): string => "the specification “{$s->title}”",
            ['title' => 'the title', 'retired_at' => 'retired|took back into use'],
            $own,
        ))->observe();
        (new Recorded(
            Webhook::class,
            About::Production,
            static fn (Webhook $w): string => "the address {$w->url}, which is called",
            [],
            $own,
        ))->observe();
        (new Recorded(
            Preset::class,
            About::Specification,
            static fn (Preset $p): string => "the preset “{$p->title}”",
            ['title' => 'the title'],
            $own,
        ))->observe();
    }

    /** @param  \Closure(Model): int  $own */
    private static function ofWork(\Closure $own): void
    {
        (new Recorded(
            Deliverable::class,
            About::Deliverable,
            static fn (Deliverable $d): string => $d->code,
            [
                'code' => 'the code', 'title' => 'the title', 'owner_id' => 'the owner', 'due_at' => 'the due time',
                'specification_id' => 'the specification', 'put_away_at' => 'put away|put back',
            ],
            $own,
        ))->observe();
        (new Recorded(
            Waiver::class,
            About::Acceptance,
            static fn (Waiver $w): string => "“{$w->entry}” as it is in "
                .self::whose($w->deliverable_id, $w->specification_id).': '.$w->reason,
            ['ended_at' => 'stopped to accept|accepted again'],
            $own,
        ))->observe();
        $deliverables = static fn (Model $row): ?int => Deliverable::query()
            ->whereKey($row->getAttribute('deliverable_id'))->value('production_id');
        (new Recorded(
            FileMove::class,
            About::Files,
            static fn (FileMove $m): string => 'the moving of '.Text::count($m->files, 'file').' of '
                .self::whose($m->deliverable_id, null),
            ['undone_at' => 'took back|made again'],
            $deliverables,
        ))->observe();
        (new Recorded(
            SheetLink::class,
            About::Link,
            static fn (SheetLink $l): string => "a link ({$l->kind->value}) to ".self::whose($l->deliverable_id, null),
            ['revoked_at' => 'closed|opened again'],
            $deliverables,
        ))->observe();
        (new Recorded(
            Submission::class,
            About::Submission,
            static fn (Submission $s): string => 'a sign-off of '.self::whose($s->deliverable_id, null),
            [],
            $deliverables,
        ))->observe();
        Change::created(static fn (Change $c) => Trail::note(About::Requirement, self::asked($c), $c->production_id));
        Change::updated(static fn (Change $c) => $c->wasChanged('undone') ? Trail::note(
            About::Requirement,
            ($c->undone ? 'took back: ' : 'made again: ').self::asked($c),
            $c->production_id,
        ) : null);
    }

    /** @param  \Closure(Model): int  $own */
    private static function ofPeople(\Closure $own): void
    {
        (new Recorded(
            Membership::class,
            About::People,
            static fn (Membership $m): string => User::query()->whereKey($m->user_id)->value('name')
                .", {$m->role->value}",
            ['role' => 'the role'],
            $own,
        ))->observe();
        (new Recorded(
            Invitation::class,
            About::People,
            static fn (Invitation $i): string => "a link ({$i->kind->value}) for "
                .($i->name ?? $i->email ?? $i->user->name ?? 'anybody'),
            [],
            static fn (Invitation $i): ?int => $i->production_id,
        ))->observe();
        (new Recorded(
            User::class,
            About::Account,
            static fn (User $u): string => "the account of {$u->name}",
            [
                'name' => 'the name', 'email' => 'the address', 'disabled_at' => 'disabled|enabled',
                'is_administrator' => 'made an administrator:|took the administration from',
                'codes_since' => 'began one-time codes for|ended one-time codes for',
                'password' => 'set the password of|set the password of',
            ],
            static fn (User $u): ?int => null,
        ))->observe();
    }

    private static function whose(?int $deliverable, ?int $specification): string
    {
        return $deliverable !== null
            ? (string) Deliverable::query()->whereKey($deliverable)->value('code')
            : 'all that follow “'.Specification::query()->whereKey($specification)->value('title').'”';
    }

    private static function asked(Change $change): string
    {
        $where = match (true) {
            $change->deliverable_id === null && $change->specification_id === null => 'the house requirements',
            default => self::whose($change->deliverable_id, $change->specification_id),
        };
        $part = $change->part === '' ? '' : " ({$change->part})";
        $shown = static fn (?string $json): string => match (true) {
            $json === null => 'nothing',
            is_scalar($value = json_decode($json)) => '“'.Str::limit((string) $value, 200, '…').'”',
            default => Str::limit($json, 200, '…'),
        };

        return "changed {$change->key}{$part} in {$where} from {$shown($change->before)} to {$shown($change->after)}";
    }
}
