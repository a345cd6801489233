<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Act;
use App\Models\Deliverable;
use App\Models\SavedView;
use Tests\Feature\Support\LedgerTestCase;

/** Who changed what is written down and found again; and what is done to many at once. */
final class HistoryTest extends LedgerTestCase
{
    private function url(string $below = ''): string
    {
        return "/productions/{$this->production->id}{$below}";
    }

    /** @return list<string> the newest first */
    private function told(string $query = ''): array
    {
        return array_map(
            static fn (array $act): string => "{$act['who']} {$act['what']}",
            $this->page($this->url("/history{$query}"))['acts'],
        );
    }

    public function test_each_change_is_told_with_who_and_from_what_to_what(): void
    {
        Act::query()->delete();
        $this->actingAs($this->coordinator);
        $id = $this->deliverable->id;
        $this->patch("/deliverables/{$id}/about", [
            'code' => 'TC_011', 'title' => 'a shot', 'specification' => $this->deliverable->specification_id,
            'owner' => $this->other->id, 'due' => '2026-12-24T12:00',
        ])->assertSessionHasNoErrors();
        $this->patch("/deliverables/{$id}/requirements", [
            'id' => 'time.rate', 'value' => '25', 'level' => 'must', 'scope' => 'deliverable',
        ])->assertSessionHasNoErrors();
        $change = Act::query()->where('about', 'requirement')->firstOrFail();
        $this->post("/deliverables/{$id}/away");
        $membership = $this->production->memberships()->where('user_id', $this->other->id)->firstOrFail();
        $this->patch($this->url("/people/{$membership->id}"), ['role' => 'coordinator']);
        $this->delete($this->url("/people/{$membership->id}"));
        $this->post($this->url('/roots'), ['label' => 'More', 'path' => 'tide/more']);
        $told = $this->told();
        self::assertSame('Coordinator added the intake folder “More” (tide/more)', $told[0]);
        self::assertSame('Coordinator removed Other, coordinator', $told[1]);
        self::assertSame('Coordinator changed the role of Other, coordinator from artist to coordinator', $told[2]);
        self::assertSame('Coordinator put away TC_011', $told[3]);
        self::assertStringContainsString('changed time.rate in TC_011 from nothing to “25”', $told[4]);
        $about = implode("\n", array_slice($told, 5));
        self::assertStringContainsString('changed the code of TC_011 from “TC_010” to “TC_011”', $about);
        self::assertStringContainsString('changed the owner of TC_011 from “Artist” to “Other”', $about);
        self::assertStringContainsString('to 2026-12-24 12:00 UTC', $about);
        self::assertSame($this->coordinator->id, $change->user_id);
        // what somebody did stays, also when they are gone
        $this->coordinator->forceFill(['name' => 'Another'])->save();
        self::assertStringStartsWith('Coordinator ', $this->told()[0]);
    }

    public function test_acts_are_found_by_subject_person_words_and_days_and_taken_along(): void
    {
        $this->actingAs($this->coordinator);
        Act::query()->delete();
        $this->post("/deliverables/{$this->deliverable->id}/away");
        $this->travel(3)->days();
        $this->delete("/deliverables/{$this->deliverable->id}/away");
        $this->post($this->url('/roots'), ['label' => '100 % =cmd', 'path' => 'tide/more']);
        self::assertCount(3, $this->told());
        self::assertSame(
            ['Coordinator put back TC_010', 'Coordinator put away TC_010'],
            $this->told('?about=deliverable'),
        );
        self::assertCount(1, $this->told('?text=100+%25'));
        self::assertCount(0, $this->told('?text=100_%25'));
        self::assertCount(0, $this->told('?who=Nobody'));
        $today = now()->format('Y-m-d');
        self::assertCount(2, $this->told("?from={$today}&until={$today}"));
        self::assertCount(1, $this->told('?until='.now()->subDay()->format('Y-m-d')));
        // what is no filter is none
        self::assertCount(3, $this->told('?about[]=x&from=yesterday&page=-1&until=2026-13-77'));
        $csv = (string) $this->get($this->url('/history.csv?about=production'))->assertOk()->getContent();
        self::assertSame(2, substr_count(trim($csv), "\n") + 1);
        self::assertStringContainsString('100 % =cmd', $csv);
        $json = $this->get($this->url('/history.json'))->assertOk()->json();
        self::assertSame(['at', 'who', 'about', 'what'], array_keys($json[0]));
        // another's history is another's
        self::assertSame(0, Act::query()->whereNull('production_id')->where('what', 'like', '%TC_010%')->count());
    }

