<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Pages\Book\Due;
use App\Models\Check;
use Illuminate\Support\Carbon;
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
            Due::of(Carbon::parse($at))?->words,
            Due::of(Carbon::parse($at))?->late,
        ];

        self::assertSame(['in 1 minute', false], $words('2026-11-25 12:01:00'));
        self::assertSame(['in 59 minutes', false], $words('2026-11-25 12:59:30'));
        self::assertSame(['in 1 hour', false], $words('2026-11-25 13:10:00'));
        self::assertSame(['in 39 hours', false], $words('2026-11-27 03:00:00'));
        self::assertSame(['in 3 days', false], $words('2026-11-28 18:00:00'));
        self::assertSame(['2 hours late', true], $words('2026-11-25 10:00:00'));
        self::assertNull(Due::of(null));
        self::assertSame('Friday 27 Nov, 18:00', Due::of(Carbon::parse('2026-11-27 18:00'))?->at);
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
        $index = $this->page("/productions/{$this->production->id}")['book']['index'];

        self::assertSame(['TC_010', 'TC_000', 'TC_020'], array_column($index, 'code'));
        self::assertSame(['unbalanced', null, 'balanced'], array_column($index, 'verdict'));
        self::assertSame(['4 frames to render', null, 'balances'], array_column($index, 'holdsUp'));
        self::assertSame(['Artist', null, 'Other'], array_column($index, 'owner'));
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
}
