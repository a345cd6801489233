<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Checks\ScanSlice;
use App\Models\Check;
use Illuminate\Support\Facades\Queue;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;

/** What is in the pictures, asked and looked at through the application. */
final class PicturesTest extends LedgerTestCase
{
    private function ask(string $id, string $value): void
    {
        $this->actingAs($this->coordinator)
            ->from('/x')
            ->patch(
                "/deliverables/{$this->deliverable->id}/requirements",
                ['id' => $id, 'value' => $value, 'level' => 'must', 'scope' => 'specification'],
            )
            ->assertSessionHasNoErrors();
    }

    private function check(): Check
    {
        $this->actingAs($this->artist)
            ->post(
                "/deliverables/{$this->deliverable->id}/checks",
                ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
            )
            ->assertRedirect();

        return $this->deliverable->checks()->latest('id')->firstOrFail();
    }

    /** @return array<string, array<string, mixed>> lines by id */
    private static function lines(Check $check): array
    {
        return array_column($check->account()['entries'], null, 'id');
    }

    public function test_frozen_frames_are_found_and_kept_with_the_delivery(): void
    {
        $this->ask('content.frozen', 'none');
        $this->ask('content.black', 'none');
        // six times the same picture
        $check = $this->check();
        self::assertSame(
            ['unequal', '1001-1006'],
            [self::lines($check)['content.frozen']['mark'], self::lines($check)['content.frozen']['files']['found']],
        );
        self::assertSame('equal', self::lines($check)['content.black']['mark']);
        self::assertContains('frozen-frames', array_column($check->account()['causes'], 'id'));
        // a check of what is asked by then needs no second look
        $this->ask('content.frozen', 'at most 10 frames');
        Queue::fake();
        $this->actingAs($this->coordinator)
            ->post("/specifications/{$this->deliverable->specification_id}/recheck")
            ->assertSessionHas('told', '1 deliverable was checked again, from the files as they were last read.');
        Queue::assertNothingPushed();
        self::assertSame(
            'equal',
            self::lines($this->deliverable->checks()->latest('id')->firstOrFail())['content.frozen']['mark'],
        );
    }

    public function test_what_nobody_has_looked_at_is_looked_at_when_it_is_asked(): void
    {
        $this->check();
        $this->ask('content.frozen', 'none');
        Queue::fake();
        $this->actingAs($this->coordinator)
            ->post("/specifications/{$this->deliverable->specification_id}/recheck")
            ->assertSessionHas('told', '1 is being looked at, for what nobody has looked for yet.');
        Queue::assertPushed(ScanSlice::class, 1);
    }

    public function test_few_files_wait_for_the_queue_where_pixels_are_looked_at(): void
    {
        self::assertFalse($this->check()->isUnderWay());
        $this->ask('content.loop', 'yes');
        Queue::fake();
        self::assertTrue($this->check()->isUnderWay());
        Queue::assertPushed(ScanSlice::class, 1);
    }

    public function test_float_pictures_are_shown(): void
    {
        $this->intake->frames('tide/TC_010/exr/TC_010.%04d.exr', '1001-1003', Workbench::exr());
        $this->actingAs($this->artist)->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/exr', 'depth' => 'quick'],
        );
        $check = $this->deliverable->checks()->latest('id')->firstOrFail();
        self::assertSame([1001, 1002, 1003], $check->account()['strip'][0]['pictures']);
        $png = (string) $this->get("/checks/{$check->id}/pictures/frames/1002")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/png')
            ->getContent();
        self::assertSame([64, 36], array_slice((array) getimagesizefromstring($png), 0, 2));
    }

    public function test_layers_of_a_picture_are_shown_each_by_itself(): void
    {
        $exr = Workbench::exr(channels: ['R', 'G', 'B', 'A', 'mist.Y', 'shadow.Y']);
        $this->intake->frames('tide/TC_010/layers/TC_010.%04d.exr', '1001-1003', $exr);
        $this->actingAs($this->artist)->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/layers', 'depth' => 'quick'],
        );
        $check = $this->deliverable->checks()->latest('id')->firstOrFail();
        self::assertSame(['', 'mist', 'shadow'], $check->account()['strip'][0]['layers']);
        $url = "/checks/{$check->id}/pictures/frames/1002";
        $shown = array_map(
            fn (string $layer): string => (string) $this->get("{$url}?layer={$layer}")->assertOk()->getContent(),
            ['', 'mist', 'shadow'],
        );
        self::assertCount(3, array_unique($shown));
        foreach (['smoke', '../mist', str_repeat('m', 4000)] as $other) {
            $this->get("{$url}?layer={$other}")->assertNotFound();
        }
        $this->get("{$url}?layer[]=mist")->assertOk();
    }
}
