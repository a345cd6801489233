<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Productions\ForgetProduction;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\Specification;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Factories\SheetLinkFactory;
use Tests\Feature\Support\LedgerTestCase;

/** A production from its beginning to its end: what it begins with, archived, deleted, brought back, forgotten. */
final class ProductionsTest extends LedgerTestCase
{
    private function administrator(): void
    {
        $this->withSideTables();
        $this->coordinator->forceFill(['is_administrator' => true])->save();
        $this->actingAs($this->coordinator);
    }

    private function url(string $below = ''): string
    {
        return "/productions/{$this->production->id}{$below}";
    }

    public function test_the_house_begins_with_what_a_preset_asks_of_everything(): void
    {
        $this->administrator();
        $this->post('/productions', [
            'name' => 'Low Water', 'code' => 'LW', 'kind' => 'series', 'preset' => 'hd-1080-25', 'rate' => '',
            'time_zone' => 'Asia/Kathmandu',
        ])->assertSessionHasNoErrors();
        $made = Production::byCode('lw');
        self::assertSame('25', $made->house['require']['time.rate'] ?? null);
        self::assertSame('1920x1080', $made->house['require']['picture.resolution'] ?? null);
        // names, lengths and files are each specification's own
        self::assertSame([], preg_grep('~^(naming|format|delivery|content)\.~', array_keys($made->house['require'])));
        self::assertSame('Asia/Kathmandu', $made->zone());
        // a rate that is said goes before the preset's
        $this->post('/productions', [
            'name' => 'Ebb', 'code' => 'EBB', 'kind' => 'film', 'preset' => 'hd-1080-25', 'rate' => '23.976',
        ])->assertSessionHasNoErrors();
        self::assertSame('24000/1001', Production::byCode('EBB')?->house['require']['time.rate']);
        foreach (['preset' => 'none', 'time_zone' => 'Moon/Sea'] as $field => $wrong) {
            $this->post('/productions', ['name' => 'X', 'code' => 'X', 'kind' => 'film', $field => $wrong])
                ->assertSessionHasErrors($field);
        }
    }

    public function test_what_is_archived_can_be_read_and_not_changed(): void
    {
        $this->actingAs($this->coordinator)->post($this->url('/archive'))->assertSessionHasNoErrors();
        self::assertTrue($this->page($this->url())['book']['production']['archived']);
        $this->page("/deliverables/{$this->deliverable->id}/specification");
        $id = $this->deliverable->id;
        $refused = [
            ['patch', "/deliverables/{$id}/about", ['code' => 'X', 'specification' => 1]],
            ['patch', "/deliverables/{$id}/requirements", ['id' => 'time.rate', 'value' => '25', 'level' => 'must']],
            ['post', "/deliverables/{$id}/checks", ['root' => $this->root(), 'below' => '', 'depth' => 'quick']],
            ['patch', $this->url('/settings'), ['name' => 'X', 'code' => 'TC', 'kind' => 'film']],
            ['post', $this->url('/people'), ['role' => 'artist']],
            ['delete', "/deliverables/{$id}", []],
            ['patch', "/specifications/{$this->deliverable->specification_id}", ['title' => 'X']],
        ];
        foreach ($refused as [$method, $url, $data]) {
            $this->{$method}($url, $data)->assertSessionHasErrors('refused');
        }
        $token = $this->artist->createToken('mine', ['check'])->plainTextToken;
        auth()->logout();
        $this->withToken($token)->postJson('/api/productions/tc/deliverables/TC_010/scene', ['fps' => 24])
            ->assertStatus(422)->assertJsonFragment(['message' => 'The Tide Clock is archived: it can be read, and '
                .'nothing in it changed. Whoever decides there can take it back from the archive.']);
        self::assertSame('TC_010', $this->deliverable->refresh()->code);
        // somebody can be kept out still
        $membership = $this->production->memberships()->where('user_id', $this->other->id)->firstOrFail();
        $this->actingAs($this->coordinator)->delete($this->url("/people/{$membership->id}"))
            ->assertSessionHasNoErrors();
        // what is archived needs nobody
        self::assertSame([], $this->needs());
        $this->delete($this->url('/archive'))->assertSessionHasNoErrors();
        $this->patch($this->url('/settings'), ['name' => 'Tide', 'code' => 'TC', 'kind' => 'film'])
            ->assertSessionHasNoErrors();
        self::assertNotSame([], $this->needs());
    }

    /** @return list<array<string, mixed>> of the page of all productions */
    private function needs(): array
    {
        $this->production->replicate(['code'])->forceFill(['code' => 'ZZ'.random_int(1, 99999)])->save();
        Production::query()->latest('id')->firstOrFail()->memberships()
            ->create(['user_id' => $this->coordinator->id, 'role' => 'coordinator']);

        return $this->page('/')['needs'];
    }

    public function test_a_deleted_one_is_nowhere_until_it_is_brought_back(): void
    {
        $link = SheetLinkFactory::to($this->deliverable)->create();
        $path = $link->path();
        $this->get($path)->assertOk();
        $this->administrator();
        $this->delete($this->url(), ['code' => 'tc'])->assertSessionHasErrors('code');
        $this->delete($this->url(), ['code' => 'TC'])->assertRedirect('/administration');
        $this->get($this->url())->assertNotFound();
        $this->get("/deliverables/{$this->deliverable->id}/frames")->assertForbidden();
        self::assertSame([], $this->getJson('/find?q=TC_010')->json());
        $this->get($path)->assertForbidden();
        // also its owner sees nothing of it
        $this->actingAs($this->artist)->get("/deliverables/{$this->deliverable->id}/frames")->assertForbidden();
        self::assertSame([], $this->page('/')['needs']);
        $this->actingAs($this->coordinator);
        $deleted = $this->page('/administration')['deleted'];
        self::assertSame(['TC'], array_column($deleted, 'code'));
        // its code is not another's meanwhile
        $this->post('/productions', ['name' => 'X', 'code' => 'tc', 'kind' => 'film'])->assertSessionHasErrors('code');
        $this->put($this->url())->assertSessionHasNoErrors();
        $this->get("/deliverables/{$this->deliverable->id}/frames")->assertOk();
        $this->put($this->url())->assertNotFound();
    }

