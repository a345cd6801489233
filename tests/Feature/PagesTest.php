<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Pages\Book\Due;
use App\Models\Check;
use App\Models\Production;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Diagnosis\CauseId;
use Tests\Core\Support\Workbench;
use Tests\Feature\Factories\DeliverableFactory;
use Tests\Feature\Factories\ProductionFactory;
use Tests\Feature\Support\LedgerTestCase;

/** What pages are given. */
final class PagesTest extends LedgerTestCase
{
    private function check(string $below = 'TC_010/v1'): Check
    {
        $this->actingAs($this->artist)->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => $below, 'depth' => 'quick'],
        )->assertSessionHasNoErrors();

        return Check::query()->latest('id')->firstOrFail();
    }

    public function test_due_times_in_words(): void
    {
        Carbon::setTestNow('2026-11-25 12:00:00');
        $words = static fn (string $at): array => [
            Due::at(Carbon::parse($at)->getTimestamp())?->words,
            Due::at(Carbon::parse($at)->getTimestamp())?->late,
        ];

        self::assertSame(['in 1 minute', false], $words('2026-11-25 12:01:00'));
        self::assertSame(['in 59 minutes', false], $words('2026-11-25 12:59:30'));
        self::assertSame(['in 1 hour', false], $words('2026-11-25 13:10:00'));
        self::assertSame(['in 39 hours', false], $words('2026-11-27 03:00:00'));
        self::assertSame(['in 3 days', false], $words('2026-11-28 18:00:00'));
        self::assertSame(['2 hours late', true], $words('2026-11-25 10:00:00'));
        self::assertNull(Due::at(null));
        self::assertSame('Friday 27 Nov, 18:00', Due::at(Carbon::parse('2026-11-27 18:00')->getTimestamp())?->at);
    }

    public function test_an_artist_has_one_page_of_what_is_asked_and_what_is_next(): void
    {
        $this->check();
        [$own] = $this->page("/productions/{$this->production->id}")['own'];
        self::assertSame('TC_010', $own['code']);
        self::assertSame(['10 frames, 1001 to 1010, at 24 a second: 10 f. Each is 64 × 36, PNG.'], $own['asked']);
        self::assertSame('4 frames to render', $own['holdsUp']);
        self::assertStringContainsString('stopped after frame 1006', $own['cause']);
        self::assertSame(["{$this->intake->folder}/tide/TC_010"], $own['folders']);
        $this->actingAs($this->other);
        self::assertSame(['TC_020'], array_column($this->page("/productions/{$this->production->id}")['own'], 'code'));
    }

    public function test_the_causes_say_where_each_is_found(): void
    {
        $this->check();
        $causes = array_column($this->page('/causes')['causes'], null, 'id');
        self::assertGreaterThan(60, count($causes));
        self::assertSame(['TC_010'], array_column($causes['render-stopped']['found'], 'code'));
        self::assertSame([], $causes['frames-dropped']['found']);
        foreach (CauseId::cases() as $cause) {
            self::assertArrayHasKey($cause->value, $causes);
        }
        $this->actingAs($this->other);
        $causes = array_column($this->page('/causes')['causes'], null, 'id');
        self::assertSame([], $causes['render-stopped']['found']);
    }

    public function test_the_index_has_trouble_first(): void
    {
        $this->check();
        $this->intake->frames('tide/TC_020/v1/TC_020.%04d.png', '1001-1010', Workbench::png());
        $this->actingAs($this->other)->post(
            "/deliverables/{$this->others->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_020/v1', 'depth' => 'quick'],
        );
        DeliverableFactory::beside($this->deliverable)->named('TC_000')->create();
        $this->actingAs($this->coordinator);
        $index = $this->index();

        self::assertSame(['TC_010', 'TC_000', 'TC_020'], array_column($index, 'code'));
        self::assertSame(['unbalanced', null, 'balanced'], array_column($index, 'verdict'));
        self::assertSame(['4 frames to render', null, 'balances'], array_column($index, 'holdsUp'));
        self::assertSame(['Artist', null, 'Other'], array_column($index, 'owner'));
    }

    public function test_the_first_page_says_what_ended_while_one_was_away(): void
    {
        Production::query()->create(['code' => 'TWO', 'name' => 'Two', 'kind' => 'film', 'house' => []])
            ->memberships()->create(['user_id' => $this->coordinator->id, 'role' => 'coordinator']);
        Carbon::setTestNow('2026-11-24 18:00:00');
        $this->actingAs($this->coordinator);
        self::assertSame([null, []], [$this->page('/')['awaySince'], $this->page('/')['finished']]);

        Carbon::setTestNow('2026-11-24 18:20:00');
        $this->actingAs($this->artist);
        $this->check();
        // a page that stands open asks by itself, and nobody is there
        $this->actingAs($this->coordinator->fresh() ?? $this->coordinator)->getJson('/news')->assertOk();

        Carbon::setTestNow('2026-11-25 09:00:00');
        $page = $this->actingAs($this->coordinator->fresh() ?? $this->coordinator)->page('/');
        self::assertSame('24 Nov, 18:00', $page['awaySince']);
        self::assertSame(
            [['TC_010', 'unbalanced', '4 frames to render']],
            array_map(static fn (array $f): array => [$f['code'], $f['verdict'], $f['says']], $page['finished']),
        );
        self::assertSame([], $page['running']);
        // who has no part in it is told nothing
        $this->stranger->forceFill(['active_at' => now(), 'away_since' => '2026-11-20 09:00:00'])->save();
        self::assertSame([], $this->actingAs($this->stranger)->page('/')['finished']);

        Check::query()->update(['state' => 'queued']);
        self::assertSame(
            [['TC_010', true]],
            array_map(
                static fn (array $r): array => [$r['code'], $r['waits']],
                $this->actingAs($this->coordinator->fresh() ?? $this->coordinator)->page('/')['running'],
            ),
        );
    }

    public function test_what_is_long_goes_packed_to_whoever_unpacks_it(): void
    {
        $this->actingAs($this->coordinator);
        $page = "/productions/{$this->production->id}/house";
        $plain = (string) $this->get($page)->assertOk()->assertHeaderMissing('Content-Encoding')->getContent();
        $packed = $this->get($page, ['Accept-Encoding' => 'gzip, br'])->assertHeader('Content-Encoding', 'gzip');
        self::assertContains('Accept-Encoding', $packed->baseResponse->getVary());
        self::assertLessThan(strlen($plain) / 3, strlen((string) $packed->getContent()));
        self::assertSame($plain, gzdecode((string) $packed->getContent()));
        $this->get('/up', ['Accept-Encoding' => 'gzip'])->assertHeaderMissing('Content-Encoding');
    }

    public function test_the_server_says_how_long_it_took_where_it_is_asked_to(): void
    {
        $this->get('/sign-in')->assertHeaderMissing('Server-Timing');
        config(['ledger.timing' => true]);
        $told = (string) $this->actingAs($this->coordinator)->get('/notices')->headers->get('Server-Timing');
        self::assertMatchesRegularExpression('/^app;dur=\d+\.\d, db;desc="[1-9]\d*", written;desc="\d+"$/', $told);
    }

    public function test_an_index_is_sent_again_only_where_it_has_changed(): void
    {
        $this->actingAs($this->coordinator);
        $of = "/productions/{$this->production->id}/index";
        $stamp = (string) $this->get($of)->assertOk()->headers->get('ETag');
        $this->get($of, ['If-None-Match' => $stamp])->assertStatus(304)->assertContent('');
        $this->deliverable->update(['title' => 'renamed']);
        $this->get($of, ['If-None-Match' => $stamp])->assertOk()->assertJsonFragment(['title' => 'renamed']);
    }

    public function test_whoever_belongs_to_one_production_goes_straight_there(): void
    {
        $this->actingAs($this->artist)->get('/')->assertRedirect("/productions/{$this->production->id}");
        $second = ProductionFactory::new()->named('OP', 'Output Practice')->with($this->artist, 'learner')
            ->create(['kind' => 'course']);
        $lines = $this->page('/')['productions'];

        self::assertSame(['Output Practice', 'The Tide Clock'], array_column($lines, 'name'));
        self::assertSame(['learner', 'artist'], array_column($lines, 'role'));
        self::assertSame([0, 1], array_column($lines, 'deliverables'));
    }

    public function test_long_lists_are_shown_in_part_and_complete_in_the_files(): void
    {
        for ($i = 0; $i < 250; $i++) {
            $this->intake->put("tide/TC_010/v1/note-{$i}.txt", 'x');
        }
        $check = $this->check();
        $document = $this->page("/checks/{$check->id}")['ledger']['document'];

        self::assertCount(200, $document['strays']);
        self::assertSame(250, $document['strays_count']);
        $whole = json_decode((string) $this->get("/checks/{$check->id}/report.json")->getContent(), true);
        self::assertCount(250, $whole['strays']);
    }

    public function test_the_strip_tells_what_is_drawn(): void
    {
        $this->intake->put(
            'tide/TC_010/v1/TC_010.1003.png',
            Workbench::png(32, 18),
        )->put('tide/TC_010/v1/TC_010.1004.png', '');
        $check = $this->check();
        $strip = $this->page("/checks/{$check->id}")['ledger']['document']['strip'][0];

        self::assertSame('1003', $strip['wrong']);
        self::assertSame([1001, 1003, 1006], $strip['pictures']);
        self::assertSame([1001, 1002, 1003, 1004, 1005, 1006], array_column($strip['sizes'], 0));
        self::assertSame(0, $strip['sizes'][3][1]);
    }

    public function test_a_picture_is_small_private_and_only_of_frames_that_are_there(): void
    {
        $this->intake->put('tide/TC_010/v1/TC_010.1002.png', Workbench::png(1280, 720));
        $check = $this->check();
        $response = $this->get("/checks/{$check->id}/pictures/frames/1002")->assertOk();
        $size = getimagesizefromstring((string) $response->getContent());

        self::assertIsArray($size);
        self::assertSame([320, 180], [$size[0], $size[1]]);
        self::assertStringContainsString('private', (string) $response->headers->get('Cache-Control'));
        $this->get("/checks/{$check->id}/pictures/frames/1009")->assertNotFound();
        $this->get("/checks/{$check->id}/pictures/nothing/1002")->assertNotFound();
        unlink($this->intake->folder.'/tide/TC_010/v1/TC_010.1002.png');
        $this->get("/checks/{$check->id}/pictures/frames/1002")->assertNotFound();
    }

    public function test_folios_carry_their_own_marks(): void
    {
        $this->actingAs($this->artist);
        $folios = fn (): array => $this->page("/deliverables/{$this->deliverable->id}/frames")['deliverable']['folios'];

        self::assertSame(['scene' => null, 'frames' => null], $folios());
        $this->check();
        self::assertSame(['scene' => null, 'frames' => 'unequal'], $folios());
        $this->intake->frames('tide/TC_010/v1/TC_010.%04d.png', '1007-1010', Workbench::png());
        $this->check();
        self::assertSame(['scene' => null, 'frames' => 'equal'], $folios());
    }

    /** A page that stands open asks for news also between an act and the page that tells of it. */
    public function test_what_a_page_asks_beside_itself_uses_nothing_up_that_is_told_once(): void
    {
        $page = "/productions/{$this->production->id}/settings";
        $name = (string) config('session.cookie');
        $opened = $this->actingAs($this->coordinator)->withCredentials()->get($page)->assertOk();
        $this->withCookie($name, $opened->getCookie($name)?->getValue() ?? '');
        $this->post("/productions/{$this->production->id}/archive")->assertRedirect();

        $this->getJson('/news')->assertOk();
        $this->get($page, ['X-Inertia' => 'true', 'X-Inertia-Partial-Data' => 'book']);
        $this->get("/productions/{$this->production->id}/index", ['Accept' => 'image/avif,*/*'])->assertOk();

        self::assertStringContainsString('is archived', $this->page($page)['told']);
        self::assertNull($this->page($page)['told']);
        $written = session('written_at');
        $this->travel(11)->minutes();
        $this->getJson('/news')->assertOk();
        // one that stands open for long keeps its session from growing old
        self::assertGreaterThan($written, session('written_at'));
    }
}
