<?php

declare(strict_types=1);

namespace App\Actions\Messages;

use App\Models\Invitation;
use App\Models\InvitationKind;
use App\Models\Message;
use App\Models\Production;
use App\Models\User;
use App\Notices\InvitationMail;
use Illuminate\Support\Carbon;

/** What stands in an outbox to be sent: a message to an owner, or a link by which somebody comes in. */
final readonly class OutboxLetter
{
    /** @param  int|null  $message  its id; null of an invitation */
    private function __construct(
        public ?int $message,
        public string $to,
        public string $address,
        public ?User $by,
        public string $subject,
        public string $body,
        public Carbon $at,
    ) {}

    /** @return list<self> of a production, the newest first */
    public static function all(Production $production): array
    {
        $letters = [];
        foreach ($production->newestMessages() as $message) {
            $letters[] = self::ofMessage($message);
        }
        $invitations = Invitation::query()->where('production_id', $production->id)->whereNotNull('link')
            ->whereNull('used_at')->with('by')->get();
        foreach ($invitations as $invitation) {
            $link = $invitation->openLink();
            if ($link !== null) {
                $letters[] = self::ofInvitation($invitation, $production, $link);
            }
        }
        usort($letters, static fn (self $a, self $b): int => $b->at <=> $a->at);

        return $letters;
    }

    private static function ofMessage(Message $message): self
    {
        return new self(
            $message->id,
            $message->to->name,
            $message->to->email,
            $message->by,
            $message->subject,
            $message->body,
            $message->created_at,
        );
    }

    private static function ofInvitation(Invitation $invitation, Production $production, string $link): self
    {
        $name = (string) $invitation->name;
        $by = (string) $invitation->by?->name;
        $days = InvitationKind::Member->days();
        $mail = new InvitationMail($name, $production->name, $by, $link, $days);

        return new self(
            null,
            $name === '' ? (string) $invitation->email : $name,
            (string) $invitation->email,
            $invitation->by,
            "{$production->name}: you are invited",
            $mail->render(),
            $invitation->created_at,
        );
    }
}
