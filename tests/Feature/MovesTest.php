<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Check;
use App\Models\FileMove;
use App\Models\User;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;

/** Files renamed, moved and set aside where they lie, by whom it is allowed, and put back. */
final class MovesTest extends LedgerTestCase
{
    /** @return list<string> */
    private function names(string $folder = 'tide/TC_010/v1'): array
    {
        $names = array_values(array_diff(scandir("{$this->intake->folder}/{$folder}") ?: [], ['.', '..']));
        sort($names);

        return $names;
    }

    /** A check of frames whose separator is wrong, with one note among them. */
    private function check(?User $by = null): Check
    {
        foreach ($this->names() as $name) {
            $path = "{$this->intake->folder}/tide/TC_010/v1/";
            rename($path.$name, $path.str_replace('TC_010', 'TC-010', $name));
        }
        $this->actingAs($by ?? $this->artist)->post("/deliverables/{$this->deliverable->id}/checks", [
            'root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick',
        ])->assertRedirect();

        return Check::query()->latest('id')->firstOrFail();
    }

    public function test_names_are_put_right_and_back_again(): void
    {
        $check = $this->check();
        $before = $this->names();
        $ledger = $this->page("/deliverables/{$this->deliverable->id}/frames")['ledger'];
        self::assertSame([true, null, []], [$ledger['movable'], $ledger['moved'], $ledger['took']]);
        $this->deliverable->renderLogs()->create(['name' => 'x', 'reading' => ['along' => [[1001, 900], [1002, 800]]]]);
        self::assertSame(
            [[1001, 900], [1002, 800]],
            $this->page("/deliverables/{$this->deliverable->id}/frames")['ledger']['took'],
        );
        $this->getJson("/checks/{$check->id}/moves")
            ->assertOk()
            ->assertJsonPath('lines.0.from', 'TC-010.####.png')
            ->assertJsonPath('lines.0.to', 'TC_010.####.png')
            ->assertJsonPath('files', 6);
        self::assertSame($before, $this->names());

        $this->post("/checks/{$check->id}/moves")->assertRedirect("/deliverables/{$this->deliverable->id}/frames");
        self::assertContains('TC_010.1003.png', $this->names());
        $now = Check::query()->latest('id')->firstOrFail();
        self::assertGreaterThan($check->id, $now->id);
        self::assertNotContains('naming.pattern', array_column(
            array_filter($now->account()['entries'], static fn (array $e): bool => $e['mark'] === 'unequal'),
            'id',
        ));
        $ledger = $this->page("/deliverables/{$this->deliverable->id}/frames")['ledger'];
        self::assertSame([6, $this->artist->name], [$ledger['moved']['files'], $ledger['moved']['by']]);

        // the check before speaks of names that are no more
        $this->post("/checks/{$check->id}/moves")->assertSessionHasErrors('moves');
        $move = FileMove::query()->firstOrFail();
        $this->delete("/moves/{$move->id}")->assertRedirect();
        self::assertSame($before, $this->names());
        $this->delete("/moves/{$move->id}")->assertSessionHasErrors('moves');
        self::assertNull($this->page("/deliverables/{$this->deliverable->id}/frames")['ledger']['moved']);
    }

    public function test_what_has_changed_meanwhile_is_told_and_left_alone(): void
    {
        $check = $this->check();
        unlink("{$this->intake->folder}/tide/TC_010/v1/TC-010.1002.png");
        $this->getJson("/checks/{$check->id}/moves")
            ->assertStatus(422)
            ->assertJsonPath('message', static fn (string $says): bool => str_contains($says, '6 files then, 5 now'));
        $this->post("/checks/{$check->id}/moves")->assertSessionHasErrors('moves');
        self::assertContains('TC-010.1003.png', $this->names());
        self::assertSame(0, FileMove::query()->count());
    }

    public function test_scripts_do_the_same_elsewhere(): void
    {
        $check = $this->check();
        foreach (['sh' => '#!/bin/sh', 'bat' => '@echo off', 'csv' => 'from,to'] as $format => $begins) {
            $response = $this->get("/checks/{$check->id}/moves.{$format}")->assertOk();
            self::assertStringStartsWith($begins, (string) $response->getContent());
            self::assertStringContainsString('TC_010.1003.png', (string) $response->getContent());
        }
        $this->get("/checks/{$check->id}/moves.exe")->assertNotFound();
    }

    public function test_a_folder_that_may_not_be_written_to_is_told(): void
    {
        $check = $this->check();
        $folder = "{$this->intake->folder}/tide/TC_010/v1";
        file_put_contents("{$folder}/_set-aside", 'somebody has a file of that name');
        $this->post("/checks/{$check->id}/moves")->assertSessionHasErrors('moves');
        self::assertContains('TC-010.1003.png', $this->names());
    }

    public function test_only_those_who_may_check_rename(): void
    {
        $check = $this->check();
        foreach ([$this->other, $this->stranger] as $stranger) {
            $this->actingAs($stranger)->post("/checks/{$check->id}/moves")->assertForbidden();
            $this->actingAs($stranger)->getJson("/checks/{$check->id}/moves")->assertForbidden();
        }
        $this->actingAs($this->coordinator)->post("/checks/{$check->id}/moves")->assertRedirect();
        $move = FileMove::query()->firstOrFail();
        $this->actingAs($this->stranger)->delete("/moves/{$move->id}")->assertForbidden();
        // the artist whose files they are may put back what the coordinator did
        $this->actingAs($this->artist)->delete("/moves/{$move->id}")->assertRedirect();
        self::assertContains('TC-010.1003.png', $this->names());
    }

    public function test_an_archive_in_the_intake_is_checked_as_it_is(): void
    {
        $zip = new \ZipArchive;
        $zip->open("{$this->intake->folder}/tide/TC_010/hand in.zip", \ZipArchive::CREATE);
        foreach ($this->names() as $name) {
            $zip->addFromString("v1/{$name}", Workbench::png());
        }
        $zip->close();
        $browse = "/deliverables/{$this->deliverable->id}/intake?root={$this->root()}&below=";
        $this->actingAs($this->artist)->getJson($browse)->assertJson(['archives' => ['hand in.zip']]);
        $this->getJson($browse.rawurlencode('TC_010/hand in.zip'))->assertJson(['files' => 6, 'folders' => []]);
        $this->post("/deliverables/{$this->deliverable->id}/checks", [
            'root' => $this->root(), 'below' => 'TC_010/hand in.zip', 'depth' => 'quick',
        ])->assertRedirect();
        $check = Check::query()->latest('id')->firstOrFail();
        self::assertSame('1001-1006', $check->account()['sequences'][0]['present']);
        self::assertSame(
            'image/png',
            $this->get("/checks/{$check->id}/pictures/frames/1003")->assertOk()->headers->get('Content-Type'),
        );
        $this->post("/checks/{$check->id}/moves")->assertSessionHasErrors('moves');

        file_put_contents("{$this->intake->folder}/tide/TC_010/torn.zip", 'PK'.str_repeat('x', 900));
        file_put_contents("{$this->intake->folder}/tide/TC_010/torn.zip", "PK\x03\x04".str_repeat('x', 900));
        $this->getJson($browse.'TC_010/torn.zip')->assertStatus(422);
        $this->post("/deliverables/{$this->deliverable->id}/checks", [
            'root' => $this->root(), 'below' => 'TC_010/torn.zip', 'depth' => 'quick',
        ])->assertSessionHasErrors();
        symlink('/etc/passwd', "{$this->intake->folder}/tide/TC_010/link.zip");
        $this->getJson($browse.'TC_010/link.zip')->assertStatus(422);
    }
}
