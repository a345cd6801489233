<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use App\Models\DeliveryOrigin;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;

/** Frames to be seen, and checks beside each other. */
final class SeeingTest extends LedgerTestCase
{
    private function check(): Check
    {
        $this->actingAs($this->artist)
            ->post(
                "/deliverables/{$this->deliverable->id}/checks",
                ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
            )
            ->assertSessionHasNoErrors();

        return $this->deliverable->checks()->latest('id')->firstOrFail();
    }

    public function test_frames_are_told_with_their_rate_and_what_they_can_be_laid_beside(): void
    {
        $first = $this->check();
        $this->deliverable->update(['overrides' => ['time.rate' => '23.976']]);
        $check = $this->check();
        $page = $this->page("/checks/{$check->id}/look/frames");
        self::assertSame(['1001-1006', [24000, 1001], [], null], [
            $page['present'], $page['rate'], $page['layers'], $page['pass'],
        ]);
        self::assertSame([$first->id], array_column($page['earlier'], 'id'));
        $this->get("/checks/{$check->id}/look/nothing")->assertNotFound();
        $this->get("/checks/{$check->id}/look/frames?pass=depth")->assertNotFound();
        // of files on somebody's own disk there are no pictures
        $check->delivery?->update(['origin' => DeliveryOrigin::Own]);
        $this->get("/checks/{$check->id}/look/frames")->assertNotFound();
    }

    public function test_a_picture_that_was_seen_stays_after_its_file_was_changed(): void
    {
        $this->intake->put('tide/TC_010/v1/TC_010.1003.png', Workbench::png(900, 600));
        $check = $this->check();
        $picture = fn (string $query): \Illuminate\Testing\TestResponse => $this->get(
            "/checks/{$check->id}/pictures/frames/1003{$query}",
        );
        $sizes = static fn (string $png): array => array_slice((array) getimagesizefromstring($png), 0, 2);
        self::assertSame([320, 213], $sizes((string) $picture('')->assertOk()->getContent()));
        self::assertSame([900, 600], $sizes((string) $picture('?size=large')->assertOk()->getContent()));
        $small = $picture('')->getContent();
        $this->intake->put('tide/TC_010/v1/TC_010.1003.png', Workbench::png(64, 36), 5);
        $picture('')->assertNotFound();
        self::assertSame($small, $picture('?even=gone')->assertOk()->getContent());
        // one that nobody saw before cannot be had any more
        $this->intake->put('tide/TC_010/v1/TC_010.1004.png', Workbench::png(64, 36).'x', 5);
        $this->get("/checks/{$check->id}/pictures/frames/1004?even=gone")->assertNotFound();
        // nor is there an approved one
        $picture('?of=approved')->assertNotFound();
    }

    public function test_two_checks_are_told_line_by_line_frame_by_frame_and_file_by_file(): void
    {
        $this->intake->without('tide/TC_010/v1/TC_010.1004.png');
        $first = $this->check();
        $this->intake->put('tide/TC_010/v1/TC_010.1004.png', Workbench::png())
            ->put('tide/TC_010/v1/TC_010.1002.png', substr(Workbench::png(), 0, 60), 10);
        $second = $this->check();
        foreach (["/checks/{$second->id}/against/{$first->id}", "/checks/{$first->id}/against/{$second->id}"] as $at) {
            $page = $this->page($at);
            self::assertSame([$first->id, $second->id], [$page['before']['id'], $page['now']['id']]);
            self::assertSame(['1004', '1002'], [$page['frames'][0]['come'], $page['frames'][0]['damaged']]);
            self::assertSame(['1001-1005x2,1006', '1002', '1004', ''], [
                $page['files'][0]['same'], $page['files'][0]['changed'], $page['files'][0]['come'],
                $page['files'][0]['gone'],
            ]);
            self::assertContains('Every file whole', array_column($page['lines'], 'label'));
        }
        self::assertSame(
            [],
            $this->page("/checks/{$first->id}/against/{$first->id}")['lines'],
        );
    }

    public function test_a_check_of_another_deliverable_is_not_laid_beside(): void
    {
        $check = $this->check();
        $this->actingAs($this->coordinator)->post(
            "/deliverables/{$this->others->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
        );
        $other = $this->others->checks()->latest('id')->firstOrFail();
        $this->actingAs($this->artist)->get("/checks/{$check->id}/against/{$other->id}")->assertNotFound();
    }
}
