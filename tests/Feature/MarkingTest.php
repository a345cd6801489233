<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\Notice;
use App\Models\Role;
use App\Models\User;
use Tests\Core\Support\Workbench;
use Tests\Feature\Factories\UserFactory;
use Tests\Feature\Support\CourseTestCase;

/** What those who mark see and say, and what learners are told of it. */
final class MarkingTest extends CourseTestCase
{
    private HandIn $good;

    private HandIn $bad;

    protected function setUp(): void
    {
        parent::setUp();
        $this->good = $this->handIn($this->deliverable, $this->artist) ?? self::fail('not handed in');
        $this->bad = $this->handIn($this->others, $this->other) ?? self::fail('not handed in');
    }

    /** @return array<string, mixed> */
    private function row(string $who): array
    {
        foreach ($this->board()['rows'] as $row) {
            if ($row['who'] === $who) {
                return $row;
            }
        }
        self::fail("no row for {$who}");
    }

    /** @param  array<string, mixed>  $mark */
    private function mark(HandIn $handIn, array $mark, ?User $by = null): void
    {
        $this->actingAs($by ?? $this->coordinator)->put("/hand-ins/{$handIn->id}/mark", $mark)
            ->assertSessionHasNoErrors();
    }

    private function second(): User
    {
        $user = UserFactory::new()->named('second')->create()->refresh();
        $this->production->memberships()->create(['user_id' => $user->id, 'role' => Role::Instructor]);

        return $user;
    }

    public function test_those_who_are_chosen_are_written_to_in_ones_own_words(): void
    {
        $write = fn (array $ids, string $body = "The projector is free at four.\n<b>Come</b>.") => $this
            ->actingAs($this->coordinator)
            ->post($this->assignment('/letters'), ['ids' => $ids, 'subject' => 'About  Monday', 'body' => $body]);
        $this->deliverable->team()->attach($this->other);
        // one who is in two teams is written to once
        $write([$this->deliverable->id, $this->others->id])
            ->assertSessionHas('told', 'It is written to 2 people, and stands in the outbox.');
        $own = $this->actingAs($this->artist)->page('/notices');
        self::assertSame(
            [['About Monday', "The projector is free at four.\n<b>Come</b>.", 'Coordinator']],
            array_map(static fn (array $m): array => [$m['subject'], $m['body'], $m['by']], $own['messages']),
        );
        self::assertContains('About Monday', array_column($own['notices'], 'says'));
        $write([], 'x')->assertSessionHasErrors('ids');
        $write([$this->deliverable->id], ' ')->assertSessionHasErrors('body');

        // who has left the class reads nothing of it any more
        $this->production->memberships()->where('user_id', $this->artist->id)->delete();
        self::assertSame([], $this->actingAs($this->artist)->page('/notices')['messages']);
    }

    public function test_where_names_are_kept_from_those_who_mark_all_are_written_to_or_none(): void
    {
        $this->judged([], null, true);
        $write = fn (array $ids) => $this->actingAs($this->coordinator)
            ->post($this->assignment('/letters'), ['ids' => $ids, 'subject' => 'x', 'body' => 'y']);
        $write([$this->deliverable->id])->assertSessionHasErrors('refused');
        $write([$this->deliverable->id, $this->others->id])->assertSessionHasNoErrors();
    }

