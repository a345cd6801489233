<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\Act;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\HandIn;
use App\Models\HandInMark;
use App\Models\Membership;
use App\Models\Message;
use App\Models\PracticeTry;
use App\Models\Scene;
use Illuminate\Database\Eloquent\Collection;

/** All that a production keeps of one person, in open forms. */
final readonly class LearnerData
{
    public function __construct(private Membership $membership) {}

    /** @return \Generator<string, string> texts by path */
    public function files(): \Generator
    {
        yield 'person.json' => self::json($this->person());
        foreach ($this->owed() as $deliverable) {
            $folder = self::plain($deliverable->code);
            yield "{$folder}/hand-ins.json" => self::json($this->handIns($deliverable));
            foreach (Check::query()->where('deliverable_id', $deliverable->id)->done()->lazyById(20) as $check) {
                yield "{$folder}/check-{$check->id}.json" => self::json($check->account());
            }
            foreach (Scene::query()->where('deliverable_id', $deliverable->id)->lazyById(20) as $scene) {
                yield "{$folder}/scene-{$scene->id}-".self::plain($scene->file_name) => $scene->content;
            }
        }
    }

    /** @return Collection<int, Deliverable> what they answer for, alone or with others */
    public function owed(): Collection
    {
        return $this->membership->production->everything()->owedBy($this->membership->user)->orderBy('code')->get();
    }

    /** @return array<string, mixed> */
    private function person(): array
    {
        $user = $this->membership->user;
        $production = $this->membership->production_id;
        $inIt = ['production_id' => $production];
        $tries = PracticeTry::query()->where('user_id', $user->id)->with('exercise')
            ->whereHas('exercise', static fn ($q) => $q->where($inIt))->get();

        return [
            'name' => $user->name, 'address' => $user->email, 'handle' => $user->handle,
            'role' => $this->membership->role->value, 'number' => $this->membership->number,
            'since' => $this->membership->getAttribute('created_at'),
            'owes' => $this->owed()->map(static fn (Deliverable $d): array => [
                'code' => $d->code, 'title' => $d->title, 'due' => $d->due_at, 'values' => $d->values,
                'granted' => $d->extension?->only('due_at', 'attempts', 'why'),
                'team' => $d->team->pluck('name')->all(),
            ])->all(),
            'practice' => $tries->map(static fn (PracticeTry $t): array => [
                'exercise' => $t->exercise->title, 'answer' => $t->answer, 'marks' => $t->marks,
                'at' => $t->marked_at,
            ])->all(),
            'messages' => Message::query()->where($inIt)->where('to_id', $user->id)->orderBy('id')
                ->get(['subject', 'body', 'created_at'])->toArray(),
            'acts' => Act::query()->where($inIt)->where('user_id', $user->id)->orderBy('id')
                ->get(['what', 'created_at'])->toArray(),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function handIns(Deliverable $deliverable): array
    {
        return array_values($deliverable->handIns->load('marks.person', 'person')->map(static fn (HandIn $h): array => [
            'attempt' => $h->number, 'at' => $h->handed_at, 'by' => $h->person?->name, 'check' => $h->check_id,
            'verdict' => $h->verdict, 'lines' => $h->lines, 'causes' => $h->causes, 'agreed' => $h->agreed,
            'returned' => $h->returned_at, 'why' => $h->returned_why,
            'marks' => $h->marks->map(static fn (HandInMark $m): array => [
                'by' => $m->person->name, 'points' => $m->points, 'remark' => $m->remark,
            ])->all(),
        ])->all());
    }

    /** @param  array<mixed>  $data */
    private static function json(array $data): string
    {
        $how = JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

        return json_encode($data, $how)."\n";
    }

    private static function plain(string $name): string
    {
        return ltrim((string) preg_replace('~[^A-Za-z0-9_.-]~', '_', $name), '.');
    }
}
