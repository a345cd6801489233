<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Checks\AskedLayers;
use App\Actions\Checks\AskedStamps;
use App\Actions\Logs\FollowLog;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\DeliverableOutline;
use App\Models\Specification;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;

/** Settings that make one part of several; and checks by what is not asked any more. */
final class PartsAndAgainTest extends LedgerTestCase
{
    private const PREVIEW = "Resolution: 32 x 18\nFrame rate: 24\nFrames: 1001-1010\nFormat: mp4\nCodec: "
        ."h264\nOutput: preview/TC_010.mp4\n";

    private const FRAMES = "Resolution: 64 x 36\nFrame rate: 24\nFrames: 1001-1010\nFormat: png\nOutput: "
        ."frames/TC_010.####.png\n";

    private function twoParts(): void
    {
        $specification = Specification::query()->findOrFail($this->deliverable->specification_id);
        $specification->revise(['parts' => [
            [
                'name' => 'frames',
                'delivers' => 'frames',
                'require' => [
                    'picture.resolution' => '64x36',
                    'format.kind' => 'png',
                    'naming.pattern' => '{shot}.{frame:4}.{ext}',
                ],
            ],
            [
                'name' => 'preview',
                'delivers' => 'movie',
                'made_from' => 'frames',
                'require' => [
                    'picture.resolution' => '32x18',
                    'format.kind' => 'mp4',
                    'format.codec' => 'h264',
                    'naming.pattern' => '{shot}.{ext}',
                ],
            ],
        ]], $this->coordinator);
        $this->deliverable->refresh()->keepParts();
    }

    private function newest(): Check
    {
        return $this->deliverable->checks()->latest('id')->firstOrFail();
    }

    private function paste(string $settings): void
    {
        $this->actingAs($this->artist)
            ->from('/x')
            ->post("/deliverables/{$this->deliverable->id}/scene", ['pasted' => $settings])
            ->assertSessionHasNoErrors();
    }

    public function test_settings_are_judged_for_the_part_they_make(): void
    {
        $this->twoParts();
        $this->paste(self::FRAMES);
        self::assertSame(
            [['frames'], 'balanced'],
            [$this->newest()->account()['scene']['makes'], $this->newest()->verdict?->value],
        );
        $this->paste(self::PREVIEW);
        self::assertSame(
            [['preview'], 'balanced'],
            [$this->newest()->account()['scene']['makes'], $this->newest()->verdict?->value],
        );
        // another part has other settings: nobody has changed any
        self::assertSame([], $this->newest()->account()['since']['unasked']);
        $page = $this->page("/deliverables/{$this->deliverable->id}/scene");
        self::assertSame([['frames', 'preview'], null], [$page['ledger']['parts'], $page['ledger']['scene']['part']]);

        // told to make the other, it is judged for that, and can be told to make what it looks like again
        $url = "/deliverables/{$this->deliverable->id}/scene/part";
        $this->from('/x')->put($url, ['part' => 'frames'])->assertSessionHasNoErrors();
        self::assertSame(
            [['frames'], 'unbalanced', 'frames'],
            [
                $this->newest()->account()['scene']['makes'],
                $this->newest()->verdict?->value,
                $this->newest()->scene?->part,
            ],
        );
        $this->from('/x')->put($url, ['part' => 'sound'])->assertSessionHasErrors('part');
        $this->from('/x')->put($url, ['part' => null])->assertSessionHasNoErrors();
        self::assertSame(
            [['preview'], 'balanced', null],
            [
                $this->newest()->account()['scene']['makes'],
                $this->newest()->verdict?->value,
                $this->newest()->scene?->part,
            ],
        );
        // pointing at a name leaves the part as it was told
        $this->from('/x')->put($url, ['part' => 'frames']);
        $this->from('/x')
            ->post("/deliverables/{$this->deliverable->id}/scene/names", ['name' => 'Codec', 'is' => null])
            ->assertSessionHasNoErrors();
        self::assertSame('frames', $this->newest()->scene?->part);
    }