    public function test_many_are_given_an_owner_a_time_and_a_specification_together(): void
    {
        $this->actingAs($this->coordinator);
        $both = [$this->deliverable->id, $this->others->id];
        $second = $this->production->specifications()->create(['title' => 'Movies']);
        $second->revise(['delivers' => 'movie', 'require' => ['format.kind' => 'mp4']], $this->coordinator);
        $this->patch($this->url('/deliverables'), [
            'ids' => $both, 'owner' => $this->other->id, 'due' => '2027-01-02T03:04', 'specification' => $second->id,
        ])->assertSessionHasNoErrors();
        foreach (Deliverable::query()->get() as $each) {
            self::assertSame($this->other->id, $each->owner_id);
            self::assertSame('2027-01-02 03:04', $each->due_at?->format('Y-m-d H:i'));
            self::assertSame(['movie'], $each->parts()->pluck('name')->all());
        }
        // what is not said stays as it is
        $this->patch($this->url('/deliverables'), ['ids' => [$this->others->id], 'owner' => null]);
        self::assertNull($this->others->refresh()->owner_id);
        self::assertNotNull($this->others->due_at);
        $this->patch($this->url('/deliverables'), ['ids' => $both, 'away' => true]);
        self::assertSame([], $this->page($this->url())['board']['rows']);
        self::assertCount(2, $this->page($this->url())['away']);
        $this->patch($this->url('/deliverables'), ['ids' => []])->assertSessionHasErrors('ids');
        $this->patch($this->url('/deliverables'), ['ids' => $both, 'owner' => $this->stranger->id])
            ->assertSessionHasErrors('owner');
        $this->patch($this->url('/deliverables'), ['ids' => $both, 'due' => 'soon'])->assertSessionHasErrors('due');
    }

    public function test_those_of_another_production_are_left_alone(): void
    {
        $elsewhere = $this->production->replicate()->forceFill(['code' => 'EL']);
        $elsewhere->save();
        $elsewhere->memberships()->create(['user_id' => $this->stranger->id, 'role' => 'coordinator']);
        $this->actingAs($this->stranger)->patch("/productions/{$elsewhere->id}/deliverables", [
            'ids' => [$this->deliverable->id], 'away' => true,
        ])->assertSessionHasNoErrors();
        self::assertNull($this->deliverable->refresh()->put_away_at);
    }

    public function test_a_specification_is_duplicated_retired_and_deleted_where_nothing_follows_it(): void
    {
        $this->actingAs($this->coordinator);
        $own = $this->deliverable->specification;
        $this->post("/specifications/{$own->id}/copy")->assertSessionHasNoErrors();
        $this->post("/specifications/{$own->id}/copy")->assertSessionHasNoErrors();
        $titles = fn (): array => array_column($this->page($this->url('/specifications'))['specifications'], 'title');
        self::assertSame(['Lit frames', 'Lit frames, copy', 'Lit frames, copy 2'], $titles());
        $copy = $this->production->specifications()->where('title', 'Lit frames, copy')->firstOrFail();
        self::assertSame($own->latest->data['require'], $copy->latest->data['require']);
        $this->put("/specifications/{$own->id}/retired", ['retired' => true]);
        $offered = array_column($this->page($this->url('/deliverables/new'))['specifications'], 'title');
        self::assertSame(['Lit frames, copy', 'Lit frames, copy 2'], $offered);
        // what follows it keeps it
        $about = $this->page("/deliverables/{$this->deliverable->id}/about");
        self::assertContains('Lit frames', array_column($about['specifications'], 'title'));
        $this->delete("/specifications/{$own->id}")->assertSessionHasErrors('refused');
        $this->delete("/specifications/{$copy->id}")->assertSessionHasNoErrors();
        self::assertSame(['Lit frames, copy 2', 'Lit frames'], $titles());
        $this->put("/specifications/{$own->id}/retired", ['retired' => false]);
        self::assertSame(['Lit frames', 'Lit frames, copy 2'], $titles());
    }

    public function test_a_view_is_kept_for_whoever_kept_it(): void
    {
        $view = [
            'name' => 'Late ones', 'which' => 'late', 'text' => 'fog', 'specification' => null, 'by' => 'due',
            'down' => true, 'columns' => ['due', 'trouble'],
        ];
        $this->actingAs($this->coordinator)->post($this->url('/views'), $view)->assertSessionHasNoErrors();
        $this->post($this->url('/views'), ['columns' => ['due']] + $view)->assertSessionHasNoErrors();
        $kept = $this->page($this->url())['views'];
        self::assertSame([['Late ones', ['due']]], array_map(static fn (array $v): array => [
            $v['name'], $v['columns'],
        ], $kept));
        $this->production->memberships()->where('user_id', $this->other->id)->update(['role' => 'coordinator']);
        $this->actingAs($this->other);
        self::assertSame([], $this->page($this->url())['views']);
        $this->delete("/views/{$kept[0]['id']}")->assertForbidden();
        $this->actingAs($this->coordinator)->delete("/views/{$kept[0]['id']}")->assertSessionHasNoErrors();
        self::assertSame(0, SavedView::query()->count());
        $this->post($this->url('/views'), ['name' => ''] + $view)->assertSessionHasErrors('name');
    }
}
