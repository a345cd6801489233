<?php

declare(strict_types=1);

namespace App\Http\Pages\People;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Production;
use App\Models\Role;
use App\Models\User;

/** Who belongs to a production, and who was asked to. */
final readonly class PeoplePage
{
    use RendersPage;

    public Book $book;

    /**
     * @var list<array{id: int, name: string, email: string, handle: string, number: string|null, role: Role,
     *   owes: int, isReader: bool}>
     */
    public array $members;

    /** @var list<array{id: int, name: string, email: string, role: Role, until: string}> */
    public array $invited;

    /** @var list<Role> those that fit its kind first */
    public array $roles;

    /** @var list<array{name: string, email: string, link: string}> links that are shown this once */
    public array $fresh;

    /** @param  list<array{name: string, email: string, link: string}>  $fresh */
    public function __construct(Production $production, User $reader, array $fresh)
    {
        $this->fresh = $fresh;
        $this->book = new Book($production, $reader);
        $owes = $production->deliverables()->whereNotNull('owner_id')->pluck('owner_id')->countBy();
        $members = $production->memberships()->with('user')->get()->sortBy(
            static fn (Membership $m): array => [$m->role->decides() ? 0 : 1, mb_strtolower($m->user->name)],
        );
        $this->members = array_values($members->map(static fn (Membership $m): array => [
            'id' => $m->id, 'name' => $m->user->name, 'email' => $m->user->email, 'handle' => $m->user->handle,
            'number' => $m->number, 'role' => $m->role, 'owes' => (int) $owes->get($m->user_id, 0),
            'isReader' => $m->user_id === $reader->id,
        ])->all());
        $open = $production->invitations()->whereNull('used_at')->where('expires_at', '>', now())
            ->orderByDesc('id')->limit(500)->get();
        $this->invited = array_values($open->map(static fn (Invitation $i): array => [
            'id' => $i->id, 'name' => $i->name ?? '', 'email' => $i->email ?? '', 'role' => $i->role ?? Role::Artist,
            'until' => $i->expires_at->toIso8601String(),
        ])->all());
        $this->roles = $production->kind === 'course'
            ? [Role::Learner, Role::Instructor, Role::Coordinator, Role::Artist]
            : [Role::Artist, Role::Coordinator, Role::Instructor, Role::Learner];
    }
}