    public function test_the_entry_sheet_asks_for_one_part_at_a_time(): void
    {
        $this->twoParts();
        $url = "/deliverables/{$this->deliverable->id}/scene";
        $entry = $this->actingAs($this->artist)->page("{$url}/enter")['entry'];
        self::assertSame([['frames', 'preview'], 'frames'], [$entry['parts'], $entry['part']]);
        self::assertNotContains('format.codec', array_column($entry['rows'], 'field'));
        $entry = $this->page("{$url}/enter?part=preview")['entry'];
        self::assertSame('preview', $entry['part']);
        self::assertContains('format.codec', array_column($entry['rows'], 'field'));
        self::assertSame('32x18', array_column($entry['rows'], 'required', 'field')['picture.resolution']);

        $tried = $this->postJson(
            "{$url}/try",
            ['part' => 'preview', 'typed' => ['picture.resolution' => '32x18', 'format.kind' => 'mp4']],
        )
            ->assertOk()
            ->json();
        self::assertSame(
            ['equal', '32x18'],
            [$tried['lines']['picture.resolution']['mark'], $tried['lines']['picture.resolution']['required']],
        );
        $frames = [
            'picture.resolution' => '64x36',
            'time.rate' => '24',
            'time.range' => '1001-1010',
            'format.kind' => 'png',
            'naming.pattern' => 'TC_010.####.png',
        ];
        $this->from('/x')->post("{$url}/typed", ['part' => 'frames', 'typed' => $frames])->assertSessionHasNoErrors();
        self::assertSame(
            [['frames'], 'balanced'],
            [$this->newest()->account()['scene']['makes'], $this->newest()->verdict?->value],
        );
        // the other part is typed beside it, and neither replaces the other
        $this->from('/x')
            ->post(
                "{$url}/typed",
                [
                    'part' => 'preview',
                    'typed' => [
                        'picture.resolution' => '64x36', 'time.rate' => '24', 'time.range' => '1001-1010',
                        'format.kind' => 'mp4', 'format.codec' => 'h264', 'naming.pattern' => 'TC_010.mp4',
                    ],
                ],
            )
            ->assertSessionHasNoErrors();
        $account = $this->newest()->account();
        self::assertSame(['frames', 'preview'], $account['scene']['makes']);
        $marks = [];
        foreach ($account['entries'] as $line) {
            $marks["{$line['part']} {$line['id']}"] = $line['mark'];
        }
        self::assertSame(
            ['equal', 'unequal', 'equal'],
            [$marks['frames picture.resolution'], $marks['preview picture.resolution'], $marks['preview format.codec']],
        );
        self::assertSame('64x36', $this->page("{$url}/enter?part=frames")['entry']['typed']['picture.resolution']);
        self::assertSame('h264', $this->page("{$url}/enter?part=preview")['entry']['typed']['format.codec']);
        $template = json_decode(
            (string) $this->get("/deliverables/{$this->deliverable->id}/settings.json")->getContent(),
            true,
        );
        self::assertSame(
            [null, true],
            [$template['scene']['part'], str_contains($template['note'], 'frames, preview')],
        );
    }

    public function test_the_label_of_a_fact_of_its_own_is_that_fact(): void
    {
        $specification = Specification::query()->findOrFail($this->deliverable->specification_id);
        $specification->revise(
            ['delivers' => 'frames', 'require' => ['other.grain_of_the_plate' => 'fine']],
            $this->coordinator,
        );
        $this->paste("Grain of the plate = coarse\n");
        $line = array_column($this->newest()->account()['entries'], null, 'id')['other.grain_of_the_plate'] ?? null;
        self::assertSame(['unequal', 'coarse'], [$line['mark'] ?? null, $line['scene']['found'] ?? null]);
    }

    public function test_a_check_by_what_is_not_asked_any_more_says_so(): void
    {
        $this->paste(self::FRAMES);
        $scene = "/deliverables/{$this->deliverable->id}/scene";
        $stale = fn (): array => [
            $this->page($scene)['ledger']['current'],
            $this->index()[0]['stale'],
        ];
        $asked = fn (): Deliverable => $this->deliverable->fresh() ?? self::fail('It is gone.');
        self::assertSame([true, false], $stale());
        // each of the three that ask can make it so
        foreach ([
            fn () => $this->production->update(['house' => ['require' => ['time.rate' => '25']]]),
            fn () => Specification::query()->findOrFail($this->deliverable->specification_id)->revise(
                ['delivers' => 'frames', 'require' => ['picture.resolution' => '32x18']],
                $this->coordinator,
            ),
            fn () => $this->deliverable->refresh()->update(['overrides' => ['time.range' => '1001-1009']]),
        ] as $change) {
            $change();
            self::assertSame([false, true], $stale());
            // of one or of many, it is the same stamp
            self::assertSame(AskedLayers::now($asked()), (new AskedStamps)->now(DeliverableOutline::of($asked())));
            $board = $this->actingAs($this->coordinator)->page("/productions/{$this->production->id}")['board'];
            self::assertSame(
                [['TC_010', true], ['TC_020', false]],
                array_map(static fn (array $r): array => [$r['code'], $r['stale']], $board['rows']),
            );
            $this->actingAs($this->artist)
                ->from('/x')
                ->post("/checks/{$this->newest()->id}/again")
                ->assertSessionHasNoErrors()
                ->assertSessionHas('told');
            self::assertSame([true, false], $stale());
        }
        self::assertSame('unbalanced', $this->newest()->verdict?->value);
    }

