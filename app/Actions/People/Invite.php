<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\Invitation;
use App\Models\InvitationKind;
use App\Models\Production;
use App\Models\Role;
use App\Models\User;
use App\Notices\InvitationMail;
use App\Notices\Tell;
use App\Security\SecurityLog;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\Mail;

/**
 * Makes links by which people come in. What stands in one is told once, and only its hash is kept; of those into a
 * production the outbox has it too, under the installation's key, until it is used.
 */
final readonly class Invite
{
    /**
     * @param  array{name: string, email: string, number?: string}  $whom  each may be empty
     * @return string the link
     */
    public function member(Production $production, Role $role, array $whom, User $by): string
    {
        ['name' => $name, 'email' => $email] = $whom;
        $told = static fn (string $text): ?string => $text === '' ? null : $text;
        $link = $this->link(InvitationKind::Member, [
            'production_id' => $production->id, 'role' => $role, 'name' => $told($name),
            'email' => $told(mb_strtolower($email)), 'number' => $told($whom['number'] ?? ''), 'by_id' => $by->id,
        ]);
        if ($email !== '' && Tell::mails()) {
            $days = InvitationKind::Member->days();
            Mail::to($email)->queue(new InvitationMail($name, $production->name, $by->name, $link, $days));
        }

        return $link;
    }

    /** Whoever follows it runs the installation; those before it end. */
    public function administrator(): string
    {
        Invitation::query()->where('kind', InvitationKind::Administrator)->whereNull('used_at')->delete();

        return $this->link(InvitationKind::Administrator, []);
    }

    /** For a new password; those before it end. */
    public function password(User $person, ?User $by): string
    {
        $mine = Invitation::query()->where('kind', InvitationKind::Password)->where('user_id', $person->id);
        $mine->whereNull('used_at')->delete();

        return $this->link(InvitationKind::Password, ['user_id' => $person->id, 'by_id' => $by?->id]);
    }

    /** @param  array<string, mixed>  $for */
    private function link(InvitationKind $kind, array $for): string
    {
        $word = bin2hex(random_bytes(24));
        $link = route('join', $word);
        $made = Invitation::query()->create($for + [
            'link' => $kind === InvitationKind::Member ? Crypt::encryptString($link) : null,
            'kind' => $kind, 'token' => Invitation::hash($word), 'expires_at' => Carbon::now()->addDays($kind->days()),
        ]);
        SecurityLog::note('link made', ['kind' => $kind->value, 'invitation' => $made->id]);

        return $link;
    }
}