    public function test_whoever_runs_the_installation_need_not_be_in_it(): void
    {
        $this->withSideTables();
        $this->stranger->forceFill(['is_administrator' => true])->save();
        $this->actingAs($this->stranger)->get($this->url())->assertForbidden();
        $this->post($this->url('/archive'))->assertSessionHasNoErrors();
        [$line] = $this->page('/administration')['productions'];
        self::assertSame([true, false], [$line['isArchived'], $line['isIn']]);
        $this->delete($this->url('/archive'))->assertSessionHasNoErrors();
        $this->delete($this->url(), ['code' => 'TC'])->assertRedirect('/administration');
        self::assertSame([], $this->page('/administration')['productions']);
        self::assertContains('Resolution 1920x1080', array_merge(
            ...array_column($this->page('/productions/new')['presets'], 'asks'),
        ));
    }

    public function test_its_days_over_it_is_gone_for_good(): void
    {
        $this->administrator();
        $this->delete($this->url(), ['code' => 'TC']);
        $forget = app(ForgetProduction::class);
        $this->travel(29)->days();
        self::assertSame(0, $forget->overdue());
        $this->travel(2)->days();
        self::assertSame(1, $forget->overdue());
        self::assertSame(0, Production::withTrashed()->count());
        self::assertSame(0, Deliverable::query()->count());
        self::assertSame(0, Specification::query()->count());
        // its files are somebody's still
        self::assertFileExists("{$this->intake->folder}/tide/TC_010/v1/TC_010.1001.png");
        self::assertStringContainsString(
            'deleted the production TC for good',
            (string) json_encode($this->page('/administration/history')['acts']),
        );
    }

    public function test_a_sample_comes_checked_and_goes_with_its_files(): void
    {
        $this->administrator();
        $this->post('/productions/sample')->assertSessionHasNoErrors();
        $sample = Production::byCode('SAMPLE');
        self::assertNotNull($sample);
        $rows = $this->page("/productions/{$sample->id}")['board']['rows'];
        self::assertSame(
            ['BOAT_010' => 'balanced', 'BOAT_020' => 'unbalanced', 'BOAT_030' => 'unbalanced', 'BOAT_040' => null],
            array_column($rows, 'verdict', 'code'),
        );
        self::assertStringContainsString('stopped after frame 1016', (string) $rows[1]['cause']);
        $folder = dirname($sample->intakeRoots()->firstOrFail()->path);
        self::assertDirectoryExists("{$this->intake->folder}/{$folder}/BOAT_010");
        // a second one does not get into its way, and no other goes by this door
        $this->post('/productions/sample')->assertSessionHasNoErrors();
        $this->delete($this->url('/sample'))->assertNotFound();
        $this->delete("/productions/{$sample->id}/sample")->assertRedirect('/');
        self::assertDirectoryDoesNotExist("{$this->intake->folder}/{$folder}");
        self::assertNull(Production::byCode('SAMPLE'));
        self::assertNotNull(Production::byCode('SAMPLE_2'));
        self::assertDirectoryExists("{$this->intake->folder}/tide/TC_010");
    }

    public function test_how_much_it_may_take_is_an_administrators_business(): void
    {
        $this->administrator();
        $this->patch($this->url('/limits'), ['checks' => '1', 'bytes' => null])->assertSessionHasNoErrors();
        $check = fn () => $this->post("/deliverables/{$this->deliverable->id}/checks", [
            'root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick',
        ]);
        $check()->assertSessionHasNoErrors();
        $check()->assertSessionHasErrors();
        $this->patch($this->url('/limits'), ['checks' => '0'])->assertSessionHasErrors('checks');
        $this->patch($this->url('/limits'), ['checks' => null])->assertSessionHasNoErrors();
        $check()->assertSessionHasNoErrors();
        self::assertNull($this->production->refresh()->limits);
    }

    /** @return iterable<string, array{string, string, string}> zone, what is typed, what is kept */
    public static function zones(): iterable
    {
        yield 'east' => ['Asia/Kathmandu', '2026-12-01T18:00', '2026-12-01 12:15:00'];
        yield 'west, in winter' => ['America/New_York', '2026-12-01T18:00', '2026-12-01 23:00:00'];
        yield 'none that there is' => ['Moon/Sea', '2026-12-01T18:00', '2026-12-01 18:00:00'];
    }

    #[DataProvider('zones')]
    public function test_times_are_those_of_the_readers_clock(string $zone, string $typed, string $kept): void
    {
        $this->actingAs($this->coordinator)->withUnencryptedCookie('zone', $zone);
        $this->patch("/deliverables/{$this->deliverable->id}/about", [
            'code' => 'TC_010', 'title' => 'x', 'specification' => $this->deliverable->specification_id,
            'owner' => null, 'due' => $typed,
        ])->assertSessionHasNoErrors();
        self::assertSame($kept, $this->deliverable->refresh()->due_at?->format('Y-m-d H:i:s'));
        $page = $this->page("/deliverables/{$this->deliverable->id}/about");
        self::assertSame($typed, $page['about']['due']);
        self::assertStringContainsString('18:00', $page['deliverable']['due']['at']);
    }
}