    public function test_all_of_a_production_are_checked_again_at_once(): void
    {
        $this->paste(self::FRAMES);
        $this->actingAs($this->other)
            ->from('/x')
            ->post(
                "/deliverables/{$this->others->id}/scene",
                ['pasted' => str_replace('TC_010', 'TC_020', self::FRAMES)],
            );
        $this->production->update(['house' => ['require' => ['time.rate' => '25']]]);
        $again = fn () => $this->actingAs($this->coordinator)
            ->from('/x')
            ->post("/productions/{$this->production->id}/recheck");
        $again()->assertSessionHas('told', '2 deliverables were checked again, from the files as they were last read.');
        self::assertSame([2, 2], [$this->deliverable->checks()->count(), $this->others->checks()->count()]);
        $again()->assertSessionHas('told', 'Every check is of what is asked now.');
        self::assertSame(
            ['unbalanced', 'time.rate'],
            [
                $this->newest()->verdict?->value,
                array_column($this->newest()->account()['causes'], 'explains')[0][0] ?? null,
            ],
        );
    }

    public function test_checksums_that_are_asked_since_have_the_files_read_again(): void
    {
        $this->actingAs($this->artist)->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
        );
        $this->deliverable->update(['overrides' => ['time.range' => '1001-1006', 'delivery.checksums' => 'present']]);
        $sums = '';
        foreach (range(1001, 1006) as $frame) {
            $sums .= hash('sha256', Workbench::png())."  TC_010.{$frame}.png\n";
        }
        $this->intake->put('tide/TC_010/v1/checksums.sha256', $sums);
        $this->from('/x')->post("/checks/{$this->newest()->id}/again")->assertSessionHasNoErrors();
        $line = array_column($this->newest()->account()['entries'], null, 'id')['delivery.checksums'];
        self::assertSame(['equal', 'present'], [$line['mark'], $line['files']['found']]);
        self::assertSame(2, $this->deliverable->deliveries()->count());
    }

    public function test_frames_agree_with_an_approved_picture_of_the_intake(): void
    {
        $ask = static fn (string $picture): array => [
            'time.range' => '1001-1006',
            'content.reference' => [['frame' => 1003, 'picture' => $picture]],
        ];
        $this->intake->put('tide/approved/1003.png', Workbench::png())->put('elsewhere/1003.png', Workbench::png());
        $mark = function (string $picture) use ($ask): string {
            $this->deliverable->update(['overrides' => $ask($picture)]);
            $this->actingAs($this->artist)->post(
                "/deliverables/{$this->deliverable->id}/checks",
                ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
            );

            return array_column($this->newest()->account()['entries'], null, 'id')['content.reference']['mark'];
        };
        self::assertSame('equal', $mark('approved/1003.png'));
        // one that was uploaded is kept by its content, for its production alone
        Storage::fake();
        $send = fn (string $bytes) => $this->actingAs($this->coordinator)->postJson(
            "/deliverables/{$this->deliverable->id}/approved",
            ['picture' => UploadedFile::fake()->createWithContent('a b.png', $bytes)],
        );
        $path = (string) $send(Workbench::png())->assertOk()->json('path');
        self::assertMatchesRegularExpression('~^uploaded/[0-9a-f]{16}\.png$~', $path);
        $other = (string) $send(Workbench::png(32, 18))->assertOk()->json('path');
        self::assertSame(
            ['equal', 'unequal', 'unknown', 'unknown'],
            [
                $mark($path),
                $mark($other),
                $mark('uploaded/0123456789abcdef.png'),
                $mark('uploaded/../../../elsewhere/1003.png'),
            ],
        );
        $send('no picture')->assertStatus(422)->assertJsonPath(
            'message',
            fn (string $m): bool => str_contains($m, 'no whole PNG'),
        );
        $send(substr(Workbench::png(), 0, 40))->assertStatus(422);
        // no path leads out of the intake
        self::assertSame(
            ['unknown', 'unknown'],
            [$mark('../elsewhere/1003.png'), $mark($this->intake->folder.'/elsewhere/1003.png')],
        );
    }

    public function test_an_index_leads_to_the_side_that_has_the_trouble(): void
    {
        $folio = fn (): string => $this->index()[0]['folio'];
        $this->paste(str_replace('64 x 36', '32 x 18', self::FRAMES));
        self::assertSame('scene', $folio());
        $this->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
        );
        $this->paste(self::FRAMES);
        self::assertSame('frames', $folio());
    }

    public function test_what_arrived_then_is_not_said_to_arrive_still(): void
    {
        $this->paste(self::FRAMES);
        $this->newest()->update(['holds_up' => 'still arriving']);
        $says = fn (): ?string => $this->index()[0]['holdsUp'];
        self::assertSame('still arriving', $says());
        Carbon::setTestNow(now()->addHours(3));
        self::assertSame('was arriving; check again', $says());
        Carbon::setTestNow();
        // files that are being written: the page says so, and later that it was then; another look reads them again
        $this->intake->frames('tide/TC_010/v2/TC_010.%04d.png', '1001-1006', Workbench::png(), time() - Workbench::NOW);
        foreach (range(1001, 1006) as $frame) {
            touch("{$this->intake->folder}/tide/TC_010/v2/TC_010.{$frame}.png", time() - (1006 - $frame) * 2);
        }
        $this->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v2', 'depth' => 'quick'],
        )->assertSessionHasNoErrors();
        $arrived = fn (): bool => $this->page("/deliverables/{$this->deliverable->id}/frames")['ledger']['arrived'];
        self::assertSame(['still-arriving', false], [$this->newest()->account()['causes'][0]['id'], $arrived()]);
        Carbon::setTestNow(now()->addHours(3));
        self::assertTrue($arrived());
        Carbon::setTestNow();
        $deliveries = $this->deliverable->deliveries()->count();
        $this->from('/x')->post("/checks/{$this->newest()->id}/again")->assertSessionHas('told');
        self::assertSame($deliveries + 1, $this->deliverable->deliveries()->count());
    }

    public function test_a_log_that_two_follow_is_counted_once(): void
    {
        $this->intake->put('tide/TC_010/v1/r.log', "frame 1001 done in 60 s\nframe 1002 done in 61 s\n");
        $this->actingAs($this->artist)
            ->post(
                "/deliverables/{$this->deliverable->id}/logs/follow",
                ['root' => $this->root(), 'below' => 'TC_010/v1', 'file' => 'r.log'],
            )
            ->assertSessionHasNoErrors();
        $log = $this->deliverable->renderLogs()->firstOrFail();
        // another window has the row from before, and reads on after this one has
        $other = $this->deliverable->renderLogs()->firstOrFail();
        file_put_contents("{$this->intake->folder}/tide/TC_010/v1/r.log", "frame 1003 done in 62 s\n", FILE_APPEND);
        foreach ([$log, $other] as $window) {
            $window->load('deliverable.production', 'deliverable.owner', 'intakeRoot');
            app(FollowLog::class)->run($window, false);
        }
        self::assertSame(
            [3, '1001-1003'],
            [$other->refresh()->reading['lines'] ?? null, $other->reading['finished'] ?? null],
        );
        // while one reads, another waits its turn and leaves it at that
        $held = Cache::lock("log-{$log->id}", 30);
        self::assertTrue($held->get());
        self::assertFalse(Cache::lock("log-{$log->id}", 30)->get());
        $held->release();
    }

    public function test_a_check_is_closed_whole_or_not_at_all(): void
    {
        DB::statement("create trigger no_ticks before update on waivers begin select raise(abort, 'on purpose'); end");
        $this->paste(self::FRAMES);
        $this->actingAs($this->coordinator)->post(
            "/checks/{$this->newest()->id}/waivers",
            ['id' => 'picture.resolution', 'part' => 'frames', 'reason' => 'agreed'],
        );
        $this->paste(str_replace('64 x 36', '32 x 18', self::FRAMES));
        $this->actingAs($this->coordinator)
            ->post(
                "/checks/{$this->newest()->id}/waivers",
                ['id' => 'picture.resolution', 'part' => 'frames', 'reason' => 'agreed'],
            )
            ->assertSessionHasNoErrors();
        $before = [$this->newest()->id, $this->newest()->state];
        // the value has changed, so that the waiver is to end: that fails, and the check with it
        $this->actingAs($this->artist)
            ->withExceptionHandling()
            ->post(
                "/deliverables/{$this->deliverable->id}/scene",
                ['pasted' => str_replace('64 x 36', '16 x 9', self::FRAMES)],
            );
        $after = $this->newest();
        self::assertNotSame($before[0], $after->id);
        self::assertSame(['queued', null], [$after->state->value, $after->verdict?->value]);
    }
}
