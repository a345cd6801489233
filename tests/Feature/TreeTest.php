<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Trees\TreeJob;
use App\Models\CheckState;
use App\Models\DeliveredTree;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;

/** One delivered tree beside all deliverables. */
final class TreeTest extends LedgerTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->withSideTables();
        $this->actingAs($this->coordinator);
        $this->intake->frames('tide/all/TC_010/TC_010.%04d.png', '1001-1010', Workbench::png())
            ->frames('tide/all/TC_020/TC_020.%04d.png', '1001-1009', Workbench::png())
            ->frames('tide/all/loose/sea.%04d.png', '1001-1010', Workbench::png());
        // a root that all shots lie below
        $this->production->intakeRoots()->create(['label' => 'Deliveries', 'path' => 'tide/all']);
    }

    private function begin(): DeliveredTree
    {
        $root = $this->production->intakeRoots()->where('label', 'Deliveries')->firstOrFail();
        $this->post("/productions/{$this->production->id}/tree", ['root' => $root->id, 'below' => ''])
            ->assertSessionHasNoErrors()
            ->assertRedirect();

        return DeliveredTree::query()->firstOrFail();
    }

    /** @return array<string, array<string, mixed>> lines by code */
    private function lines(): array
    {
        $lines = [];
        foreach ($this->page("/productions/{$this->production->id}/tree")['tree']['lines'] as $line) {
            $lines[substr((string) $line['deliverable'], 0, 6)] = $line;
        }

        return $lines;
    }

    public function test_a_tree_is_looked_through_once_and_tells_how_each_stands(): void
    {
        $this->begin();
        $lines = $this->lines();
        self::assertSame([10, 9], [$lines['TC_010']['files'], $lines['TC_020']['files']]);
        self::assertSame([0, 1], [$lines['TC_010']['frames_missing'], $lines['TC_020']['frames_missing']]);
        self::assertSame('unbalanced', $lines['TC_020']['verdict']);
        $tree = $this->page("/productions/{$this->production->id}/tree")['tree'];
        self::assertSame(['loose', 'sea.####.png', 10], [
            $tree['none'][0]['folder'], $tree['none'][0]['pattern'], $tree['none'][0]['files'],
        ]);
        self::assertSame(19, $tree['totals']['files_answering']);
        self::assertSame([], Storage::directories('spool'));
    }

    public function test_what_is_nobodys_is_assigned_without_reading_anything_again_and_taken_back(): void
    {
        $this->begin();
        // what was read stays as it was, whatever becomes of the files
        $this->intake->without('tide/all/loose/sea.1001.png');
        $this->patch(
            "/productions/{$this->production->id}/tree",
            ['place' => 'loose/sea.####.png', 'deliverable' => $this->others->id],
        )->assertSessionHasNoErrors();
        self::assertSame(19, $this->lines()['TC_020']['files']);
        $page = $this->page("/productions/{$this->production->id}/tree")['tree'];
        self::assertSame([], $page['none']);
        self::assertSame(['loose/sea.####.png' => (string) $this->others->id], $page['byHand']);

        $this->patch(
            "/productions/{$this->production->id}/tree",
            ['place' => 'loose/sea.####.png', 'deliverable' => null],
        )->assertSessionHasNoErrors();
        self::assertSame(9, $this->lines()['TC_020']['files']);
        $this->patch("/productions/{$this->production->id}/tree", ['place' => 'x', 'deliverable' => 999])
            ->assertSessionHasErrors('deliverable');
    }

    public function test_each_is_checked_in_its_own_folder(): void
    {
        $this->begin();
        $this->post("/productions/{$this->production->id}/tree/checks")->assertRedirect();
        $delivery = $this->deliverable->checks()->latest('id')->firstOrFail()->delivery;
        self::assertSame(['TC_010', 10], [$delivery?->folder, $delivery?->file_count]);
        self::assertSame(9, $this->others->checks()->latest('id')->firstOrFail()->delivery?->file_count);
    }

    public function test_one_that_is_under_way_is_waited_for_and_one_that_broke_off_says_so(): void
    {
        Queue::fake();
        $tree = $this->begin();
        $root = $tree->intake_root_id;
        $this->post("/productions/{$this->production->id}/tree", ['root' => $root, 'below' => ''])
            ->assertSessionHasErrors('below');
        self::assertTrue($this->page("/productions/{$this->production->id}/tree")['tree']['running']);
        (new TreeJob($tree->id))->failed(null);
        self::assertSame(TreeJob::BROKE_OFF, $this->page("/productions/{$this->production->id}/tree")['tree']['fault']);
        // nobody worked on it for long: another can be begun
        $tree->update(['state' => CheckState::Running, 'seen_at' => now()->subHour()]);
        $this->post("/productions/{$this->production->id}/tree", ['root' => $root, 'below' => ''])
            ->assertSessionHasNoErrors();
    }

    public function test_it_is_read_in_turns_each_of_which_goes_on_from_the_one_before(): void
    {
        $this->intake->frames('tide/all/many/m.%04d.png', '1-450', Workbench::png());
        config(['ledger.slice' => 0, 'queue.default' => 'database']);
        Queue::fake();
        $tree = $this->begin();
        $turns = 0;
        while ($tree->refresh()->state->isUnderWay() && $turns < 9) {
            (new TreeJob($tree->id))->handle();
            $turns++;
            if ($turns === 1) {
                self::assertSame(["spool/tree-{$tree->id}/partial.gz"], Storage::files("spool/tree-{$tree->id}"));
                // what was read before is not read again
                $this->intake->without('tide/all/TC_010/TC_010.1001.png');
            }
        }
        self::assertSame([CheckState::Done, 3], [$tree->state, $turns]);
        Queue::assertPushed(TreeJob::class, 3);
        self::assertSame(10, $this->lines()['TC_010']['files']);
        self::assertSame([], Storage::directories('spool'));
    }

    public function test_it_can_be_stopped_and_begun_anew(): void
    {
        config(['ledger.slice' => 0, 'queue.default' => 'database']);
        $this->intake->frames('tide/all/many/m.%04d.png', '1-450', Workbench::png());
        Queue::fake();
        $tree = $this->begin();
        (new TreeJob($tree->id))->handle();
        $this->delete("/productions/{$this->production->id}/tree")->assertRedirect();
        (new TreeJob($tree->id))->handle();
        self::assertSame([], Storage::directories('spool'));
        $page = $this->page("/productions/{$this->production->id}/tree")['tree'];
        self::assertStringContainsString('stopped', $page['fault']);
        self::assertFalse($page['running']);
        // one that is done stays as it is
        config(['ledger.slice' => 20]);
        $tree = $this->begin();
        (new TreeJob($tree->id))->handle();
        $this->delete("/productions/{$this->production->id}/tree")->assertRedirect();
        self::assertNull($this->page("/productions/{$this->production->id}/tree")['tree']['fault']);
        self::assertSame(10, $this->lines()['TC_010']['files']);
    }

    public function test_a_folder_elsewhere_is_refused(): void
    {
        $root = $this->production->intakeRoots()->where('label', 'Deliveries')->firstOrFail();
        foreach (['../..', '/etc', 'nowhere'] as $below) {
            $this->post("/productions/{$this->production->id}/tree", ['root' => $root->id, 'below' => $below])
                ->assertSessionHasErrors('below');
        }
        $this->post("/productions/{$this->production->id}/tree", ['root' => 999, 'below' => ''])
            ->assertSessionHasErrors('below');
    }
}
