<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use App\Models\Message;
use App\Models\RenderLog;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Factories\DeliverableFactory;
use Tests\Feature\Support\LedgerTestCase;

/** The board, messages to owners, results; and what is rendered: estimates, one list for all machines, logs. */
final class OverseeingTest extends LedgerTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->actingAs($this->coordinator);
    }

    private function base(): string
    {
        return "/productions/{$this->production->id}";
    }

    private function scene(int $deliverable, string $text): void
    {
        $this->from('/x')->post("/deliverables/{$deliverable}/scene", ['pasted' => $text])->assertSessionHasNoErrors();
    }

    public function test_the_board_shows_marks_causes_and_what_does_not_agree(): void
    {
        $third = DeliverableFactory::beside($this->deliverable)->named('TC_030', 'third')->withFrames('1001-1010')
            ->create();
        $good = "size = 64x36\nfps = 24\nframes = 1001-1010\nformat = png\nsamples = 128\noutput = out/%s.####.png\n";
        $this->scene($this->deliverable->id, sprintf($good, 'TC_010'));
        $this->scene($this->others->id, str_replace('128', '64', sprintf($good, 'TC_020'))."scale = 50\n");
        $this->scene($third->id, sprintf($good, 'TC_030')."scale = 50\n");
        $board = $this->page($this->base())['board'];

        self::assertSame(
            [['TC_010', 'balanced'], ['TC_020', 'unbalanced'], ['TC_030', 'unbalanced']],
            array_map(static fn (array $r): array => [$r['code'], $r['verdict']], $board['rows']),
        );
        self::assertSame(['Picture', 'Time', 'Format', 'Naming'], $board['groups']);
        self::assertSame(
            ['Picture' => 'unequal', 'Time' => 'equal', 'Format' => 'equal', 'Naming' => 'equal'],
            (array) $board['rows'][1]['marks'],
        );
        self::assertSame(
            [['scale-below-full', ['TC_020', 'TC_030']]],
            array_map(static fn (array $c): array => [$c['id'], array_column($c['who'], 'code')], $board['causes']),
        );
        self::assertSame(
            [['picture.scale', []], ['render.samples', ['TC_020']]],
            [
                ['picture.scale', []],
                [$board['agreement'][0]['id'], array_column($board['agreement'][0]['others'], 'whose')],
            ],
        );
        self::assertSame(['first check', 'first check', 'first check'], array_column($board['rows'], 'changed'));
    }

    public function test_what_changed_since_yesterday(): void
    {
        Carbon::setTestNow('2026-11-23 10:00');
        $this->scene($this->deliverable->id, "size = 64x36\nfps = 25\n");
        $this->scene($this->others->id, "size = 64x36\nfps = 24\n");
        Carbon::setTestNow('2026-11-25 09:00');
        self::assertSame([null, null], array_column($this->page($this->base())['board']['rows'], 'changed'));
        $this->scene($this->deliverable->id, "size = 64x36\nfps = 24\n");
        $this->scene($this->others->id, "size = 64x36\nfps = 24\nframes = 1001-1010\n");
        self::assertSame(
            ['is open now', 'other lines'],
            array_column($this->page($this->base())['board']['rows'], 'changed'),
        );
        Carbon::setTestNow();
    }

    public function test_five_hundred_deliverables_take_few_questions_and_no_document(): void
    {
        $this->scene($this->deliverable->id, "size = 32x18\nfps = 24\n");
        $check = Check::query()->firstOrFail();
        for ($n = 0; $n < 500; $n++) {
            $each = DeliverableFactory::beside($this->deliverable)->named("S_{$n}")->ownedBy($this->artist)->create();
            $each->checks()->create(
                [
                    'specification_revision_id' => $check->specification_revision_id,
                    'state' => 'done',
                    'verdict' => 'unbalanced',
                    'holds_up' => 'x',
                    'layers' => [],
                    'summary' => $check->summary,
                    'document' => 'none that could be unpacked',
                ],
            );
        }
        DB::enableQueryLog();
        $board = $this->page($this->base())['board'];
        self::assertCount(502, $board['rows']);
        self::assertLessThan(25, count(DB::getQueryLog()));
        self::assertCount(501, $board['causes'][0]['who']);
    }

    public function test_results_are_a_sheet(): void
    {
        $this->scene($this->deliverable->id, "size = 32x18\nfps = 24\n");
        $this->deliverable->update(['title' => '=cmd()']);
        $lines = explode("\r\n", (string) $this->get($this->base().'/results.csv')->assertOk()->getContent());
        self::assertSame(
            'learner,name,deliverable,title,specification,due,checked,verdict,balance,of,percent,waived,"first '
                .'cause",says',
            str_replace('first cause', '"first cause"', $lines[0]),
        );
        self::assertStringStartsWith("artist,Artist,TC_010,'=cmd(),Lit frames,", $lines[1]);
        self::assertStringContainsString(',unbalanced,1,5,20,0,', $lines[1]);
        self::assertStringContainsString('not checked,,,,,,', $lines[2]);
    }

    public function test_owners_are_written_to_and_nothing_is_sent(): void
    {
        $this->scene($this->deliverable->id, "size = 64x36\nfps = 25\n");
        $this->from('/x')->post($this->base().'/outbox')->assertRedirect($this->base().'/outbox');
        $messages = $this->page($this->base().'/outbox')['messages'];
        self::assertSame(['Other', 'Artist'], array_column($messages, 'to'));
        self::assertStringContainsString('1. Set the frame rate to 24; it is 25.', $messages[1]['body']);
        self::assertStringContainsString('Nothing has been checked yet', $messages[0]['body']);
        self::assertStringContainsString(
            'To: artist@harbour.example',
            (string) $this->get($this->base().'/outbox.mbox')->assertOk()->getContent(),
        );
        self::assertCount(2, json_decode((string) $this->get($this->base().'/outbox.json')->getContent(), true));
        $this->get($this->base().'/outbox.txt')->assertSee('Subject: The Tide Clock: TC_010');
        $this->get($this->base().'/outbox.exe')->assertNotFound();
        $this->delete('/messages/'.$messages[0]['id']);
        self::assertSame(1, Message::query()->count());
        // only those named; and where all balances there is nobody to write to
        $this->post($this->base().'/outbox', ['deliverables' => [$this->deliverable->id]]);
        self::assertSame(2, Message::query()->count());
        $this->delete($this->base().'/outbox');
        $this->scene(
            $this->deliverable->id,
            "size = 64x36\nfps = 24\nframes = 1001-1010\nformat = png\noutput = out/TC_010.####.png\n",
        );
        $this->others->update(['owner_id' => null]);
        $this->from('/x')->post($this->base().'/outbox')->assertSessionHasErrors('messages');
    }

    public function test_when_a_deliverable_is_ready(): void
    {
        Carbon::setTestNow('2026-11-25 12:00');
        $this->deliverable->update(['due_at' => '2026-11-25 12:05']);
        $url = "/deliverables/{$this->deliverable->id}/render";
        $page = $this->page($url);
        self::assertSame(
            ['1001-1010', 10, null, null],
            [$page['frames'], $page['count'], $page['plan'], $page['from']],
        );
        $this->from('/x')->patch($url, ['times' => 'soon'])->assertSessionHasErrors('times');
        $this->from('/x')->patch($url, ['times' => '60 s', 'size' => 'big'])->assertSessionHasErrors('size');
        $this->from('/x')->patch($url, ['times' => '60 s', 'size' => '2 MB'])->assertSessionHasNoErrors();
        $job = $this->page($url)['plan']['jobs'][0];
        self::assertSame(
            ['late', '5 min late', '1001-1005', 70, '20 MB', 'Wed 25 Nov, 12:10'],
            [$job['word'], $job['late'], $job['fits']['range'], $job['fits']['scale'], $job['disk'], $job['ready'][1]],
        );
        self::assertSame(2, $this->page($url)['plan']['needed']);
        $tried = $this->postJson(
            $this->base().'/plan',
            ['machines' => 5, 'hours' => '', 'deliverable' => $this->deliverable->id, 'times' => '60 s, 80 s'],
        )
            ->assertOk()
            ->json('plan.jobs.0');
        self::assertSame(['in time', '1 min to 1 min 20 s'], [$tried['word'], $tried['perFrame']]);
        $this->postJson(
            $this->base().'/plan',
            ['machines' => 5, 'hours' => 'late', 'deliverable' => $this->deliverable->id],
        )->assertStatus(422);
        // an artist plans what is theirs, and no other
        $this->actingAs($this->artist)
            ->postJson($this->base().'/plan', ['machines' => 5, 'deliverable' => $this->others->id])
            ->assertForbidden();
        $this->postJson($this->base().'/plan', ['machines' => 5])->assertForbidden();
        Carbon::setTestNow();
    }

    public function test_one_list_for_all_machines(): void
    {
        Carbon::setTestNow('2026-11-25 20:00');
        $this->from('/x')
            ->patch($this->base().'/pool', ['machines' => 2, 'hours' => '19:00-7:00'])
            ->assertSessionHasNoErrors();
        $this->from('/x')
            ->patch($this->base().'/pool', ['machines' => 2, 'hours' => 'x'])
            ->assertSessionHasErrors('hours');
        $this->deliverable->update(['frame_times' => '1 h', 'due_at' => '2026-11-26 08:00']);
        $this->others->update(['frame_times' => '1 h', 'due_at' => '2026-11-26 06:00']);
        $plan = $this->page($this->base().'/render');
        self::assertSame([2, '19:00-7:00'], [$plan['pool']['machines'], $plan['pool']['hours']]);
        self::assertSame(
            [['TC_020', 'in time', 'Thu 26 Nov, 01:00'], ['TC_010', 'in time', 'Thu 26 Nov, 06:00']],
            array_map(static fn (array $j): array => [$j['code'], $j['word'], $j['ready'][1]], $plan['plan']['jobs']),
        );
        $this->others->update(['frame_times' => null]);
        $plan = $this->page($this->base().'/render');
        self::assertSame(
            [['TC_010'], ['TC_020']],
            [array_column($plan['plan']['jobs'], 'code'), array_column($plan['untimed'], 'code')],
        );
        // what has come need not be rendered: four of ten are missing
        $this->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
        );
        self::assertSame('1007-1010', $this->page($this->base().'/render')['plan']['jobs'][0]['frames']);
        Carbon::setTestNow();
    }

    private function send(string $bytes, ?int $log = null, bool $last = true, array $more = []): TestResponse
    {
        return $this->post(
            "/deliverables/{$this->deliverable->id}/logs",
            $more + [
                'piece' => UploadedFile::fake()->createWithContent('piece', $bytes),
                'log' => $log,
                'name' => 'r.log',
                'size' => 1000,
                'last' => $last ? '1' : '0',
            ],
            ['Accept' => 'application/json'],
        );
    }

    public function test_a_log_is_sent_piece_by_piece(): void
    {
        $log = '';
        foreach (range(1001, 1006) as $frame) {
            $log .= "frame {$frame} begins\nframe {$frame} done in "
                .($frame === 1004 ? 300 : 60)
                ." s\nwrote out/TC_010.{$frame}.png\n";
        }
        [$first, $second] = [substr($log, 0, 70), substr($log, 70)];
        $begun = $this->send($first, null, false)->assertOk()->json();
        self::assertSame(['frame done in seconds', '1001'], [$begun['shape'], $begun['reading']['finished']]);
        $done = $this->send($second, $begun['id'])->assertOk()->json();
        self::assertSame(
            ['1001-1006', 6, '1007-1010', 1007, [[1004, 300_000]], strlen($log)],
            [
                $done['reading']['finished'],
                $done['reading']['progress']['done'],
                $done['reading']['progress']['left'],
                $done['reading']['progress']['resume'],
                $done['reading']['slow'],
                $done['read'],
            ],
        );
        self::assertSame(
            [[1001, 60_000], [1002, 60_000], [1003, 60_000], [1004, 300_000], [1005, 60_000], [1006, 60_000]],
            $this->deliverable->renderLogs()->firstOrFail()->reading['along'] ?? null,
        );
        self::assertArrayNotHasKey('along', $done['reading']);
        // its times are those of the plan, and what it has finished is not rendered again
        $page = $this->page("/deliverables/{$this->deliverable->id}/render");
        self::assertSame(
            ['1007-1010', 'by its log', 6],
            [$page['frames'], $page['from'], $page['plan']['jobs'][0]['samples']],
        );
        $this->send("Dear all\nnothing here\n")
            ->assertStatus(422)
            ->assertJsonPath(
                'message',
                fn (string $m): bool => str_contains($m, 'no line of its beginning tells of a frame'),
            );
        // another's log is not written to
        $theirs = $this->others->renderLogs()->create(['name' => 'x']);
        $this->send('frame 1 done in 1 s', $theirs->id)->assertNotFound();
        $this->delete("/logs/{$begun['id']}")->assertRedirect();
        self::assertSame([0, []], [$this->deliverable->renderLogs()->count(), Storage::allFiles('spool')]);
    }

    public function test_a_log_is_followed_as_it_is_written(): void
    {
        $this->intake->put('tide/TC_010/logs/r.log', "frame 1001 begins\nframe 1001 done in 60 s\nframe 10");
        $this->actingAs($this->artist);
        $found = $this->getJson("/deliverables/{$this->deliverable->id}/logs?root={$this->root()}&below=TC_010/logs")
            ->assertOk()
            ->json('logs');
        self::assertSame(['r.log'], array_column($found, 'name'));
        $this->post(
            "/deliverables/{$this->deliverable->id}/logs/follow",
            ['root' => $this->root(), 'below' => 'TC_010/logs', 'file' => 'r.log'],
        )->assertRedirect("/deliverables/{$this->deliverable->id}/render");
        $log = RenderLog::query()->firstOrFail();
        self::assertSame(['1001', ''], [$log->reading['finished'] ?? null, $log->reading['begun'] ?? null]);
        file_put_contents(
            "{$this->intake->folder}/tide/TC_010/logs/r.log",
            "02 begins\nframe 1002 done in 60 s\nframe 1003 begins\n",
            FILE_APPEND,
        );
        $now = $this->getJson("/logs/{$log->id}")->assertOk()->json('reading');
        self::assertSame(
            ['1001-1002', '1003', '1003-1010'],
            [$now['finished'], $now['begun'], $now['progress']['left']],
        );
        // begun anew, it is read anew
        $this->intake->put('tide/TC_010/logs/r.log', "frame 1009 done in 5 s\n");
        self::assertSame('1009', $this->getJson("/logs/{$log->id}")->json('reading.finished'));
        $this->intake->without('tide/TC_010/logs/r.log');
        self::assertStringContainsString(
            'is no file in this folder',
            (string) $this->getJson("/logs/{$log->id}")->assertOk()->json('fault'),
        );
    }

    public function test_no_file_elsewhere_is_followed(): void
    {
        $this->actingAs($this->artist);
        $this->intake->put('tide/TC_010/logs/r.log', "frame 1001 done in 60 s\n");
        symlink("{$this->intake->folder}/elsewhere/private.txt", "{$this->intake->folder}/tide/TC_010/logs/link.log");
        $follow = fn (string $below, string $file): TestResponse => $this->from('/x')->post(
            "/deliverables/{$this->deliverable->id}/logs/follow",
            ['root' => $this->root(), 'below' => $below, 'file' => $file],
        );
        foreach ([
            ['TC_010/logs', '../../TC_020/secret.txt'],
            ['TC_020', 'secret.txt'],
            ['TC_010/logs', 'link.log'],
            ['../elsewhere', 'private.txt'],
            ['TC_010', 'logs'],
        ] as [$below, $file]) {
            $follow($below, $file)->assertSessionHasErrors();
        }
        self::assertSame(
            ['r.log'],
            array_column(
                $this->getJson(
                    "/deliverables/{$this->deliverable->id}/logs?root={$this->root()}&below=TC_010/logs",
                )->json('logs'),
                'name',
            ),
        );
        self::assertSame(0, RenderLog::query()->count());
    }

    public function test_a_production_has_shapes_of_its_own_and_tries_them(): void
    {
        $try = fn (string $pattern, string $sample): array => $this->postJson(
            $this->base().'/log-shapes/try',
            ['patterns' => [['event' => 'finished', 'pattern' => $pattern]], 'sample' => $sample],
        )
            ->assertOk()
            ->json();
        $tried = $try('[{frame}] ok {seconds}s', "[7] ok 5s\nnothing\n<b>[8] ok 6s</b>");
        self::assertSame(
            [['frame' => '7', 'seconds' => '5'], null, ['frame' => '8', 'seconds' => '6']],
            array_map(static fn (array $l): ?array => $l['told'][0]['pieces'] ?? null, $tried['lines']),
        );
        self::assertStringContainsString('takes too long', $try('/^(a+)+$/', 'x')['faults'][0]);
        self::assertStringContainsString('no piece {number}', $try('{number}', 'x')['faults'][0]);
        $this->from('/x')
            ->post(
                $this->base().'/log-shapes',
                ['name' => 'ours', 'patterns' => [['event' => 'finished', 'pattern' => '/^(a+)+$/']]],
            )
            ->assertSessionHasErrors('shape');
        $this->from('/x')
            ->post(
                $this->base().'/log-shapes',
                ['name' => 'ours', 'patterns' => [['event' => 'finished', 'pattern' => ' ']]],
            )
            ->assertSessionHasErrors('shape');
        $this->from('/x')
            ->post(
                $this->base().'/log-shapes',
                [
                    'name' => 'ours',
                    'patterns' => [
                        ['event' => 'finished', 'pattern' => '[{frame}] ok {seconds}s'],
                        ['event' => 'error', 'pattern' => ''],
                    ],
                ],
            )
            ->assertSessionHasNoErrors();
        $page = $this->page($this->base().'/names');
        self::assertSame([1, 'ours'], [$page['own'], $page['shapes'][0]['name']]);
        self::assertSame(
            ['ours', '1001-1002'],
            [
                ($sent = $this->send("[1001] ok 5s\n[1002] ok 6s\n")->assertOk())->json('shape'),
                $sent->json('reading.finished'),
            ],
        );
        $this->post(
            $this->base().'/log-shapes',
            ['name' => 'theirs', 'was' => 'ours', 'patterns' => [['event' => 'finished', 'pattern' => 'x {frame}']]],
        );
        self::assertSame(['theirs'], array_column($this->production->refresh()->log_shapes ?? [], 'name'));
        $this->post($this->base().'/log-shapes', ['name' => 'theirs', 'drop' => true]);
        self::assertSame([], $this->production->refresh()->log_shapes);
    }
}
