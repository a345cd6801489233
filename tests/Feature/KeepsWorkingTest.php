<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Checks\KeepScan;
use App\Actions\Checks\ScanSlice;
use App\Models\Check;
use App\Processes\ChildProcess;
use App\Processes\Outcome;
use App\Queue\Waiting;
use App\Queue\Workers;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Delivery\ContentOrder;
use PlainLedger\Core\Delivery\ScanOrder;
use PlainLedger\Core\Delivery\ScanPlace;
use PlainLedger\Core\Media\ScanDepth;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;

/** One person's file does not stop another's check, and what nobody works on says so. */
final class KeepsWorkingTest extends LedgerTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->withSideTables();
    }

    private function queued(): Check
    {
        Queue::fake();
        config(['ledger.files_at_once' => 0]);
        $this->actingAs($this->artist)
            ->post(
                "/deliverables/{$this->deliverable->id}/checks",
                ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
            )
            ->assertRedirect();

        return $this->deliverable->checks()->latest('id')->firstOrFail();
    }

    public function test_a_picture_that_takes_all_memory_is_a_question_and_the_others_are_judged(): void
    {
        $this->deliverable->update(
            [
                'overrides' => [
                    'time.range' => '1001-1010',
                    'content.black' => 'none',
                    'picture.resolution' => '6000x4000',
                ],
            ],
        );
        // unpacked it takes ninety-six million bytes; the process has far less, and enough to read the rest
        $this->intake->put('tide/TC_010/v1/TC_010.1003.png', Workbench::png(6000, 4000));
        config(['ledger.child_memory' => 14]);
        $this->actingAs($this->artist)
            ->post(
                "/deliverables/{$this->deliverable->id}/checks",
                ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
            )
            ->assertRedirect();
        $check = $this->deliverable->checks()->latest('id')->firstOrFail();
        self::assertSame('done', $check->state->value, (string) $check->fault);

        $entries = array_column((array) $check->account()['entries'], null, 'id');
        self::assertSame(
            'too large to look at here: it took more memory or time than there is for one file',
            $entries['content.black']['files']['found'],
        );
        self::assertSame('1001-1006', $entries['time.range']['files']['found']);
        // its header was read before
        self::assertSame('equal', $entries['content.whole']['files']['mark']);
        self::assertSame([], Storage::files('spool'));
    }

    public function test_work_apart_is_ended_when_it_is_silent_or_unwanted(): void
    {
        $order = (
            new ScanOrder(
                new ScanPlace("{$this->intake->folder}/tide"),
                ScanDepth::Quick,
                new ContentOrder,
                Storage::path('spool/none'),
                5,
            )
        )->write();
        self::assertSame(
            Outcome::Silent,
            (new ChildProcess(64 << 20, 0))->run('scan', $order, static fn (): bool => true),
        );
        self::assertSame(
            Outcome::Stopped,
            (new ChildProcess(64 << 20, 20))->run('scan', $order, static fn (): bool => false),
        );
        self::assertSame(
            Outcome::Died,
            (new ChildProcess(64 << 20, 20))->run('neither', $order, static fn (): bool => true),
        );
    }

    public function test_a_job_that_ended_two_workers_is_failed_with_a_sentence(): void
    {
        $check = $this->queued();
        (new ScanSlice($check->id))->failed(new \RuntimeException('killed'));

        $page = $this->page("/deliverables/{$this->deliverable->id}/frames");
        self::assertSame(
            [ScanSlice::BROKE_OFF, $check->id, null],
            [$page['broken']['says'] ?? null, $page['broken']['id'] ?? null, $page['running']],
        );
        $this->post("/checks/{$check->id}/again")->assertRedirect();
        self::assertSame(
            ['queued', $check->order],
            $this->deliverable->checks()
                ->latest('id')
                ->get(['state', 'order'])
                ->map(static fn (Check $c): array => [$c->state->value, $c->order])
                ->firstOrFail(),
        );
    }

    public function test_a_check_nobody_works_on_is_told_as_broken_off(): void
    {
        config(['queue.default' => 'database']);
        $check = $this->queued();
        self::assertSame(0, Waiting::breakOffLost());
        $this->travel(61)->seconds();
        // as long as its job waits for a worker, it waits too
        DB::connection('side')->table('jobs')->insert(
            [
                'queue' => 'default',
                'payload' => '{"uuid":"x","check":'.$check->id.',"of":"scan"}',
                'attempts' => 0,
                'available_at' => time(),
                'created_at' => time(),
            ],
        );
        self::assertSame(0, Waiting::breakOffLost());
        DB::connection('side')->table('jobs')->delete();

        $this->getJson("/checks/{$check->id}/progress")->assertJson(['state' => 'failed']);
        self::assertSame(Waiting::NOBODY, $check->refresh()->fault);
    }

    public function test_what_ends_after_it_was_told_as_broken_off_is_not_told_twice(): void
    {
        $check = $this->queued();
        $other = Check::query()->findOrFail($check->id);
        $other->fail(Waiting::NOBODY);
        app(KeepScan::class)->run(
            $check,
            (
                new \PlainLedger\Core\Delivery\Scan(
                    \PlainLedger\Core\Delivery\FolderListing::of("{$this->intake->folder}/tide/TC_010"),
                    \PlainLedger\Core\Media\Probe::standard(),
                )
            )->run(time()),
        );

        self::assertSame(['failed', Waiting::NOBODY], [$check->refresh()->state->value, $check->fault]);
        self::assertSame(0, $this->deliverable->deliveries()->count());
    }

    public function test_the_job_of_a_worker_that_is_gone_is_free_at_once(): void
    {
        $job = DB::connection('side')->table('jobs')->insertGetId(
            [
                'queue' => 'default', 'payload' => '{}', 'attempts' => 1, 'reserved_at' => time(),
                'available_at' => time(), 'created_at' => time(),
            ],
        );
        $held = DB::connection('side')->table('jobs')->insertGetId(
            [
                'queue' => 'default', 'payload' => '{}', 'attempts' => 1, 'reserved_at' => time(),
                'available_at' => time(), 'created_at' => time(),
            ],
        );
        $worker = static fn (array $values): bool => DB::connection('side')->table('workers')->insert(
            $values + ['host' => (string) gethostname(), 'began' => '1', 'seen_at' => time()],
        );
        $worker(['id' => 'gone', 'pid' => 4_000_000, 'job_id' => $job]);
        // on another machine it cannot be looked for: it counts while it was heard of
        $worker(['id' => 'elsewhere', 'pid' => 4_000_000, 'job_id' => $held, 'host' => 'elsewhere']);
        Workers::free();

        self::assertNull(DB::connection('side')->table('jobs')->where('id', $job)->value('reserved_at'));
        self::assertNotNull(DB::connection('side')->table('jobs')->where('id', $held)->value('reserved_at'));
        self::assertSame(['elsewhere'], DB::connection('side')->table('workers')->pluck('id')->all());
    }

    public function test_pages_say_when_no_worker_was_seen_for_a_minute(): void
    {
        config(['queue.default' => 'database']);
        DB::connection('side')->table('workers')->insert(
            ['id' => 'a', 'host' => 'here', 'pid' => 1, 'seen_at' => time() - 30],
        );
        $this->actingAs($this->artist);
        self::assertFalse($this->page("/deliverables/{$this->deliverable->id}/frames")['alone']);
        DB::connection('side')->table('workers')->update(['seen_at' => time() - 61]);
        self::assertTrue($this->page("/deliverables/{$this->deliverable->id}/frames")['alone']);
    }

    public function test_health_tells_what_holds_and_what_does_not(): void
    {
        $this->getJson('/up')
            ->assertOk()
            ->assertJson(['well' => true])
            ->assertJsonStructure(
                ['lines' => ['database', 'sessions and queue', 'disk', 'intake', 'queue', 'workers']],
            );
        $html = (string) $this->get('/up')
            ->assertOk()
            ->assertHeader('Cache-Control', 'no-store, private')
            ->assertHeader('X-Content-Type-Options', 'nosniff')
            ->getContent();
        self::assertStringContainsString('Everything works', $html);
        self::assertDoesNotMatchRegularExpression('~https?:|<script|<link~', $html);

        config(['queue.default' => 'database', 'ledger.intake' => '/nowhere']);
        DB::connection('side')->table('workers')->insert(
            ['id' => 'a', 'host' => 'here', 'pid' => 1, 'seen_at' => time() - 61],
        );
        DB::connection('side')->table('jobs')->insert(
            [
                'queue' => 'default',
                'payload' => '{}',
                'attempts' => 0,
                'available_at' => time() - 400,
                'created_at' => time() - 400,
            ],
        );
        $lines = $this->getJson('/up')->assertStatus(503)->json('lines');
        self::assertSame(
            ['queue', 'workers'],
            array_values(
                array_intersect(
                    ['queue', 'workers'],
                    array_keys(array_filter($lines, static fn (array $l): bool => ! $l['well'])),
                ),
            ),
        );
        self::assertSame('none seen for a minute', $lines['workers']['says']);
        self::assertFalse($lines['intake']['well']);
        self::assertStringContainsString(
            'Something is wrong',
            (string) $this->get('/up')->assertStatus(503)->getContent(),
        );
    }

    public function test_no_end_is_foretold_while_nothing_moves(): void
    {
        $check = $this->queued();
        $check->update(
            [
                'state' => 'running',
                'progress' => ['done' => 50, 'all' => 100, 'at' => 'a', 'began' => time() - 100, 'moved' => time() - 2],
            ],
        );
        // a second may end between what is written and what is asked
        $told = $this->getJson("/checks/{$check->id}/progress")->json();
        self::assertContains($told['left'], [100, 101, 102]);
        self::assertNull($told['still']);
        $check->update(['progress' => ['moved' => time() - 40] + (array) $check->progress]);
        $told = $this->getJson("/checks/{$check->id}/progress")->json();
        self::assertNull($told['left']);
        self::assertContains($told['still'], [40, 41, 42]);
    }
}
