<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\SentSlices;
use App\Models\Check;
use App\Models\DeliveryOrigin;
use App\Models\LinkKind;
use App\Models\SheetLink;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Delivery\Picked\Wanted;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;
use Tests\Feature\Support\OwnDisk;

/** Files that are checked where they lie, and archives that are handed in. */
final class OwnFilesTest extends LedgerTestCase
{
    use OwnDisk;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->withSideTables();
    }

    public function test_a_folder_of_ones_own_comes_to_the_same_as_in_the_intake(): void
    {
        $this->actingAs($this->artist);
        $this->post(
            "/deliverables/{$this->deliverable->id}/checks",
            ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
        )->assertSessionHasNoErrors();
        $there = $this->deliverable->checks()->latest('id')->firstOrFail();
        $answer = $this->throughToTheEnd($this->begin());
        $own = Check::query()->findOrFail($answer['check']);

        self::assertSame($there->verdict, $own->verdict);
        self::assertSame($there->account()['entries'], $own->account()['entries']);
        self::assertSame([DeliveryOrigin::Own, 'v1', null], [
            $own->delivery?->origin, $own->delivery?->folder, $own->delivery?->intake_root_id,
        ]);
        self::assertSame([], Storage::directories('spool/picked'));
        // its files cannot be reached from here
        $this->get("/checks/{$own->id}/pictures/frames/1001")->assertNotFound();
        $this->post("/checks/{$own->id}/moves")->assertSessionHasErrors('moves');
        // but the browser is told where each lies, so that it can draw it
        $file = stat("{$this->folder()}/TC_010.1001.png") ?: self::fail('It is not there.');
        $this->getJson("/checks/{$own->id}/places/frames/1001")->assertOk()->assertExactJson(
            ['path' => 'TC_010.1001.png', 'size' => $file['size'], 'modified' => $file['mtime']],
        );
        $this->getJson("/checks/{$own->id}/places/frames/5")->assertNotFound();
        $this->getJson("/checks/{$own->id}/places/nothing/1001")->assertNotFound();
        $this->getJson("/checks/{$there->id}/places/frames/1001")->assertNotFound();
        $this->post("/checks/{$own->id}/again")->assertRedirect();
    }

    public function test_names_on_ones_own_disk_are_put_right_by_a_script(): void
    {
        foreach ($this->names() as [$name]) {
            rename("{$this->folder()}/{$name}", "{$this->folder()}/".str_replace('TC_010', 'TC-010', $name));
        }
        $this->actingAs($this->artist);
        $check = $this->throughToTheEnd($this->begin())['check'];
        self::assertTrue($this->page("/deliverables/{$this->deliverable->id}/frames")['ledger']['elsewhere']);
        $plan = $this->getJson("/checks/{$check}/moves")->assertOk()->json();
        self::assertSame(['TC-010.####.png', 'TC_010.####.png', 6], [
            $plan['lines'][0]['from'], $plan['lines'][0]['to'], $plan['files'],
        ]);
        $file = stat("{$this->folder()}/TC-010.1001.png") ?: self::fail('It is not there.');
        $moves = $this->getJson("/checks/{$check}/moves.json")->assertOk()->json('moves');
        self::assertCount(6, $moves);
        self::assertSame(['TC-010.1001.png', 'TC_010.1001.png', $file['size'], $file['mtime']], $moves[0]);
        $script = (string) $this->get("/checks/{$check}/moves.sh")->assertOk()->getContent();
        file_put_contents("{$this->intake->folder}/right.sh", $script);
        exec('cd '.escapeshellarg($this->folder()).' && sh ../../../right.sh 2>&1', $said, $code);
        self::assertSame(0, $code, implode("\n", $said));
        self::assertFileExists("{$this->folder()}/TC_010.1003.png");
        $check = $this->throughToTheEnd($this->begin())['check'];
        $entries = array_column(Check::query()->findOrFail($check)->account()['entries'], null, 'id');
        self::assertSame('equal', $entries['naming.pattern']['files']['mark']);
    }

    public function test_what_was_not_asked_for_is_not_taken(): void
    {
        $this->actingAs($this->artist);
        foreach ([
            'another range' => fn (array $r): string => $this->body([array_key_first($r) => [[1, 2]]]),
            'another file' => fn (array $r): string => $this->body([1 => [[0, 1]], 2 => [[5, 5]]]),
            'more bytes than were told' => fn (array $r): string => $this->body($r).'x',
            'fewer bytes than were told' => fn (array $r): string => substr($this->body($r), 0, -1),
            'no head' => static fn (array $r): string => 'abc',
            'a head without end' => static fn (array $r): string => pack('N', 0x7FFFFFFF).'{}',
            'no json' => static fn (array $r): string => pack('N', 3).'{{{',
        ] as $what => $body) {
            $at = $this->begin();
            $answer = $this->postJson("{$at}/names", ['files' => $this->names(), 'all' => true])->assertOk()->json();
            $this->send($at, $body($answer['ranges']))->assertStatus(422);
            $this->getJson($at)->assertNotFound();
            self::assertSame([], Storage::directories('spool/picked'), $what);
        }
    }

    public function test_a_sum_or_a_loss_of_something_else_is_not_taken(): void
    {
        $head = json_encode(['gone' => [7, 'x', 3], 'sums' => ['3' => 'abc', '4' => str_repeat('a', 64)]]);
        $sent = SentSlices::read(
            pack('N', strlen((string) $head)).$head,
            new Wanted([7 => [[0, 5]]], [4 => 'sha256', 3 => 'md5']),
        );
        self::assertSame([7, 3], array_keys($sent->gone));
        self::assertSame(['3' => null, '4' => str_repeat('a', 64)], $sent->sums);

        $this->expectException(FolderRefused::class);
        SentSlices::read(pack('N', 2).'{}x', new Wanted);
    }

    public function test_a_file_that_is_gone_meanwhile_is_told_and_the_others_are_judged(): void
    {
        $this->actingAs($this->artist);
        $at = $this->begin();
        $answer = $this->postJson("{$at}/names", ['files' => $this->names(), 'all' => true])->assertOk()->json();
        $lost = array_key_first($answer['ranges']);
        $ranges = array_diff_key($answer['ranges'], [$lost => true]);
        $answer = $this->send($at, $this->body($ranges, ['gone' => [(int) $lost]]))->assertOk()->json();
        for ($n = 0; ! isset($answer['ended']) && $n < 30; $n++) {
            $answer = $this->send($at, $this->body($answer['ranges']))->assertOk()->json();
        }
        $document = (string) json_encode(Check::query()->findOrFail($answer['check'])->account());
        self::assertStringContainsString('changed, or taken away', $document);
    }

    public function test_one_that_broke_off_goes_on_where_it_was_and_can_be_given_up(): void
    {
        $this->actingAs($this->artist);
        $at = $this->begin();
        $answer = $this->postJson("{$at}/names", ['files' => $this->names(), 'all' => true])->assertOk()->json();
        // the answer was lost, and is asked for once more
        self::assertSame($answer['ranges'], $this->getJson($at)->assertOk()->json('ranges'));
        $this->postJson("{$at}/names", ['files' => [], 'all' => true])->assertStatus(422);

        $at = $this->begin();
        $this->deleteJson($at)->assertOk();
        $this->getJson($at)->assertNotFound();
        // nobody went on with it for an hour
        $left = $this->begin();
        touch(Storage::path('spool'.$left.'/about.json'), time() - 4000);
        $this->begin();
        $this->getJson($left)->assertNotFound();
    }

    public function test_the_same_folder_chosen_once_more_goes_on_where_it_broke_off(): void
    {
        $this->actingAs($this->artist);
        $files = 450;
        $png = Workbench::png(600, 400);
        $this->intake->frames('tide/TC_010/v1/more.%04d.png', "1-{$files}", $png);
        $at = $this->begin();
        $first = $this->postJson("{$at}/names", ['files' => $this->names(), 'all' => true])->assertOk()->json();
        $later = $this->send($at, $this->body($first['ranges']))->assertOk()->json();
        self::assertGreaterThan(0, $later['done']);

        // the page was closed; what was looked at is not asked for again
        $again = $this->begin();
        $answer = $this->postJson("{$again}/names", ['files' => $this->names(), 'all' => true])->assertOk()->json();
        self::assertSame($later['ranges'], $answer['ranges']);
        self::assertSame($later['done'], $answer['done']);
        $this->getJson($at)->assertNotFound();
        for ($n = 0; ! isset($answer['ended']) && $n < 30; $n++) {
            $answer = $this->send($again, $this->body($answer['ranges']))->assertOk()->json();
        }
        self::assertSame(456, Check::query()->findOrFail($answer['check'])->delivery?->file_count);

        // another folder, or another person's, begins anew
        $at = $this->begin();
        $this->send($at, $this->body(
            $this->postJson("{$at}/names", ['files' => $this->names(), 'all' => true])->json('ranges'),
        ))->assertOk();
        $other = $this->begin(true);
        $this->postJson("{$other}/names", ['files' => $this->names(), 'all' => true])->assertJson(['done' => 0]);
    }

    public function test_only_so_many_are_looked_at_at_once_and_idle_ones_make_room(): void
    {
        $this->actingAs($this->artist);
        $first = $this->begin();
        for ($n = 1; $n < 20; $n++) {
            $this->begin();
        }
        $this->postJson("/deliverables/{$this->deliverable->id}/picked", ['folder' => 'v1', 'now' => 5])
            ->assertStatus(422)
            ->assertSee('has to wait');
        touch(Storage::path('spool'.$first.'/about.json'), time() - 130);
        $this->begin();
        $this->getJson($first)->assertNotFound();
    }

    public function test_nobody_else_goes_on_with_it(): void
    {
        $this->actingAs($this->artist);
        $at = $this->begin();
        $this->actingAs($this->coordinator)->getJson($at)->assertForbidden();
        $this->actingAs($this->coordinator)->postJson("{$at}/names", ['files' => [], 'all' => true])->assertForbidden();
        auth()->logout();
        $this->getJson($at)->assertForbidden();
        $this->getJson('/picked/u1-'.str_repeat('0', 32))->assertNotFound();
        $this->getJson('/picked/..%2F..')->assertNotFound();
    }

    public function test_somebody_without_a_sign_in_checks_by_a_link_and_nothing_is_kept(): void
    {
        $this->actingAs($this->coordinator)
            ->post("/deliverables/{$this->deliverable->id}/sheets", ['days' => 7, 'kind' => 'check'])
            ->assertSessionHasNoErrors();
        $link = SheetLink::query()->firstOrFail();
        self::assertSame(LinkKind::Check, $link->kind);
        auth()->logout();
        $this->flushSession();

        $told = ['folder' => 'mine', 'now' => (int) (microtime(true) * 1000), 'whole' => false];
        $this->postJson("/own/{$link->id}", $told)->assertForbidden();
        $this->get("/own/{$link->id}")->assertForbidden();
        // it opens no sheet, and a sheet's link opens no check
        $this->get(str_replace('/own/', '/sheets/', $link->path()))->assertForbidden();
        $this->get($link->path())->assertOk()->assertSee('TC_010');
        $token = $this->postJson("/own/{$link->id}", $told)->assertOk()->json('token');
        $answer = $this->throughToTheEnd("/picked/{$token}");
        self::assertContains('time.range', array_column($answer['document']['entries'], 'id'));
        self::assertSame(0, $this->deliverable->checks()->count());
        self::assertSame([], Storage::allFiles('spool'));

        $link->update(['revoked_at' => now()]);
        $this->postJson("/own/{$link->id}", $told)->assertForbidden();
    }

    private function zip(): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'pl-zip');
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::OVERWRITE);
        foreach ($this->names() as [$name]) {
            $zip->addFile("{$this->folder()}/{$name}", "mine/{$name}");
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    private function piece(string $zip, int $at, int $length, string $name = 'mine.zip'): TestResponse
    {
        return $this->postJson("/deliverables/{$this->deliverable->id}/archive", [
            'name' => $name, 'size' => strlen($zip), 'modified' => 5, 'at' => $at,
            'piece' => UploadedFile::fake()->createWithContent('piece', substr($zip, $at, $length)),
        ]);
    }

    public function test_an_archive_comes_in_pieces_and_goes_on_where_it_was(): void
    {
        $this->actingAs($this->artist);
        $zip = $this->zip();
        $half = intdiv(strlen($zip), 2);
        self::assertSame($half, $this->piece($zip, 0, $half)->assertOk()->json('arrived'));
        $about = http_build_query(['name' => 'mine.zip', 'size' => strlen($zip), 'modified' => 5]);
        $this->getJson("/deliverables/{$this->deliverable->id}/archive?{$about}")->assertJson(['arrived' => $half]);
        $this->piece($zip, $half, $half + 1)->assertOk();

        $check = $this->deliverable->checks()->latest('id')->firstOrFail();
        self::assertSame(['done', DeliveryOrigin::Upload], [$check->state->value, $check->delivery?->origin]);
        $entries = array_column((array) $check->account()['entries'], null, 'id');
        self::assertSame('1001-1006', $entries['time.range']['files']['found']);
        // as whoever handed it in called it, and not as it is kept
        self::assertSame('mine/mine', $check->delivery?->scanned()->root);
        self::assertSame([], Storage::files('spool/archives'));
        // its pictures are to be seen, and it can be looked at once more
        $part = $check->account()['entries'][0]['part'];
        $this->get("/checks/{$check->id}/pictures/{$part}/1001")->assertOk();
        foreach ([1, 2] as $n) {
            $this->piece($zip, 0, strlen($zip), "mine{$n}.zip")->assertOk();
        }
        self::assertCount(2, Storage::files("archives/{$this->deliverable->id}"));
        $this->get("/checks/{$check->id}/pictures/{$part}/1001")->assertNotFound();
    }

    public function test_of_one_person_few_are_waited_for_and_what_was_handed_in_counts(): void
    {
        $this->actingAs($this->artist);
        $zip = $this->zip();
        for ($n = 0; $n < 5; $n++) {
            $this->piece($zip, 0, 50, "many{$n}.zip")->assertOk();
        }
        self::assertCount(3, Storage::files('spool/archives'));
        $this->piece($zip, 0, strlen($zip))->assertOk();
        $this->deliverable->production->update(['limits' => ['bytes' => strlen($zip) - 1]]);
        cache()->flush();
        $this->piece($zip, 0, strlen($zip), 'more.zip')->assertStatus(422);
        self::assertCount(1, $this->deliverable->checks()->get());
        self::assertLessThanOrEqual(1, count(Storage::files("archives/{$this->deliverable->id}")));
    }

    public function test_what_is_no_archive_or_too_large_or_out_of_turn_is_refused_and_not_kept(): void
    {
        $this->actingAs($this->artist);
        $zip = $this->zip();
        $this->piece(Workbench::png(), 0, 500)->assertStatus(422)->assertSee('no zip archive');
        $this->piece($zip, 100, 50)->assertStatus(422)->assertSee('in its turn');
        $this->piece(substr($zip, 0, 900), 0, 900)->assertStatus(422);
        $this->deliverable->production->update(['limits' => ['archive' => 100]]);
        $this->piece($zip, 0, 50)->assertStatus(422)->assertSee('at most 100 B');
        self::assertSame([], Storage::files('spool/archives'));
        self::assertSame(0, $this->deliverable->checks()->count());
    }
}
