<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Checks\ThinOut;
use App\Actions\Submissions\KeepSubmission;
use App\Actions\Submissions\KeepVerification;
use App\Actions\Submissions\SealSlice;
use App\Actions\Submissions\SignOff;
use App\Actions\Submissions\SubmissionRefused;
use App\Audit\Chain;
use App\Models\Check;
use App\Models\HistoryEnd;
use App\Models\HistoryEntry;
use App\Models\Notice;
use App\Models\SheetLink;
use App\Models\Submission;
use App\Models\SubmissionState;
use App\Models\Webhook;
use App\Security\RecordKeys;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PlainLedger\Core\Checksums\Manifest;
use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Submission\SubmissionRecord;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;
use Tests\Feature\Support\Signing;

/** What is handed over is sealed to the very files that were checked. */
final class SubmissionTest extends LedgerTestCase
{
    use Signing;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withTenFrames();
    }

    public function test_on_paper_an_open_link_is_a_code(): void
    {
        $submission = $this->sign($this->check());
        $url = "/submissions/{$submission?->id}/record.pdf";
        $without = strlen((string) $this->get($url)->getContent());
        $this->post("/submissions/{$submission?->id}/links", ['days' => 3])->assertSessionHasNoErrors();
        $with = strlen((string) $this->get($url)->getContent());
        self::assertGreaterThan($without + 1000, $with);
        SheetLink::query()->update(['revoked_at' => now()]);
        self::assertLessThan($with - 1000, strlen((string) $this->get($url)->getContent()));
    }

    public function test_others_are_told_of_it(): void
    {
        $hook = Webhook::query()->create([
            'production_id' => $this->production->id, 'url' => 'https://127.0.0.1/', 'secret' => 's',
            'events' => ['submission.signed', 'submission.withdrawn'],
        ]);
        $first = $this->sign($this->check());
        $this->post("/submissions/{$first?->id}/withdraw", ['why' => 'another slate']);

        $told = Notice::query()->where('user_id', $this->artist->id)->where('kind', 'signed-off')->pluck('says')->all();
        // of the same page what comes later stands for what came before it and was not read
        self::assertSame(['TC_010 is not signed off any more: another slate'], $told);
        $own = Notice::query()->where('user_id', $this->coordinator->id)->where('kind', 'signed-off');
        self::assertSame(0, $own->count());
        $read = static fn (string $body): array => json_decode($body, true);
        $calls = $hook->calls()->orderBy('id')->pluck('body')->map($read);
        self::assertSame(['submission.signed', 'submission.withdrawn'], $calls->pluck('event')->all());
        self::assertSame([1, 'another slate'], [
            $calls[0]['about']['submission'], $calls[1]['about']['why'],
        ]);
    }

    public function test_what_balances_is_signed_and_its_record_holds(): void
    {
        $check = $this->check();
        self::assertSame([[], null], [$this->shown()['obstacles'], $this->shown()['current']]);
        $signed = $this->sign($check, ['note' => 'As agreed.', 'algorithms' => ['sha256', 'md5']]);

        self::assertSame([SubmissionState::Signed, 1, 10], [$signed?->state, $signed?->number, $signed?->file_count]);
        $current = $this->shown()['current'];
        self::assertSame(['As agreed.', ['SHA-256', 'MD5']], [$current['note'], $current['sums']]);
        self::assertTrue($this->shown()['deliverable']['submitted']);
        $text = (string) $this->get("/submissions/{$signed?->id}/record.json")->assertOk()->getContent();
        $record = SubmissionRecord::read($text, 'record.json');
        self::assertTrue($record->holds());
        self::assertTrue(RecordKeys::isOurs($record->key()));
        self::assertSame(
            ['sha256', hash('sha256', Workbench::png())],
            $record->sums()['TC_010.1001.png'],
        );
        self::assertSame(
            ['TC_010', 'Coordinator', 'balanced', 10],
            [
                $record->data['deliverable']['code'], $record->data['signed_by'], $record->data['verdict'],
                $record->data['totals']['files'],
            ],
        );
        self::assertStringStartsWith(
            md5(Workbench::png())."  TC_010.1001.png\n",
            (string) $this->get("/submissions/{$signed?->id}/record.md5")->assertOk()->getContent(),
        );
        $this->get("/submissions/{$signed?->id}/record.xxh64")->assertNotFound();
        $manifest = $this->get("/submissions/{$signed?->id}/record.mhl")->assertOk();
        self::assertStringContainsString('<md5 action="original"', (string) $manifest->getContent());
        self::assertSame(
            md5(Workbench::png()),
            iterator_to_array(Manifest::read((string) $manifest->getContent()), false)[0]->sum,
        );
        $page = (string) $this->get("/submissions/{$signed?->id}/record.html")->assertOk()->getContent();
        self::assertStringContainsString('As agreed.', $page);
        self::assertStringContainsString((string) $signed?->fingerprint, $page);
        self::assertStringNotContainsString('not as it was signed', $page);
        foreach (['csv', 'xml'] as $format) {
            $this->get("/submissions/{$signed?->id}/record.{$format}")->assertOk();
        }
        self::assertStringStartsWith(
            '%PDF',
            (string) $this->get("/submissions/{$signed?->id}/record.pdf")->assertOk()->getContent(),
        );
    }

    public function test_its_record_shows_what_was_signed(): void
    {
        file_put_contents($this->frame(1005), Workbench::png(channels: 'RGBA'));
        touch($this->frame(1005), time() - 500);
        $signed = $this->sign($this->check());
        $pictures = $signed?->signedRecord()->data['pictures'];
        self::assertSame(
            [['frames', 1001], ['frames', 1005], ['frames', 1010]],
            array_map(static fn (array $one): array => [$one['part'], $one['frame']], $pictures),
        );
        foreach ($pictures as $one) {
            $image = imagecreatefromstring((string) base64_decode($one['jpeg'], true)) ?: self::fail('no picture');
            self::assertSame([64, 36], [imagesx($image), imagesy($image)]);
        }
        $page = (string) $this->get("/submissions/{$signed?->id}/record.html")->getContent();
        self::assertSame(3, substr_count($page, 'src="data:image/jpeg;base64,'));
        self::assertStringContainsString('<br>frame 1005</td>', $page);
    }

    public function test_what_differs_is_not_signed(): void
    {
        unlink($this->frame(1004));
        $check = $this->check();
        $says = implode(' ', array_column($this->shown()['obstacles'], 'says'));
        self::assertStringContainsString('asked 1001-1010', $says);
        self::assertNull($this->sign($check));
        $this->post("/deliverables/{$this->deliverable->id}/submission", ['check' => $check->id])
            ->assertSessionHasErrors('refused');
    }

    public function test_what_nothing_tells_is_answered_for(): void
    {
        $this->production->update(['house' => ['require' => ['time.rate' => '24']]]);
        $check = $this->check();
        [$open] = $this->shown()['obstacles'];
        self::assertSame('open', $open['kind']);
        self::assertNull($this->sign($check, ['answers' => [$open['key'] => '  ']]));
        $signed = $this->sign($check, ['answers' => [$open['key'] => 'The timeline was looked at.', 'x' => 'y']]);

        self::assertSame(SubmissionState::Signed, $signed?->state);
        [$answered] = $signed->signedRecord()->data['answered'];
        self::assertSame(
            ['time.rate', 'The timeline was looked at.', 'Coordinator'],
            [$answered['id'], $answered['done_instead'], $answered['by']],
        );
    }

    public function test_what_was_accepted_stands_in_the_record(): void
    {
        unlink($this->frame(1004));
        $check = $this->check();
        foreach ($check->account()['entries'] as $entry) {
            if ($entry['mark'] === 'unequal') {
                $this->post("/checks/{$check->id}/waivers", [
                    'id' => $entry['id'], 'part' => $entry['part'], 'required' => $entry['required'],
                    'reason' => 'the cut changed', 'entry' => $entry['id'],
                ])->assertSessionHasNoErrors();
                $check = Check::query()->latest('id')->firstOrFail();
            }
        }
        $signed = $this->sign($check);
        self::assertSame(SubmissionState::Signed, $signed?->state);
        self::assertSame('the cut changed', $signed->signedRecord()->data['accepted'][0]['reason']);
        self::assertSame('the cut changed', $this->shown()['accepted'][0]['reason']);
    }

    public function test_files_that_change_between_check_and_signature_are_told(): void
    {
        $check = $this->check();
        file_put_contents($this->frame(1003), Workbench::png(32, 18));
        $signed = $this->sign($check);

        self::assertSame(SubmissionState::Failed, $signed?->state);
        self::assertSame(
            'Files are others than those that were checked: TC_010.1003.png changed. Check them again, then sign off.',
            $signed->fault,
        );
        self::assertSame([null, null], [$signed->record, $signed->progress]);
        self::assertSame('failed', $this->shown()['past'][0]['state']);
    }

    public function test_something_else_is_asked_since(): void
    {
        $check = $this->check();
        $this->deliverable->update(['overrides' => ['time.range' => '1001-1012']]);
        self::assertSame(['out-of-date'], array_column($this->shown()['obstacles'], 'kind'));
        self::assertNull($this->sign($check));
        $this->deliverable->update(['overrides' => []]);
        $older = $check->id;
        $this->check();
        $this->post("/deliverables/{$this->deliverable->id}/submission", ['check' => $older])
            ->assertSessionHasErrors(['refused' => 'There is a newer check of this; look at that one first.']);
    }

    public function test_a_byte_is_altered_after_the_signature(): void
    {
        $signed = $this->sign($this->check());
        $this->post("/submissions/{$signed?->id}/seal")->assertRedirect();
        self::assertSame([true, ['10 files are as they were signed.']], [
            $this->shown()['current']['verified']['holds'], $this->shown()['current']['verified']['says'],
        ]);
        // as long as before, and of the same time
        $path = $this->frame(1005);
        $time = (int) filemtime($path);
        $bytes = (string) file_get_contents($path);
        $bytes[strlen($bytes) - 20] = chr(ord($bytes[strlen($bytes) - 20]) ^ 1);
        file_put_contents($path, $bytes);
        touch($path, $time);
        rename($this->frame(1006), dirname($path).'/TC_010.1006_old.png');
        $this->post("/submissions/{$signed?->id}/seal")->assertRedirect();

        self::assertSame([false, [
            '8 files are as they were signed.', 'Changed: TC_010.1005.png.',
            'Renamed: TC_010.1006.png is TC_010.1006_old.png now.',
        ]], [$this->shown()['current']['verified']['holds'], $this->shown()['current']['verified']['says']]);
        self::assertSame('verified', Chain::last($this->deliverable->id)?->act);
    }

    public function test_withdrawn_and_replaced_and_never_rewritten(): void
    {
        $first = $this->sign($this->check());
        $before = $first?->signedRecord()->write();
        $this->post("/submissions/{$first?->id}/withdraw", ['why' => ' '])->assertSessionHasErrors('why');
        $this->post("/submissions/{$first?->id}/withdraw", ['why' => 'wrong <take>'])->assertSessionHasNoErrors();
        $this->post("/submissions/{$first?->id}/withdraw", ['why' => 'twice'])->assertSessionHasErrors('refused');
        self::assertNull($this->shown()['current']);
        self::assertSame('wrong <take>', $this->shown()['past'][0]['withdrawn']['why']);
        $page = (string) $this->get("/submissions/{$first?->id}/record.html")->getContent();
        self::assertStringContainsString('Withdrawn by Coordinator', $page);
        self::assertStringContainsString('wrong &lt;take&gt;', $page);

        $second = $this->sign($this->check());
        $third = $this->sign($this->check());
        self::assertSame(
            [SubmissionState::Withdrawn, SubmissionState::Replaced, SubmissionState::Signed],
            [$first?->refresh()->state, $second?->refresh()->state, $third?->state],
        );
        self::assertSame([1, 2, 3], [$first?->number, $second?->number, $third?->number]);
        self::assertSame($before, $first?->signedRecord()->write());
        self::assertSame(2, $third?->signedRecord()->data['replaces']);
        self::assertStringContainsString(
            'A later submission stands in its place.',
            (string) $this->get("/submissions/{$second?->id}/record.html")->getContent(),
        );
    }

    public function test_the_history_is_a_chain_that_cannot_be_changed_unseen(): void
    {
        $signed = $this->sign($this->check());
        $acts = array_column(array_reverse($this->shown()['history']), 'act');
        self::assertSame(['checked', 'signed off'], $acts);
        self::assertNull($this->shown()['broken']);
        self::assertSame(
            Chain::last($this->deliverable->id)?->before,
            $signed?->signedRecord()->data['history']['before'],
        );
        try {
            HistoryEntry::query()->where('number', 1)->update(['who' => 'somebody else']);
            self::fail('It was changed.');
        } catch (QueryException $refused) {
            self::assertStringContainsString('what happened is written once', $refused->getMessage());
        }
        // whoever changes it beside the program is found out
        DB::statement('drop trigger history_entries_stand');
        HistoryEntry::query()->where('number', 1)->update(['who' => 'somebody else']);
        self::assertSame('entry 1 was changed after it was written', $this->shown()['broken']);
        self::assertSame([$this->deliverable->id], array_keys(Chain::faults()));
        HistoryEntry::query()->where('number', 1)->delete();
        self::assertSame('entry 1 is missing', Chain::fault($this->deliverable->id));
    }

    public function test_entries_that_are_cut_from_the_end_of_a_history_are_missed(): void
    {
        $this->sign($this->check());
        $id = $this->deliverable->id;
        self::assertSame([], Chain::faults());
        $last = DB::table('history_entries')->where('deliverable_id', $id)->orderByDesc('number')->first();
        HistoryEntry::query()->where('deliverable_id', $id)->where('number', 2)->delete();
        self::assertSame('entries after 1 are missing', $this->shown()['broken']);
        HistoryEntry::query()->where('deliverable_id', $id)->delete();
        self::assertSame([$id => 'entries after 0 are missing'], Chain::faults());
        // an end that is made to fit is not signed by us, and one that is taken away is missed
        DB::table('history_entries')->insert((array) $last);
        HistoryEnd::query()->update(['sum' => str_repeat('0', 64)]);
        self::assertSame('entry 1 is missing', Chain::fault($id));
        HistoryEntry::query()->where('deliverable_id', $id)->delete();
        self::assertSame('its end is not signed by this installation', Chain::fault($id));
        HistoryEnd::query()->delete();
        self::assertNull(Chain::fault($id));
        Chain::add($id, 'checked', []);
        self::assertNull(Chain::fault($id));
        HistoryEnd::query()->delete();
        self::assertSame('its end, after entry 1, is not signed', Chain::fault($id));
        Chain::signEnds();
        self::assertNull(Chain::fault($id));
        // the key was renewed: what the one before signed still counts, what another signed does not
        $was = config('app.key');
        config(['app.key' => 'base64:'.base64_encode(str_repeat('n', 32))]);
        self::assertSame('its end is not signed by this installation', Chain::fault($id));
        config(['app.previous_keys' => [$was]]);
        self::assertNull(Chain::fault($id));
    }

    public function test_two_sign_offs_at_once(): void
    {
        $check = $this->check();
        Queue::fake();
        $this->sign($check);
        $this->post("/deliverables/{$this->deliverable->id}/submission", ['check' => $check->id])
            ->assertSessionHasErrors(['refused' => 'Its files are being read for their sums.']);
        self::assertSame(1, Submission::query()->count());
        // whoever stops it signs nothing
        $running = Submission::query()->firstOrFail();
        self::assertTrue($this->get("/submissions/{$running->id}/seal")->assertOk()->json('underWay'));
        $this->delete("/submissions/{$running->id}/seal")->assertRedirect();
        self::assertSame(0, Submission::query()->count());
        (new SealSlice($running->id))->handle(
            app(KeepSubmission::class),
            app(KeepVerification::class),
        );
        self::assertSame(0, Submission::query()->count());
    }

    public function test_reading_goes_on_slice_by_slice(): void
    {
        $check = $this->check();
        config(['ledger.slice' => 0, 'queue.default' => 'database']);
        Queue::fake();
        $submission = $this->sign($check, ['algorithms' => ['xxh64']]);
        for ($slices = 0; $submission?->refresh()->state === SubmissionState::Sealing; $slices++) {
            self::assertLessThan(20, $slices);
            (new SealSlice($submission->id))->handle(
                app(KeepSubmission::class),
                app(KeepVerification::class),
            );
        }

        self::assertGreaterThan(5, $slices);
        self::assertSame([SubmissionState::Signed, 10], [$submission?->state, $submission?->file_count]);
        self::assertSame(hash('xxh64', Workbench::png()), $submission?->signedRecord()->sums()['TC_010.1010.png'][1]);
    }

    public function test_a_link_to_the_record_needs_no_sign_in_and_ends(): void
    {
        $signed = $this->sign($this->check());
        $this->post("/submissions/{$signed?->id}/links", ['days' => 0])->assertSessionHasErrors('days');
        $this->post("/submissions/{$signed?->id}/links", ['days' => 3])->assertSessionHasNoErrors();
        $path = $this->shown()['links'][0]['path'];
        auth()->logout();
        $page = (string) $this->get($path)->assertOk()->getContent();
        self::assertStringContainsString('Submission TC_010, number 1', $page);
        $this->get(str_replace('signature=', 'signature=0', $path))->assertForbidden();
        // the same signature leads nowhere else
        $this->get(str_replace('/records/', '/sheets/', $path))->assertForbidden();
        $this->actingAs($this->coordinator)->delete('/sheets/'.SheetLink::query()->firstOrFail()->id);
        auth()->logout();
        $this->get($path)->assertForbidden();
    }

    public function test_checks_that_were_signed_are_never_thinned_out(): void
    {
        $check = $this->check();
        $this->sign($check);
        for ($n = 0; $n < 3; $n++) {
            $this->check();
        }
        $this->travel(400)->days();
        $this->production->update(['retention' => ['checks' => 1, 'days' => 1]]);
        app(ThinOut::class)->run($this->production);

        self::assertTrue(Check::query()->whereKey($check->id)->exists());
        self::assertSame(2, Check::query()->count());
    }

    public function test_files_of_an_intake_that_is_no_more_cannot_be_signed(): void
    {
        $check = $this->check();
        $check->delivery?->update(['intake_root_id' => null]);
        self::assertSame(['elsewhere'], array_column($this->shown()['obstacles'], 'kind'));
        $this->expectException(SubmissionRefused::class);
        app(SignOff::class)->run($this->deliverable, $check->id, '', [], [SumAlgorithm::Md5], $this->coordinator);
    }

    public function test_all_of_it_goes_into_one_archive_that_proves_itself(): void
    {
        $signed = $this->sign($this->check(), ['algorithms' => ['sha256', 'md5']]);
        $response = $this->get("/submissions/{$signed?->id}/package.zip")->assertOk();
        $bytes = $response->streamedContent();
        self::assertSame((string) strlen($bytes), $response->headers->get('content-length'));
        $this->intake->put('out/p.zip', $bytes);
        $folder = "{$this->intake->folder}/out";
        $proof = 'unzip -q p.zip && cd TC_010 && sha256sum -c checksums.sha256 && md5sum -c checksums.md5';
        exec("cd {$folder} && {$proof}", $l, $code);
        self::assertSame(0, $code, implode("\n", $l));
        self::assertFileExists("{$folder}/TC_010-sheet.html");
        $record = (string) file_get_contents("{$folder}/TC_010-record.json");
        self::assertTrue(SubmissionRecord::read($record, 'x')->holds());
        // what is not as it was signed is not handed over
        file_put_contents($this->frame(1002), 'other');
        $this->get("/submissions/{$signed?->id}/package.zip")->assertSessionHasErrors([
            'refused' => 'The files are not those that were signed. Look at them again to see which.',
        ]);
    }

    public function test_a_note_of_all_that_is_signed_off(): void
    {
        $this->sign($this->check());
        $url = "/productions/{$this->production->id}/delivery-note";
        $csv = (string) $this->get("{$url}.csv")->assertOk()->getContent();
        self::assertStringContainsString('TC_010,a shot,1,10,4030,', $csv);
        self::assertStringContainsString('total,,1,10,4030,', $csv);
        self::assertStringContainsString('1 deliverable, 10 files', (string) $this->get("{$url}.html")->getContent());
        self::assertStringStartsWith('%PDF', (string) $this->get("{$url}.pdf")->assertOk()->getContent());
        $this->actingAs($this->artist)->get("{$url}.csv")->assertForbidden();
    }
}
