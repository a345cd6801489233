<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Checks\ScanSlice;
use App\Models\Check;
use App\Models\Delivery;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;

final class CheckingTest extends LedgerTestCase
{
    private function checkFolder(string $below = 'TC_010/v1', string $depth = 'quick'): Check
    {
        $this->actingAs($this->artist)
            ->post(
                "/deliverables/{$this->deliverable->id}/checks",
                ['root' => $this->root(), 'below' => $below, 'depth' => $depth],
            )
            ->assertRedirect("/deliverables/{$this->deliverable->id}/frames")
            ->assertSessionHasNoErrors();

        return Check::query()->latest('id')->firstOrFail();
    }

    private function drop(string $content, string $name = 'scene.json'): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->artist)
            ->from("/deliverables/{$this->deliverable->id}/scene")
            ->post(
                "/deliverables/{$this->deliverable->id}/scene",
                ['settings' => UploadedFile::fake()->createWithContent($name, $content)],
            );
    }

    private static function scene(array $settings): string
    {
        return (string) json_encode(
            ['format' => 'plain-ledger/scene', 'version' => 1, 'scene' => ['saved' => true], 'settings' => $settings],
        );
    }

    public function test_what_has_not_changed_is_not_read_again(): void
    {
        $this->actingAs($this->artist);
        $order = ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'];
        $check = function (array $order): array {
            $this->post("/deliverables/{$this->deliverable->id}/checks", $order)->assertSessionHasNoErrors();
            $entries = (array) $this->deliverable->checks()->latest('id')->firstOrFail()->account()['entries'];

            return array_column($entries, null, 'id');
        };
        $check($order);
        // nobody can tell this from what it was, but by reading every byte
        $path = "{$this->intake->folder}/tide/TC_010/v1/TC_010.1003.png";
        $time = (int) filemtime($path);
        file_put_contents($path, str_repeat("\0", (int) filesize($path)));
        touch($path, $time);
        self::assertSame('equal', $check($order)['content.whole']['files']['mark']);
        self::assertSame('unequal', $check(['depth' => 'full'] + $order)['content.whole']['files']['mark']);
        touch($path, $time + 5);
        self::assertSame('unequal', $check($order)['content.whole']['files']['mark']);
    }

    public function test_a_folder_is_checked_and_the_ledger_says_what_is_wrong(): void
    {
        $check = $this->checkFolder();

        self::assertSame(
            ['done', 'unbalanced', '4 frames to render'],
            [$check->state->value, $check->verdict?->value, $check->holds_up],
        );
        $page = $this->page("/deliverables/{$this->deliverable->id}/frames");
        self::assertSame('render-stopped', $page['ledger']['document']['causes'][0]['id']);
        self::assertSame('1007-1010', $page['ledger']['document']['sequences'][0]['rerender']);
        self::assertSame('unequal', $page['deliverable']['folios']['frames']);
        self::assertSame('4 frames to render', $this->index()[0]['holdsUp']);
        self::assertStringNotContainsString($this->intake->folder, (string) json_encode($page));
    }

    public function test_scene_and_files_stand_side_by_side_whichever_came_first(): void
    {
        $this->checkFolder();
        $this->drop(
            self::scene(['time.rate' => '25', 'time.range' => '1001-1010', 'future.setting' => 1]),
        )->assertSessionHasNoErrors();
        $page = $this->page("/deliverables/{$this->deliverable->id}/scene");
        $range = array_values(
            array_filter(
                $page['ledger']['document']['entries'],
                static fn (array $e): bool => $e['id'] === 'time.range',
            ),
        )[0];

        self::assertSame(['1001-1010', '1001-1006'], [$range['scene']['found'], $range['files']['found']]);
        self::assertContains('rate-of-another-standard', array_column($page['ledger']['document']['causes'], 'id'));
        self::assertSame(['future.setting'], $page['ledger']['document']['not_understood']);
        self::assertCount(2, $page['past']);

        $again = $this->checkFolder();
        self::assertNotNull($again->scene_id);
        self::assertNotNull($again->delivery_id);
    }

    public function test_a_check_keeps_the_revision_it_used(): void
    {
        $first = $this->checkFolder();
        $this->actingAs($this->coordinator)
            ->patch(
                "/deliverables/{$this->deliverable->id}/requirements",
                ['id' => 'picture.resolution', 'value' => '128 x 72', 'level' => 'must', 'scope' => 'specification'],
            )
            ->assertSessionHasNoErrors();
        $second = $this->checkFolder();

        self::assertSame([1, 2], [$first->revision->number, $second->revision->number]);
        $old = $this->page("/checks/{$first->id}");
        self::assertSame('64x36', $old['ledger']['document']['entries'][0]['required']);
        self::assertFalse($old['ledger']['current']);
        self::assertSame(
            '128x72',
            $this->page("/checks/{$second->id}")['ledger']['document']['entries'][0]['required'],
        );
    }

    public function test_deliveries_are_stored_apart_and_read_back_whole(): void
    {
        $check = $this->checkFolder();
        $delivery = Delivery::query()->findOrFail($check->delivery_id);

        self::assertSame(6, $delivery->file_count);
        self::assertSame(6, $delivery->scanned()->fileCount());
        $reports = [];
        foreach (['json', 'csv', 'xml', 'txt'] as $format) {
            $reports[$format] = (string) $this->get("/checks/{$check->id}/report.{$format}")->assertOk()->getContent();
        }
        $document = json_decode($reports['json'], true);
        self::assertSame($check->account()['entries'], $document['entries']);
        self::assertStringContainsString('The render stopped after frame 1006', $reports['txt']);
        self::assertStringContainsString('<failure', $reports['xml']);
        self::assertStringContainsString('time.range', $reports['csv']);
        $this->get("/checks/{$check->id}/report.exe")->assertNotFound();
    }

    public function test_a_large_folder_goes_to_the_queue_and_can_be_followed_and_stopped(): void
    {
        Queue::fake();
        config(['ledger.files_at_once' => 3]);
        $check = $this->checkFolder();
        Queue::assertPushed(ScanSlice::class);
        self::assertSame('queued', $check->state->value);
        $this->getJson("/checks/{$check->id}/progress")->assertJson(['state' => 'queued', 'done' => 0]);
        $this->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'full'],
        )->assertSessionHasErrors('below');

        $this->post("/checks/{$check->id}/stop");
        (new ScanSlice($check->id))->handle(app(\App\Actions\Checks\KeepScan::class));
        self::assertSame('stopped', $check->refresh()->state->value);
        self::assertNull($check->document);
    }

    public function test_a_scan_goes_on_from_its_checkpoint_in_the_next_slice(): void
    {
        $this->intake->frames('tide/TC_010/many/TC_010.%04d.png', '1-900', Workbench::png());
        config(['ledger.files_at_once' => 3, 'ledger.slice' => 0, 'queue.default' => 'database']);
        Queue::fake();
        $check = $this->checkFolder('TC_010/many');
        $slices = 0;
        while ($check->refresh()->isUnderWay() && $slices < 30) {
            $slices++;
            (new ScanSlice($check->id))->handle(app(\App\Actions\Checks\KeepScan::class));
        }

        self::assertGreaterThan(2, $slices);
        self::assertSame('done', $check->state->value);
        self::assertSame('1-900', $check->account()['sequences'][0]['present']);
    }

    public function test_a_folder_that_vanishes_meanwhile_is_told_in_words(): void
    {
        Queue::fake();
        config(['ledger.files_at_once' => 3]);
        $check = $this->checkFolder();
        Workbench::remove($this->intake->folder.'/tide/TC_010/v1');
        (new ScanSlice($check->id))->handle(app(\App\Actions\Checks\KeepScan::class));

        self::assertSame('failed', $check->refresh()->state->value);
        self::assertStringContainsString('is not in this intake', (string) $check->fault);
        self::assertSame(
            $check->fault,
            $this->page("/deliverables/{$this->deliverable->id}/frames")['broken']['says'] ?? null,
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function badScenes(): iterable
    {
        yield 'not JSON' => ['hello', 'line 1, column 1'];
        yield 'cut off' => ['{"format": "plain-ledger/scene", "version": 1, "settings": {"time.rate"', 'cut short'];
        yield 'another format' => ['{"format": "plain-ledger/specification", "version": 1}', 'plain-ledger/scene'];
        yield 'another version' => ['{"format": "plain-ledger/scene", "version": 7}', 'version 7'];
        yield 'wrong types' => [
            '{"format": "plain-ledger/scene", "version": 1, "settings": "x"}',
            '"settings" must be an object',
        ];
        yield 'empty' => ['', 'empty'];
        yield 'not UTF-8' => ["{\"format\": \"\xFF\"}", 'UTF-8'];
        yield 'too large' => [str_repeat(' ', 4_100_000), 'at most 4 MB'];
    }

    #[DataProvider('badScenes')]
    public function test_a_settings_file_that_cannot_be_used_is_refused_in_one_sentence(
        string $content,
        string $says,
    ): void {
        $response = $this->drop($content, '<b>bad</b>.json');
        $response->assertSessionHasErrors('settings');
        $said = (string) session('errors')?->first('settings');

        self::assertStringContainsString($says, $said);
        self::assertStringNotContainsString("\n", $said);
        self::assertSame(0, Check::query()->count() + $this->deliverable->scenes()->count());
    }

    public function test_names_with_markup_and_odd_bytes_do_no_harm(): void
    {
        foreach ([
            '<script>x<script>.png',
            "line\nbreak.png",
            "bad\xFFbyte.png",
            str_repeat('n', 251).'.png',
        ] as $name) {
            $this->intake->put("tide/TC_010/v1/{$name}", 'x');
        }
        $this->checkFolder();
        $strays = $this->page("/deliverables/{$this->deliverable->id}/frames")['ledger']['document']['strays'];

        self::assertContains('line\x0Abreak.png', $strays);
        self::assertContains('bad\xFFbyte.png', $strays);
        self::assertContains('<script>x<script>.png', $strays);
        self::assertStringNotContainsString(
            '<script>x<script>',
            (string) $this->get("/deliverables/{$this->deliverable->id}/frames")->getContent(),
        );
    }
}
