<?php

declare(strict_types=1);

namespace App\Http\Pages\People;

use App\Http\Pages\RendersPage;
use App\Models\Invitation;
use App\Models\InvitationKind;
use App\Models\Role;
use App\Models\User;

/** What a link is for, for whoever has it; nothing of anything else. */
final readonly class JoinPage
{
    use RendersPage;

    public ?InvitationKind $kind;

    public ?string $production;

    public ?Role $role;

    public string $name;

    public string $email;

    /** Who is signed in, and may take it up as they are. */
    public ?string $reader;

    /** @param  Invitation|null  $invitation  none where the link is not known */
    public function __construct(?Invitation $invitation, public string $word, ?User $reader)
    {
        $open = $invitation?->isOpen() === true ? $invitation : null;
        $this->reader = $reader?->name;
        $this->kind = $open?->kind;
        $this->production = $open?->production?->name;
        $this->role = $open?->role;
        [$this->name, $this->email] = $open === null ? ['', ''] : self::whose($open);
    }

    /** @return array{string, string} name and address, as far as they are known */
    private static function whose(Invitation $open): array
    {
        $person = $open->kind === InvitationKind::Password ? $open->user : $open;

        return [$person->name ?? '', $person->email ?? ''];
    }
}
