<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Submission;
use App\Models\SubmissionState;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;
use Tests\Feature\Support\Signing;

/** What is delivered again after it was signed: frames that are the same stay approved. */
final class RedeliveryTest extends LedgerTestCase
{
    use Signing;

    private int $takes = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withTenFrames();
    }

    /** Frames that were rendered again: other pixels, a later time. */
    private function again(int ...$numbers): void
    {
        foreach ($numbers as $at => $number) {
            file_put_contents($this->frame($number), Workbench::png(texts: ['Take' => (string) ++$this->takes]));
            touch($this->frame($number), time() - 500 + $at);
        }
    }

    /** @return list<array{int, string, int, list<string>}> */
    private static function approved(?Submission $submission): array
    {
        return array_map(
            static fn (array $one): array => [$one['number'], $one['signed_by'], $one['files'], $one['names']],
            $submission?->signedRecord()->data['approved'] ?? [],
        );
    }

    public function test_frames_that_did_not_come_again_stay_approved_by_whoever_signed_them(): void
    {
        $first = $this->sign($this->check());
        self::assertSame([[1, 'Coordinator', 10, ['TC_010.####.png 1001-1010']]], self::approved($first));
        self::assertNull($first?->signedRecord()->data['since']);

        $this->again(1004, 1005, 1006);
        $check = $this->check();
        self::assertSame(
            ['As they were: TC_010.####.png 1001-1003,1007-1010.', 'Came again: TC_010.####.png 1004-1006.'],
            $this->shown()['since']['says'],
        );
        $second = $this->sign($check);
        $record = $second?->signedRecord();
        self::assertTrue($record?->holds());
        self::assertSame(
            [
                [1, 'Coordinator', 7, ['TC_010.####.png 1001-1003,1007-1010']],
                [2, 'Coordinator', 3, ['TC_010.####.png 1004-1006']],
            ],
            self::approved($second),
        );
        self::assertSame(
            [1, 'sums', 7, ['files' => 3, 'names' => ['TC_010.####.png 1004-1006']]],
            [
                $record->data['since']['number'], $record->data['since']['by'],
                $record->data['since']['same']['files'], $record->data['since']['again'],
            ],
        );

        // and once more: what was first signed in number 1 still was
        $this->again(1006, 1010);
        $third = $this->sign($this->check());
        self::assertSame(
            [[1, 6], [2, 2], [3, 2]],
            array_map(static fn (array $one): array => [$one[0], $one[2]], self::approved($third)),
        );
        $current = $this->shown()['current'];
        self::assertSame([2, 3], [$current['sinceNumber'], count($current['approved'])]);
        self::assertContains('Came again: TC_010.####.png 1006,1010.', $current['since']);
        $page = (string) $this->get("/submissions/{$third?->id}/record.html")->getContent();
        self::assertStringContainsString('Since number 2', $page);
        self::assertStringContainsString('number 1, Coordinator', $page);
    }

    public function test_only_their_times_and_names_changed(): void
    {
        $this->sign($this->check());
        for ($number = 1001; $number <= 1010; $number++) {
            touch($this->frame($number), time() - 300);
        }
        $check = $this->check();
        // it cannot be known before their bytes were read
        self::assertSame(['Came again: TC_010.####.png 1001-1010.'], $this->shown()['since']['says']);
        $second = $this->sign($check);
        self::assertSame([[1, 'Coordinator', 10, ['TC_010.####.png 1001-1010']]], self::approved($second));
        self::assertSame(['As they were: TC_010.####.png 1001-1010.'], $this->shown()['current']['since']);
    }

    public function test_what_is_asked_otherwise_is_approved_anew(): void
    {
        $this->sign($this->check());
        $this->deliverable->update(['overrides' => ['format.bit_depth' => 8]]);
        $second = $this->sign($this->check());
        self::assertSame(SubmissionState::Signed, $second?->state);
        self::assertSame([[2, 'Coordinator', 10, ['TC_010.####.png 1001-1010']]], self::approved($second));
        self::assertSame(
            [['id' => 'format.bit_depth', 'part' => 'frames', 'pass' => null]],
            $second->signedRecord()->data['since']['lines']['asked_otherwise'],
        );
    }

    public function test_what_was_withdrawn_approves_nothing(): void
    {
        $first = $this->sign($this->check());
        $this->post("/submissions/{$first?->id}/withdraw", ['why' => 'noise in the fog']);
        $this->again(1010);
        $check = $this->check();
        self::assertSame([1, true], [$this->shown()['since']['number'], $this->shown()['since']['withdrawn']]);
        $second = $this->sign($check);
        self::assertSame([[2, 'Coordinator', 10, ['TC_010.####.png 1001-1010']]], self::approved($second));
        self::assertSame(9, $second?->signedRecord()->data['since']['same']['files']);
    }

    public function test_a_line_that_was_accepted_then_and_is_equal_now_is_put_right(): void
    {
        rename($this->frame(1004), $this->frame(2004));
        $check = $this->check();
        foreach ($check->account()['entries'] as $entry) {
            if ($entry['mark'] === 'unequal') {
                $this->post("/checks/{$check->id}/waivers", [
                    'id' => $entry['id'], 'part' => $entry['part'], 'required' => $entry['required'],
                    'reason' => 'the cut changed', 'entry' => $entry['id'],
                ])->assertSessionHasNoErrors();
                $check = $this->deliverable->checks()->latest('id')->firstOrFail();
            }
        }
        self::assertSame(SubmissionState::Signed, $this->sign($check)?->state);
        rename($this->frame(2004), $this->frame(1004));
        $second = $this->sign($this->check());
        self::assertSame(SubmissionState::Signed, $second?->state);
        $since = $second->signedRecord()->data['since'];
        self::assertContains(
            ['id' => 'time.range', 'part' => 'frames', 'pass' => null],
            $since['lines']['put_right'],
        );
        // the same bytes under another name
        self::assertSame(10, $since['same']['files'] + count($since['renamed']));
        self::assertSame(1, self::approved($second)[0][0]);
    }

    public function test_sums_of_another_kind_are_made_with_one_that_compares(): void
    {
        $this->sign($this->check(), ['algorithms' => ['md5', 'xxh64']]);
        $this->again(1003);
        $second = $this->sign($this->check(), ['algorithms' => ['sha256']]);
        self::assertSame(['sha256', 'md5'], $second?->algorithms);
        self::assertSame('sums', $second->signedRecord()->data['since']['by']);
        self::assertSame([9, 1], array_column($second->signedRecord()->data['approved'], 'files'));
    }

    public function test_what_was_done_instead_is_at_hand(): void
    {
        $this->production->update(['house' => ['require' => ['time.rate' => '24']]]);
        $check = $this->check();
        [$open] = $this->shown()['obstacles'];
        self::assertNull($open['before']);
        $this->sign($check, ['answers' => [$open['key'] => 'The timeline was looked at.']]);
        $this->again(1002);
        $this->check();
        self::assertSame('The timeline was looked at.', $this->shown()['obstacles'][0]['before']);
    }
}