    public function test_points_why_and_what_to_do_next_time(): void
    {
        $this->judged(['points' => ['groups' => ['Picture' => 40, 'Format' => 10, 'Naming' => 10, '*' => 40]]]);
        $page = $this->page("/hand-ins/{$this->bad->id}");
        $earned = array_column($page['feedback']['lines'], 'earned', 'label');
        self::assertSame('0', $earned['Picture']);
        self::assertSame('10', $earned['Format']);
        self::assertSame('100', $page['feedback']['possible']);
        $next = implode(' ', array_column($page['feedback']['causes'], 'next'));
        self::assertStringContainsString('Set the scale back to 100 %', $next);

        // the course says it in its own words
        $this->patch("/productions/{$this->production->id}/phrases", [
            'phrases' => ['scale-below-full' => 'Read chapter 4 on <scale>.'],
        ])->assertSessionHasNoErrors();
        $page = $this->page("/hand-ins/{$this->bad->id}");
        self::assertStringContainsString('chapter 4', implode(' ', array_column($page['feedback']['causes'], 'next')));
        $html = $this->get("/hand-ins/{$this->bad->id}/feedback.html")->assertOk()->getContent();
        self::assertStringContainsString('Read chapter 4 on &lt;scale&gt;.', (string) $html);
        $file = fn (string $format) => $this->get("/hand-ins/{$this->bad->id}/feedback.{$format}")->assertOk();
        self::assertStringStartsWith('%PDF-', (string) $file('pdf')->getContent());
        self::assertSame($page['feedback']['total'], $file('json')->json('total'));
        // empty again, the usual words are back
        $this->patch("/productions/{$this->production->id}/phrases", ['phrases' => ['scale-below-full' => '']]);
        self::assertSame([], $this->production->refresh()->phrases);
    }

    public function test_learners_see_their_points_when_they_are_told_and_not_before(): void
    {
        $this->actingAs($this->artist)->get("/hand-ins/{$this->good->id}")->assertForbidden();
        self::assertNull($this->learnersPage()['attempts'][0]['points']);

        $this->actingAs($this->coordinator)->post($this->assignment('/release'))->assertSessionHasNoErrors();
        self::assertSame('100', $this->learnersPage()['attempts'][0]['points']);
        $page = $this->page("/hand-ins/{$this->good->id}");
        self::assertFalse($page['decides']);
        self::assertSame('100', $page['feedback']['total']);
        self::assertSame(2, Notice::query()->where('says', 'like', '%your points are there%')->count());

        $this->actingAs($this->coordinator)->delete($this->assignment('/release'));
        $this->actingAs($this->artist)->get("/hand-ins/{$this->good->id}")->assertForbidden();
    }

    public function test_points_by_hand_and_remarks(): void
    {
        $this->mark($this->bad, ['points' => '42,5', 'remark' => "Good light.\n<b>Mind the size.</b>"]);
        self::assertSame('42.5', $this->row('Other')['counting']['points']);
        $this->post($this->assignment('/release'));
        $page = $this->actingAs($this->other)->page("/hand-ins/{$this->bad->id}");
        self::assertSame("Good light.\n<b>Mind the size.</b>", $page['feedback']['remarks'][0]['text']);
        self::assertContains('Given by hand instead', array_column($page['feedback']['sums'], 'label'));
        $html = (string) $this->get("/hand-ins/{$this->bad->id}/feedback.html")->getContent();
        self::assertStringContainsString('&lt;b&gt;Mind the size.&lt;/b&gt;', $html);
        // whoever marks hands out the same
        $theirs = $this->actingAs($this->coordinator)->get("/hand-ins/{$this->bad->id}/feedback.html");
        self::assertSame($html, (string) $theirs->getContent());

        // nothing said is nothing kept
        $this->mark($this->bad, ['points' => '', 'remark' => ' ']);
        self::assertSame(0, $this->bad->marks()->count());
        $this->actingAs($this->coordinator)->put("/hand-ins/{$this->bad->id}/mark", ['points' => '-3'])
            ->assertSessionHasErrors('points');
        $this->actingAs($this->other)->put("/hand-ins/{$this->bad->id}/mark", ['points' => '100'])->assertForbidden();
    }

    public function test_two_who_mark_agree_before_points_are_told(): void
    {
        $second = $this->second();
        $this->mark($this->good, ['points' => '90', 'remark' => 'first']);
        self::assertSame('90', $this->row('Artist')['counting']['points']);
        $this->mark($this->good, ['points' => '80', 'remark' => 'second'], $second);
        self::assertNull($this->row('Artist')['counting']['points']);
        self::assertTrue($this->row('Artist')['counting']['disputed']);
        $page = $this->page("/hand-ins/{$this->good->id}");
        self::assertNull($page['feedback']['total']);
        self::assertSame(['80'], array_column($page['others'], 'points'));

        $this->post($this->assignment('/release'))->assertSessionHasErrors('refused');
        self::assertNull(Assignment::of($this->deliverable->specification)->released_at);
        $this->put("/hand-ins/{$this->good->id}/agreed", ['points' => '85'])->assertSessionHasNoErrors();
        self::assertSame('85', $this->row('Artist')['counting']['points']);
        $this->post($this->assignment('/release'))->assertSessionHasNoErrors();
        // the same from both needs no agreeing; another opinion ends what was agreed on
        $this->mark($this->good, ['points' => '80', 'remark' => '']);
        self::assertSame('80', $this->row('Artist')['counting']['points']);
    }

