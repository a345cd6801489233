<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Submissions\LostSeals;
use App\Intake\SealSpool;
use App\Models\Check;
use App\Models\DeliveryOrigin;
use App\Models\Submission;
use App\Models\SubmissionState;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use PlainLedger\Core\Sealing\SealedFile;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;
use Tests\Feature\Support\OwnDisk;

/** Files that stay on somebody's own disk are signed by the sums their browser makes of them. */
final class OwnSealingTest extends LedgerTestCase
{
    use OwnDisk;

    private Check $check;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->withSideTables();
        $this->intake->frames('tide/TC_010/v1/TC_010.%04d.png', '1001-1010', Workbench::png());
        $this->production->update(['house' => ['require' => []]]);
        $this->actingAs($this->coordinator);
        $this->check = Check::query()->findOrFail($this->throughToTheEnd($this->begin())['check']);
        self::assertSame(DeliveryOrigin::Own, $this->check->delivery?->origin);
        Queue::fake();
    }

    /** @param  array<string, mixed>  $more */
    private function sign(array $more = []): Submission
    {
        $url = "/deliverables/{$this->deliverable->id}/submission";
        $id = $this->postJson($url, ['check' => $this->check->id] + $more)->assertOk()->json('id');

        return Submission::query()->findOrFail($id);
    }

    /**
     * @param  int  $ahead  seconds by which the clock is ahead that dates them
     * @return list<array{string, int, int, array<string, string>}> as a browser tells them
     */
    private function sums(int $ahead = 0): array
    {
        $names = $this->names();
        sort($names);

        return array_map(function (array $file) use ($ahead): array {
            $bytes = (string) file_get_contents("{$this->folder()}/{$file[0]}");

            return [
                $file[0], $file[1], $file[2] + $ahead * 1000,
                ['sha256' => hash('sha256', $bytes), 'md5' => md5($bytes)],
            ];
        }, $names);
    }

    /**
     * @param  array<mixed>  $sums
     * @param  array<string, mixed>  $more
     */
    private function tell(Submission $submission, array $sums, array $more = []): TestResponse
    {
        return $this->postJson("/submissions/{$submission->id}/sums", $more + [
            'sums' => $sums, 'all' => true, 'now' => time() * 1000, 'files' => count($sums), 'all_files' => 10,
            'bytes' => 100, 'all_bytes' => 100,
        ]);
    }

    public function test_they_are_signed_by_what_the_browser_makes_of_them(): void
    {
        $page = $this->page("/deliverables/{$this->deliverable->id}/submission");
        self::assertSame([[], true, 'v1'], [$page['obstacles'], $page['check']['own'], $page['check']['folder']]);
        $submission = $this->sign(['algorithms' => ['sha256', 'md5']]);
        Queue::assertNothingPushed();
        $this->getJson("/submissions/{$submission->id}/sums")->assertOk()
            ->assertExactJson(['algorithms' => ['sha256', 'md5'], 'known' => []]);
        $sums = $this->sums();
        $some = $this->tell($submission, array_slice($sums, 0, 4), ['all' => false])->assertOk();
        self::assertSame([true, 4, 10, true], [
            $some->json('underWay'), $some->json('files'), $some->json('allFiles'), $some->json('own'),
        ]);
        // told twice is told once
        $this->tell($submission, array_slice($sums, 3))->assertOk()->assertJson(['underWay' => false]);

        $submission->refresh();
        self::assertSame(
            [SubmissionState::Signed, 1, 10, null],
            [$submission->state, $submission->number, $submission->file_count, $submission->fault],
        );
        $record = $submission->signedRecord();
        self::assertTrue($record->holds());
        self::assertSame('browser', $record->data['read_by']);
        self::assertSame(['sha256', hash('sha256', Workbench::png())], $record->sums()['TC_010.1010.png']);
        $html = (string) $this->get("/submissions/{$submission->id}/record.html")->assertOk()->getContent();
        self::assertStringContainsString('They stay on the machine of whoever signed', $html);
        // they cannot be packed here
        $this->get("/submissions/{$submission->id}/package.zip")->assertSessionHasErrors([
            'refused' => 'Its files stay on the machine on which they were signed, and cannot be packed from here.',
        ]);
        self::assertSame([], Storage::files('spool'));
        $this->getJson("/submissions/{$submission->id}/sums")->assertNotFound();
    }

    public function test_what_changed_since_the_check_is_not_signed(): void
    {
        foreach ([
            'TC_010.1003.png changed' => static function (array $sums): array {
                $sums[2][2] += 60_000;

                return $sums;
            },
            'TC_010.1001.png gone' => static fn (array $sums): array => array_slice($sums, 1),
            'other.png new' => static fn (array $sums): array => [...$sums, ['other.png', ...array_slice($sums[0], 1)]],
        ] as $says => $change) {
            $submission = $this->sign();
            $this->tell($submission, $change($this->sums()))->assertOk();
            self::assertSame(SubmissionState::Failed, $submission->refresh()->state);
            self::assertStringContainsString($says, (string) $submission->fault);
        }
        $submission = $this->sign();
        $this->tell($submission, array_slice($this->sums(), 1), ['gone' => ['TC_010.1001.png']])->assertOk();
        self::assertStringContainsString(
            '“TC_010.1001.png” could not be read: it went or was changed while it was read.',
            (string) $submission->refresh()->fault,
        );
        self::assertSame(0, Submission::query()->where('state', SubmissionState::Signed)->count());
    }

    public function test_lists_system_files_and_what_leads_elsewhere_are_no_part_of_it(): void
    {
        $submission = $this->sign();
        $other = array_slice($this->sums()[0], 1);
        $this->tell($submission, [
            ...$this->sums(), ['checksums.md5', ...$other], ['ascmhl/0001.mhl', ...$other], ['Thumbs.db', ...$other],
            ['../TC_010.1001.png', ...$other],
        ])->assertOk();
        self::assertSame([SubmissionState::Signed, 10], [$submission->refresh()->state, $submission->file_count]);
    }

    public function test_a_clock_that_is_ahead_is_told_from_files_that_changed(): void
    {
        $submission = $this->sign();
        $this->tell($submission, $this->sums(3600), ['now' => (time() + 3602) * 1000])->assertOk();
        self::assertSame(SubmissionState::Signed, $submission->refresh()->state);
        $then = filemtime("{$this->folder()}/TC_010.1001.png") ?: 0;
        self::assertSame(
            gmdate('Y-m-d\TH:i:s\Z', $then),
            $submission->signedRecord()->data['files'][0]['modified'],
        );
        // all of them an hour later by a clock that agrees were written anew
        $again = $this->sign();
        $this->tell($again, $this->sums(3600))->assertOk();
        self::assertStringContainsString('TC_010.1001.png and 9 more changed', (string) $again->refresh()->fault);
        self::assertSame(SubmissionState::Failed, $again->state);
    }

    public function test_what_is_no_sum_is_refused(): void
    {
        $submission = $this->sign();
        [$path, $size, $time] = $this->sums()[0];
        $sum = ['sha256' => str_repeat('a', 64)];
        foreach ([
            [[$path, $size, $time, []]], [[$path, $size, $time, ['sha256' => str_repeat('A', 64)]]],
            [[$path, $size, $time, ['sha256' => 'abc']]], [[$path, '9', $time, $sum]], ['x'], [[$path]],
        ] as $told) {
            $this->tell($submission, $told)->assertStatus(422);
        }
        $this->tell($submission, [], ['all' => 'perhaps'])->assertStatus(422);
        $this->tell($submission, [], ['bytes' => -1])->assertStatus(422);
        self::assertSame(SubmissionState::Sealing, $submission->refresh()->state);
    }

    public function test_it_goes_on_where_it_broke_off(): void
    {
        $submission = $this->sign();
        $this->tell($submission, array_slice($this->sums(), 0, 4), ['all' => false])->assertOk();
        $this->travel(5)->minutes();
        LostSeals::breakOff();
        self::assertSame(SubmissionState::Failed, $submission->refresh()->state);
        $this->tell($submission, [])->assertStatus(422)->assertJsonPath(
            'message',
            'Nobody waits for these sums now: it was stopped, or the page was silent for too long. '
                .'Begin it again.',
        );
        $again = $this->sign();
        $known = $this->getJson("/submissions/{$again->id}/sums")->assertOk()->json('known');
        self::assertSame(
            ['TC_010.1001.png', 'TC_010.1002.png', 'TC_010.1003.png', 'TC_010.1004.png'],
            array_column($known, 0),
        );
        $this->tell($again, array_slice($this->sums(), 4))->assertOk();
        self::assertSame(SubmissionState::Signed, $again->refresh()->state);
    }

    public function test_two_pages_at_once_and_one_that_is_stopped(): void
    {
        $submission = $this->sign();
        $spool = SealSpool::of($submission);
        self::assertTrue($spool->isOurs());
        $this->tell($submission, $this->sums())->assertStatus(422)->assertJsonPath(
            'message',
            'Its sums are being taken by another page just now.',
        );
        $spool->add([new SealedFile('a', 1, 2, [])]);
        $this->delete("/submissions/{$submission->id}/seal")->assertRedirect();
        self::assertSame(0, Submission::query()->count());
        self::assertSame(0, $spool->size());
    }

    public function test_they_are_looked_at_again_in_the_same_way(): void
    {
        $submission = $this->sign();
        $this->tell($submission, $this->sums());
        $this->postJson("/submissions/{$submission->id}/seal")->assertOk()->assertExactJson(['id' => $submission->id]);
        Queue::assertNothingPushed();
        $this->tell($submission, $this->sums())->assertOk();
        self::assertSame([true, ['10 files are as they were signed.']], [
            $submission->refresh()->verified['holds'] ?? null, $submission->verified['says'] ?? null,
        ]);
        $this->postJson("/submissions/{$submission->id}/seal")->assertOk();
        $sums = $this->sums();
        $sums[0][3] = ['sha256' => str_repeat('0', 64)];
        $sums[1][0] = 'another.png';
        $this->tell($submission, $sums);
        self::assertSame(
            [
                '8 files are as they were signed.', 'Changed: TC_010.1001.png.',
                'Renamed: TC_010.1002.png is another.png now.',
            ],
            $submission->refresh()->verified['says'] ?? null,
        );
    }
}
