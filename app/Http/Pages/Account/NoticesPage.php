<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use App\Http\Moment;
use App\Http\Pages\RendersPage;
use App\Models\Message;
use App\Models\Notice;
use App\Models\NoticeKind;
use App\Models\User;
use App\Notices\Tell;

/** What somebody was told, and what they want to be told. */
final readonly class NoticesPage
{
    use RendersPage;

    private const MOST = 200;

    private const MOST_MESSAGES = 20;

    /** @var list<array{id: int, says: string, url: string, at: string, production: string, isNew: bool}> */
    public array $notices;

    /** @var list<array{id: int, by: string, production: string, subject: string, body: string, at: string}> */
    public array $messages;

    /** @var list<array{kind: NoticeKind, says: string, page: bool, mail: bool}> */
    public array $wishes;

    /** Whether mail leaves this installation. */
    public bool $mails;

    public function __construct(User $reader)
    {
        $notices = $reader->notices()->with('production')->orderByDesc('updated_at')->limit(self::MOST)->get();
        $this->notices = array_values($notices->map(static fn (Notice $n): array => [
            'id' => $n->id, 'says' => $n->says, 'url' => $n->url, 'at' => Moment::told($n->updated_at),
            'production' => $n->production->name, 'isNew' => $n->read_at === null,
        ])->all());
        // of a production that somebody has left nothing is shown any more
        $messages = Message::query()->where('to_id', $reader->id)
            ->whereIn('production_id', $reader->memberships()->select('production_id'))
            ->with('by', 'production')->latest('id')
            ->limit(self::MOST_MESSAGES)->get();
        $this->messages = array_values($messages->map(static fn (Message $m): array => [
            'id' => $m->id, 'by' => (string) $m->by?->name, 'production' => $m->production->name,
            'subject' => $m->subject, 'body' => $m->body, 'at' => Moment::told($m->created_at),
        ])->all());
        $this->wishes = array_map(static fn (NoticeKind $k): array => [
            'kind' => $k, 'says' => $k->inWords(), 'page' => $reader->wishes($k, 'page'),
            'mail' => $reader->wishes($k, 'mail'),
        ], NoticeKind::cases());
        $this->mails = Tell::mails();
    }
}