    public function test_many_are_marked_at_once(): void
    {
        $many = fn (array $mark) => $this->actingAs($this->coordinator)->post(
            $this->assignment('/marks'),
            $mark + ['ids' => [$this->deliverable->id, $this->others->id]],
        );
        $this->mark($this->good, ['points' => '70', 'remark' => 'Calm.']);
        $many(['remark' => 'See the sheet.'])->assertSessionHas('told', '2 hand-ins are marked.');
        // what was given before stays where nothing else is given
        self::assertSame(['70', 'See the sheet.'], [
            $this->row('Artist')['counting']['points'], $this->page("/hand-ins/{$this->good->id}")['own']['remark'],
        ]);
        $many(['points' => '55,5'])->assertSessionHasNoErrors();
        self::assertSame(['55.5', '55.5', 'See the sheet.'], [
            $this->row('Artist')['counting']['points'], $this->row('Other')['counting']['points'],
            $this->page("/hand-ins/{$this->bad->id}")['own']['remark'],
        ]);
        foreach ([[], ['points' => 'many'], ['points' => '-1'], ['remark' => str_repeat('x', 5001)]] as $no) {
            $many($no)->assertSessionHasErrors();
        }
        $many(['ids' => [999], 'remark' => 'x'])->assertSessionHas('told', '0 hand-ins are marked.');
        self::assertSame('55.5', $this->row('Other')['counting']['points']);
    }

    public function test_nought_given_by_hand_counts_like_any_other(): void
    {
        $this->mark($this->good, ['points' => '0', 'remark' => 'Another’s work.']);
        self::assertSame('0', $this->row('Artist')['counting']['points']);
        $this->mark($this->good, ['points' => '60', 'remark' => ''], $this->second());
        self::assertTrue($this->row('Artist')['counting']['disputed']);
        $this->actingAs($this->coordinator)->put("/hand-ins/{$this->good->id}/agreed", ['points' => '0'])
            ->assertSessionHasNoErrors();
        self::assertSame(['0', false], [
            $this->row('Artist')['counting']['points'], $this->row('Artist')['counting']['disputed'],
        ]);
    }

    public function test_names_are_kept_from_those_who_mark(): void
    {
        $this->judged([], null, true);
        $board = $this->board();
        self::assertTrue($board['hidesNames']);
        self::assertSame(['Learner 1', 'Learner 2'], array_column($board['rows'], 'who'));
        $told = (string) json_encode([
            $board['rows'], $board['common'], $board['same'], $this->page("/hand-ins/{$this->bad->id}")['feedback'],
        ]);
        foreach (['Other', 'Artist', 'TC_010', 'TC_020', 'artist', 'other'] as $name) {
            self::assertStringNotContainsString($name, $told);
        }
        self::assertNull($this->page("/hand-ins/{$this->bad->id}")['deliverable']);
        $table = $this->page("/productions/{$this->production->id}/gradebook")['table'];
        self::assertSame([[], []], array_column($table['people'], 'points'));
        $zip = $this->zip($this->assignment('/feedback.zip'));
        self::assertSame(['Learner_1.html', 'Learner_2.html'], array_keys($zip));

        // told, they are there
        $this->post($this->assignment('/release'));
        self::assertEqualsCanonicalizing(['Artist', 'Other'], array_column($this->board()['rows'], 'who'));
        $zip = $this->zip($this->assignment('/feedback.zip'));
        self::assertSame(['Artist.html', 'Other.html'], array_keys($zip));
    }

    /** @return array<string, string> what is in it, by name, as another program reads it */
    private function zip(string $url): array
    {
        $path = tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($path, $this->get($url)->assertOk()->streamedContent());
        $zip = new \ZipArchive;
        self::assertTrue($zip->open($path, \ZipArchive::CHECKCONS));
        $files = [];
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $files[(string) $zip->getNameIndex($i)] = (string) $zip->getFromIndex($i);
        }
        unlink($path);
        ksort($files);

