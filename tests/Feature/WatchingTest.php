<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Watches\WatchLook;
use App\Models\FolderWatch;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;

/** A folder that a render fills, followed until it stands still. */
final class WatchingTest extends LedgerTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->withSideTables();
        $this->actingAs($this->artist);
    }

    private function follow(string $below = 'TC_010/v1'): FolderWatch
    {
        $this->post("/deliverables/{$this->deliverable->id}/watch", ['root' => $this->root(), 'below' => $below])
            ->assertSessionHasNoErrors()
            ->assertRedirect();

        return FolderWatch::query()->where('deliverable_id', $this->deliverable->id)->firstOrFail();
    }

    private function look(FolderWatch $watch): void
    {
        app()->call([new WatchLook($watch->id, $watch->created_at->toIso8601String()), 'handle']);
    }

    /** @return array<string, mixed>|null */
    private function shown(): ?array
    {
        return $this->page("/deliverables/{$this->deliverable->id}/frames")['watch'];
    }

    public function test_it_tells_what_is_there_and_how_fast_more_comes(): void
    {
        $watch = $this->follow();
        self::assertSame([6, 10], [$this->shown()['pictures'] ?? null, $this->shown()['expected'] ?? null]);
        $this->intake->put('tide/TC_010/v1/TC_010.1007.png', Workbench::png())
            ->put('tide/TC_010/v1/TC_010.1008.png', Workbench::png());
        $this->travel(60)->seconds();
        $this->look($watch);
        $shown = $this->shown();
        self::assertSame([8, '2.0'], [$shown['pictures'] ?? null, $shown['perMinute'] ?? null]);
        self::assertNotNull($shown['readyAt']);
        self::assertSame(0, $this->deliverable->checks()->count());
    }

    public function test_it_is_checked_by_itself_once_it_stands_still(): void
    {
        $watch = $this->follow();
        // its frames came a minute apart, so that one that is late is waited for
        $this->travel(299)->seconds();
        $this->look($watch);
        self::assertSame(0, $this->deliverable->checks()->count());
        self::assertSame(300, $this->shown()['patience'] ?? null);
        $this->travel(10)->seconds();
        $this->look($watch);
        $check = $this->deliverable->checks()->firstOrFail();
        self::assertSame(['done', 'TC_010/v1'], [$check->state->value, $check->delivery?->folder]);
        self::assertStringContainsString('checked', (string) ($this->shown()['ended'] ?? ''));
        // and is not looked at any more
        $this->look($watch);
        self::assertSame(1, $this->deliverable->checks()->count());
    }

    public function test_an_empty_folder_is_waited_for_and_one_that_is_gone_is_told(): void
    {
        mkdir("{$this->intake->folder}/tide/TC_010/v9");
        $watch = $this->follow('TC_010/v9');
        $this->travel(2)->hours();
        $this->look($watch);
        self::assertSame([0, null], [$this->shown()['pictures'] ?? null, $this->shown()['ended'] ?? null]);
        $this->travel(11)->hours();
        $this->look($watch);
        self::assertSame('Nothing came for half a day.', $this->shown()['ended'] ?? null);

        $watch = $this->follow('TC_010/v9');
        rmdir("{$this->intake->folder}/tide/TC_010/v9");
        $this->look($watch);
        self::assertStringContainsString('is not in this intake', (string) ($this->shown()['ended'] ?? ''));
    }

    public function test_whoever_may_not_check_any_more_has_nothing_checked(): void
    {
        $watch = $this->follow();
        $this->travel(20)->minutes();
        $this->deliverable->update(['owner_id' => $this->other->id]);
        $this->look($watch->refresh());
        self::assertSame(0, $this->deliverable->checks()->count());
        self::assertNotNull($watch->refresh()->ended);
    }

    public function test_one_look_follows_another_and_that_of_another_watch_ends(): void
    {
        Queue::fake();
        config(['queue.default' => 'database']);
        $watch = $this->follow();
        $this->look($watch);
        Queue::assertPushed(WatchLook::class, 2);
        $this->travel(5)->seconds();
        $newer = $this->follow();
        Queue::assertPushed(WatchLook::class, 3);
        app()->call([new WatchLook($newer->id, $watch->created_at->toIso8601String()), 'handle']);
        Queue::assertPushed(WatchLook::class, 3);
        // whoever looked was ended: the page has it begun again, once
        $newer->update(['looked_at' => now()->subHour()]);
        $this->shown();
        $this->shown();
        Queue::assertPushed(WatchLook::class, 4);

        $this->delete("/deliverables/{$this->deliverable->id}/watch")->assertRedirect();
        self::assertNull($this->shown());
        $this->look($newer);
        Queue::assertPushed(WatchLook::class, 4);
    }

    public function test_a_folder_elsewhere_is_not_followed(): void
    {
        foreach (['../..', 'TC_020/v1'] as $below) {
            $this->post("/deliverables/{$this->deliverable->id}/watch", ['root' => $this->root(), 'below' => $below])
                ->assertSessionHasErrors('below');
        }
    }
}
