<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Deliverable;
use Tests\Feature\Support\LedgerTestCase;

/** Deliverables are renamed, given to others, duplicated, put away and put back. */
final class AboutTest extends LedgerTestCase
{
    private string $of;

    protected function setUp(): void
    {
        parent::setUp();
        $this->of = "/deliverables/{$this->deliverable->id}";
        $this->actingAs($this->coordinator);
    }

    /** @return list<string> */
    private function codes(): array
    {
        return array_column($this->index(), 'code');
    }

    public function test_what_it_is_called_and_who_owes_it(): void
    {
        $other = $this->production->specifications()->create(['title' => 'A still']);
        $other->revise(['delivers' => 'still', 'require' => ['naming.pattern' => '{shot}.{ext}']], null);
        $about = $this->page("{$this->of}/about")['about'];
        self::assertSame(['TC_010', $this->artist->id], [$about['code'], $about['owner']]);
        $this->patch("{$this->of}/about", [
            'code' => 'TC_015', 'title' => 'lamp room', 'specification' => $other->id, 'owner' => $this->other->id,
            'due' => '2027-01-05T12:00',
        ])->assertSessionHasNoErrors();
        $now = $this->deliverable->refresh();
        self::assertSame(['TC_015', 'lamp room', $this->other->id, '2027-01-05 12:00', ['still']], [
            $now->code, $now->title, $now->owner_id, $now->due_at?->format('Y-m-d H:i'),
            $now->parts()->pluck('name')->all(),
        ]);
        // at once another's, and not the artist's any more
        $this->actingAs($this->artist)->get("{$this->of}/frames")->assertForbidden();
        $this->actingAs($this->other)->get("{$this->of}/frames")->assertOk();
    }

    public function test_what_cannot_be_is_told(): void
    {
        $right = ['code' => 'TC_010', 'specification' => $this->deliverable->specification_id];
        foreach ([
            'code' => ['code' => 'tc_020'], 'specification' => ['specification' => 999],
            'owner' => ['owner' => $this->stranger->id], 'due' => ['due' => 'soon'],
        ] as $field => $wrong) {
            $this->patch("{$this->of}/about", $wrong + $right)->assertSessionHasErrors($field);
        }
        $this->patch("{$this->of}/about", ['code' => '../x'] + $right)->assertSessionHasErrors('code');
    }

    public function test_another_like_it(): void
    {
        $this->post("{$this->of}/copy", ['code' => 'TC_010'])->assertSessionHasErrors('code');
        $this->post("{$this->of}/copy", ['code' => 'TC_012'])->assertSessionHasNoErrors();
        $copy = Deliverable::query()->where('code', 'TC_012')->firstOrFail();
        self::assertSame([null, $this->deliverable->overrides, ['frames']], [
            $copy->owner_id, $copy->overrides, $copy->parts()->pluck('name')->all(),
        ]);
    }

    public function test_put_away_it_is_in_no_list_and_can_be_put_back(): void
    {
        $this->post("{$this->of}/away")->assertRedirect("/productions/{$this->production->id}");
        self::assertSame(['TC_020'], $this->codes());
        self::assertSame(['TC_010'], array_column(
            $this->page("/productions/{$this->production->id}")['away'],
            'code',
        ));
        $board = $this->page("/productions/{$this->production->id}");
        self::assertStringNotContainsString('TC_010', (string) json_encode($board['rows'] ?? $board['board']));
        // its code stays taken
        $this->post("/productions/{$this->production->id}/deliverables", ['code' => 'TC_010'])
            ->assertSessionHasErrors('code');
        $this->delete("{$this->of}/away")->assertSessionHasNoErrors();
        self::assertSame(['TC_010', 'TC_020'], $this->codes());
    }

    public function test_for_good_only_what_was_put_away_and_by_its_code(): void
    {
        $this->delete($this->of, ['code' => 'TC_010'])->assertSessionHasErrors('code');
        $this->post("{$this->of}/away");
        $this->delete($this->of, ['code' => 'TC_01'])->assertSessionHasErrors('code');
        $this->delete($this->of, ['code' => 'TC_010'])->assertSessionHasNoErrors();
        self::assertNull(Deliverable::query()->find($this->deliverable->id));
        self::assertFileExists("{$this->intake->folder}/tide/TC_010/v1/TC_010.1001.png");
    }

    public function test_one_that_was_put_away_is_owed_again_where_a_list_names_it(): void
    {
        $this->post("{$this->of}/away");
        $of = "/productions/{$this->production->id}/list";
        $list = ['specification' => $this->deliverable->specification_id, 'text' => "shot,title\nTC_010,quay\n"];
        $seal = $this->postJson("{$of}/read", $list)->assertOk()->json('seal');
        $this->post($of, $list + ['seal' => $seal])->assertSessionHasNoErrors();
        self::assertSame(['TC_010', 'TC_020'], $this->codes());
        self::assertSame('quay', $this->deliverable->refresh()->title);
    }
}