        return $files;
    }

    public function test_common_mistakes_and_who_has_them(): void
    {
        $common = array_column($this->board()['common'], 'who', 'cause');

        self::assertSame(['Other'], $common['scale-below-full']);
        self::assertArrayNotHasKey('value-differs', $common);
        self::assertContains('scale-below-full', array_column($this->board()['phrases'], 'cause'));
    }

    public function test_whose_files_are_the_same(): void
    {
        // written at other times than the other's, which are told too
        foreach (glob("{$this->intake->folder}/tide/TC_020/v1/*") ?: [] as $at => $file) {
            touch($file, 1_700_000_000 + 7 * $at);
        }
        $this->handIn($this->others, $this->other);
        self::assertSame([], $this->board()['same']);
        $this->intake->put(
            'tide/TC_020/v1/TC_020.1003.png',
            (string) file_get_contents("{$this->intake->folder}/tide/TC_010/v1/TC_010.1003.png"),
        );
        $this->handIn($this->others, $this->other);
        $same = $this->board()['same'];
        self::assertCount(1, $same);
        self::assertSame(1, $same[0]['fileCount']);
        self::assertContains('TC_020.1003.png', $same[0]['files'][0]);
    }

    public function test_many_are_returned_at_once(): void
    {
        $this->actingAs($this->coordinator)->post($this->assignment('/returns'), [
            'ids' => [$this->deliverable->id, $this->others->id], 'why' => 'Once more, please.',
        ])->assertSessionHasNoErrors();
        self::assertSame([true, true], array_column($this->board()['rows'], 'returned'));
        $this->post($this->assignment('/returns'), ['ids' => [], 'why' => 'x'])->assertSessionHasErrors('ids');
        // of another assignment nothing is returned
        $other = $this->production->specifications()->create(['title' => 'Other']);
        $other->revise(['delivers' => 'frames', 'require' => []], null);
        HandIn::query()->whereKey($this->good->id)->update(['returned_at' => null]);
        $this->post("/specifications/{$other->id}/returns", ['ids' => [$this->deliverable->id], 'why' => 'x']);
        self::assertNull($this->good->refresh()->returned_at);
    }

    public function test_one_after_the_other(): void
    {
        $first = $this->actingAs($this->coordinator)->page("/hand-ins/{$this->good->id}");
        self::assertSame(['before' => null, 'after' => $this->bad->id], $first['beside']);
        $last = $this->page("/hand-ins/{$this->bad->id}");
        self::assertSame(['before' => $this->good->id, 'after' => null], $last['beside']);
        self::assertTrue($last['mayReturn']);
    }

    public function test_points_of_a_line_that_nothing_told_are_for_those_who_look(): void
    {
        $this->deliverable->specification->revise([
            'delivers' => 'frames',
            'require' => ['picture.resolution' => '64x36', 'time.rate' => '24', 'format.kind' => 'png'],
        ], null);
        $this->intake->frames('tide/TC_010/v1/TC_010.%04d.png', '1001-1010', Workbench::png());
        $this->handIn($this->deliverable, $this->artist);
        $row = $this->row('Artist');
        // no picture tells its rate, and that is nobody's fault
        self::assertSame(['100', null], [$row['counting']['points'], $row['counting']['open']]);
        $this->judged(['needed' => 'both']);
        $this->deliverable->scenes()->create(['file_name' => 's.txt', 'content' => "size = 64x36\nformat = png\n"]);
        $this->check($this->deliverable, $this->artist);
        $check = $this->check($this->deliverable, $this->artist);
        $this->post("/deliverables/{$this->deliverable->id}/hand-in", ['check' => $check->id])
            ->assertSessionHasNoErrors();
        $row = $this->row('Artist');
        self::assertNotNull($row['counting']['open']);
        $lines = $this->page("/hand-ins/{$row['counting']['handIn']}")['feedback']['lines'];
        self::assertContains('Frame rate', $lines[0]['untold']);
    }
}
