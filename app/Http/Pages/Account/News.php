<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Notice;
use App\Models\NoticeKind;
use App\Models\User;

/** What is new for somebody, and which checks are under way. */
final readonly class News
{
    private const MOST = 5;

    public int $unread;

    /** By which the next question says what is known already. */
    public int $newest;

    /** @var list<array{says: string, url: string, kind: NoticeKind}> since what is known, the newest first */
    public array $since;

    /** @var list<int> deliverables that are being checked */
    public array $underWay;

    public function __construct(User $reader, int $after)
    {
        $this->unread = $reader->notices()->whereNull('read_at')->count();
        $this->newest = (int) $reader->notices()->max('id');
        $since = $after === 0 ? [] : $reader->notices()->where('id', '>', $after)->whereNull('read_at')
            ->orderByDesc('id')->limit(self::MOST)->get()->all();
        $this->since = array_values(array_map(
            static fn (Notice $n): array => ['says' => $n->says, 'url' => $n->url, 'kind' => $n->kind],
            $since,
        ));
        $this->underWay = array_values(Check::query()->underWay()
            ->whereIn('deliverable_id', Deliverable::query()->openTo($reader)->select('id'))
            ->distinct()->pluck('deliverable_id')->map(static fn (mixed $id): int => (int) $id)->all());
    }
}
