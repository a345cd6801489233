<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Checks\ThinOut;
use App\Actions\Courses\PrintHandIn;
use App\Models\Assignment;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\HandIn;
use App\Models\HistoryEntry;
use App\Models\Notice;
use App\Models\Role;
use Illuminate\Support\Carbon;
use Tests\Core\Support\Workbench;
use Tests\Feature\Factories\UserFactory;
use Tests\Feature\Support\CourseTestCase;

/** Handing in, by an assignment's rules. */
final class CoursesTest extends CourseTestCase
{
    public function test_what_was_checked_is_handed_in_and_counts(): void
    {
        self::assertSame('Check your files first.', $this->learnersPage()['obstacle']);
        $handIn = $this->handIn($this->deliverable, $this->artist);

        self::assertSame(1, $handIn?->number);
        self::assertSame('balanced', $handIn->verdict->value);
        $page = $this->learnersPage();
        self::assertCount(1, $page['attempts']);
        self::assertNull($page['attempts'][0]['points']);
        self::assertStringContainsString('This very check is handed in', $page['obstacle']);
        self::assertNull($page['left']);
        // the chain knows of it
        self::assertContains('handed in', HistoryEntry::query()->pluck('act')->all());
        // and so do those who decide
        self::assertContains(
            'TC_010 is handed in by Artist, attempt 1',
            Notice::query()->where('user_id', $this->coordinator->id)->pluck('says')->all(),
        );
        $board = $this->board();
        $own = array_values(array_filter($board['rows'], static fn (array $row): bool => $row['code'] === 'TC_010'))[0];
        self::assertSame('100', $own['counting']['points']);
        self::assertSame('100', $own['counting']['of']);
        self::assertNull($own['counting']['late']);
        self::assertSame(1, array_sum(array_column($board['distribution'], 'count')));
    }

    public function test_a_check_that_broke_off_is_told_where_one_hands_in(): void
    {
        $this->handIn($this->deliverable, $this->artist);
        self::assertNull($this->learnersPage()['broken']);
        $this->check($this->deliverable, $this->artist)->update(['state' => 'failed', 'fault' => 'It broke off.']);
        self::assertSame('It broke off.', $this->learnersPage()['broken']['says']);
        self::assertStringContainsString('This very check is handed in', $this->learnersPage()['obstacle']);
    }

    public function test_of_two_at_once_one_counts(): void
    {
        $check = $this->check($this->deliverable, $this->artist);
        $hand = fn () => $this->actingAs($this->artist)
            ->post("/deliverables/{$this->deliverable->id}/hand-in", ['check' => $check->id]);
        $hand()->assertSessionHasNoErrors();
        $hand()->assertSessionHasErrors(['refused']);

        self::assertSame(1, HandIn::query()->count());
        // and an older check than the newest is not what one looked at
        $this->check($this->deliverable, $this->artist);
        $hand()->assertSessionHasErrors(['refused' => 'There is a newer check of this; look at that one first.']);
    }

    public function test_late_by_the_courses_clock_and_closed_at_last(): void
    {
        // 23:59 in Berlin is 22:59 in London; the day ends a day on
        $rules = ['late' => ['grace' => 10, 'percent' => '10', 'closes' => 2]];
        $this->judged($rules, '2026-11-20T23:59');
        self::assertSame('2026-11-20 22:59:00', $this->deliverable->refresh()->due_at?->format('Y-m-d H:i:s'));
        Carbon::setTestNow('2026-11-20 23:09:00');
        self::assertSame('in time', $this->late($this->handIn($this->deliverable, $this->artist)));
        Carbon::setTestNow('2026-11-21 22:59:00');
        $handIn = fn (): ?HandIn => $this->handIn($this->deliverable, $this->artist);
        self::assertStringContainsString('1st day: 10 % off', $this->late($handIn()));
        Carbon::setTestNow('2026-11-21 22:59:01');
        self::assertStringContainsString('2nd day: 20 % off', $this->late($handIn()));
        self::assertStringContainsString('2nd day', $this->learnersPage()['late']);
        Carbon::setTestNow('2026-11-22 22:59:01');
        self::assertNull($this->handIn($this->deliverable, $this->artist));
        self::assertSame('It is closed: nothing more is accepted.', $this->learnersPage()['obstacle']);
        // the last counts: two days late
        self::assertSame('80', $this->row('TC_010')['counting']['points']);
        // and by other rules the best
        $this->judged($rules + ['counts' => 'best'], '2026-11-20T23:59');
        self::assertSame('100', $this->row('TC_010')['counting']['points']);
    }

    private function late(?HandIn $handIn): string
    {
        self::assertNotNull($handIn);
        foreach ($this->learnersPage()['attempts'] as $attempt) {
            if ($attempt['id'] === $handIn->id) {
                return str_contains($attempt['late'], 'grace') ? 'in time' : $attempt['late'];
            }
        }
        self::fail('it is not shown');
    }

    /** @return array<string, mixed> */
    private function row(string $code): array
    {
        foreach ($this->board()['rows'] as $row) {
            if ($row['code'] === $code) {
                return $row;
            }
        }
        self::fail("no row for {$code}");
    }

    public function test_a_clock_that_is_set_back_leaves_attempts_in_their_order(): void
    {
        Carbon::setTestNow('2026-11-20 12:00:00');
        $this->handIn($this->deliverable, $this->artist);
        Carbon::setTestNow('2026-11-20 11:00:00');
        $second = $this->handIn($this->deliverable, $this->artist);

        self::assertSame(2, $second?->number);
        self::assertSame('2026-11-20 12:00:00', $second->handed_at->format('Y-m-d H:i:s'));
    }

    public function test_attempts_run_out_and_one_is_given_back(): void
    {
        $this->judged(['attempts' => 1]);
        $first = $this->handIn($this->deliverable, $this->artist);
        self::assertNull($this->handIn($this->deliverable, $this->artist));
        self::assertSame(0, $this->learnersPage()['left']);

        $this->actingAs($this->coordinator)->post("/hand-ins/{$first?->id}/return", ['why' => ''])
            ->assertSessionHasErrors('why');
        $this->post("/hand-ins/{$first?->id}/return", ['why' => 'Frame 7 flickers.'])->assertSessionHasNoErrors();
        $this->post("/hand-ins/{$first?->id}/return", ['why' => 'again'])->assertSessionHasErrors('refused');
        $page = $this->learnersPage();
        self::assertSame(1, $page['left']);
        self::assertSame('Frame 7 flickers.', $page['attempts'][0]['returned']);
        self::assertStringContainsString('Frame 7 flickers.', Notice::query()->where('user_id', $this->artist->id)
            ->latest('id')->value('says'));
        // what was returned is told, whether or not points are
        $this->get("/hand-ins/{$first?->id}")->assertOk();
        self::assertSame(2, $this->handIn($this->deliverable, $this->artist)?->number);
        self::assertSame(0, $this->learnersPage()['left']);
    }

    public function test_what_is_returned_after_the_due_time_is_not_later_than_it_was(): void
    {
        $this->judged(['late' => ['percent' => '10', 'closes' => 1]], '2026-11-20T12:00');
        Carbon::setTestNow('2026-11-20 10:00:00');
        $first = $this->handIn($this->deliverable, $this->artist);
        Carbon::setTestNow('2026-11-25 10:00:00');
        $this->actingAs($this->coordinator)->post("/hand-ins/{$first?->id}/return", ['why' => 'once more']);
        // closed for everybody else
        $second = $this->handIn($this->deliverable, $this->artist);
        self::assertNotNull($second);
        self::assertSame('100', $this->row('TC_010')['counting']['points']);
        self::assertNull($this->handIn($this->others, $this->other));
    }

    public function test_another_time_for_one(): void
    {
        $this->judged(['late' => ['percent' => '50'], 'attempts' => 1], '2026-11-20T12:00');
        $this->actingAs($this->coordinator)->put("/deliverables/{$this->deliverable->id}/extension", [
            'due' => '2026-11-23T12:00', 'attempts' => 1, 'why' => 'was ill',
        ])->assertSessionHasNoErrors();
        Carbon::setTestNow('2026-11-23 10:59:00');
        $this->handIn($this->deliverable, $this->artist);
        self::assertSame('100', $this->row('TC_010')['counting']['points']);
        self::assertTrue($this->row('TC_010')['extended']);
        self::assertSame(['due' => true, 'attempts' => 1, 'why' => 'was ill'], $this->learnersPage()['extension']);
        self::assertSame(1, $this->learnersPage()['left']);
        // another time for everybody leaves it as it is
        $this->judged(['late' => ['percent' => '50']], '2026-11-21T12:00');
        self::assertSame('2026-11-23 11:00:00', $this->deliverable->refresh()->due_at?->format('Y-m-d H:i:s'));
        self::assertSame('2026-11-21 11:00:00', $this->others->refresh()->due_at?->format('Y-m-d H:i:s'));
        // and for many at once, which takes it back where none is told
        $this->post($this->assignment('/extensions'), [
            'ids' => [$this->deliverable->id, $this->others->id], 'due' => null, 'attempts' => 0, 'why' => '',
        ])->assertSessionHasNoErrors();
        self::assertSame('2026-11-21 11:00:00', $this->deliverable->refresh()->due_at?->format('Y-m-d H:i:s'));
    }

    public function test_something_else_is_asked_meanwhile(): void
    {
        $check = $this->check($this->deliverable, $this->artist);
        $asked = ['delivers' => 'frames', 'require' => ['format.kind' => 'exr']];
        $this->deliverable->specification->revise($asked, null);
        $this->post("/deliverables/{$this->deliverable->id}/hand-in", ['check' => $check->id])
            ->assertSessionHasErrors(['refused' => 'Something else is asked since it was checked. Check it again.']);
    }

    public function test_settings_where_settings_are_wanted(): void
    {
        $this->judged(['needed' => 'both']);
        $this->check($this->deliverable, $this->artist);
        self::assertSame('Check your settings, then your files.', $this->learnersPage()['obstacle']);
        $this->judged(['needed' => 'scene']);
        self::assertSame('Check your settings first.', $this->learnersPage()['obstacle']);
    }

    public function test_what_was_handed_in_is_kept_when_checks_are_thinned_out(): void
    {
        $handIn = $this->handIn($this->deliverable, $this->artist);
        foreach (range(1, 3) as $n) {
            $this->intake->put("tide/TC_010/v1/note{$n}.txt", 'x');
            $this->check($this->deliverable, $this->artist);
        }
        $this->production->update(['retention' => ['checks' => 1, 'days' => 0]]);
        Carbon::setTestNow(now()->addDay());
        (new ThinOut)->run($this->production);

        self::assertTrue(Check::query()->whereKey($handIn?->check_id)->exists());
        self::assertSame(2, Check::query()->where('deliverable_id', $this->deliverable->id)->count());
    }

    public function test_thirty_in_the_last_second(): void
    {
        $this->judged([], '2026-11-20T12:00');
        $all = [];
        foreach (range(1, 30) as $n) {
            $learner = UserFactory::new()->named("learner{$n}")->create()->refresh();
            $this->production->memberships()->create(['user_id' => $learner->id, 'role' => Role::Learner]);
            $all[] = $learner;
        }
        $this->actingAs($this->coordinator)->post($this->assignment('/everybody'))->assertSessionHasNoErrors();
        Carbon::setTestNow('2026-11-20 11:00:00');
        foreach ($all as $learner) {
            $own = Deliverable::query()->where('owner_id', $learner->id)->firstOrFail();
            $this->intake->frames("tide/{$own->code}/v1/{$own->code}.%04d.png", '1001-1003', Workbench::png());
            self::assertNotNull($this->handIn($own, $learner), $learner->name);
        }
        $board = $this->board();
        $isLate = static fn (array $row): bool => ($row['counting']['late'] ?? null) !== null;
        self::assertSame([], array_filter($board['rows'], $isLate));
        self::assertCount(30, array_filter($board['rows'], static fn (array $row): bool => $row['counting'] !== null));
    }

    public function test_a_deliverable_for_everybody_who_has_none(): void
    {
        $new = UserFactory::new()->named('fern')->create()->refresh();
        $this->production->memberships()->create(['user_id' => $new->id, 'role' => Role::Learner]);
        $this->judged([], '2026-11-20T12:00');
        self::assertSame([$new->name], $this->board()['without']);
        $this->post($this->assignment('/everybody'));
        self::assertSame([], $this->board()['without']);

        $made = Deliverable::query()->where('owner_id', $new->id)->firstOrFail();
        self::assertSame("{$new->handle}_lit", $made->code);
        self::assertSame('2026-11-20 11:00:00', $made->due_at?->format('Y-m-d H:i:s'));
        self::assertCount(1, $made->parts);
    }

    public function test_a_team_sees_hands_in_and_gets_points_together(): void
    {
        $mate = UserFactory::new()->named('mate')->create()->refresh();
        $this->production->memberships()->create(['user_id' => $mate->id, 'role' => Role::Learner]);
        $this->actingAs($mate)->get("/deliverables/{$this->deliverable->id}/hand-in")->assertForbidden();
        $team = "/deliverables/{$this->deliverable->id}/team";
        $this->actingAs($this->coordinator)->put($team, ['members' => [$mate->id, $this->stranger->id]]);
        // who is in no course is in none of its teams
        self::assertSame([$mate->id], $this->deliverable->team()->pluck('users.id')->all());
        // whoever has the assignment already is not in another's team
        $this->put($team, ['members' => [$this->other->id]])->assertSessionHasErrors('refused');

        self::assertNotNull($this->handIn($this->deliverable, $mate));
        $own = $this->actingAs($mate)->page("/productions/{$this->production->id}")['own'];
        self::assertSame(['TC_010'], array_column($own, 'code'));
        $people = $this->actingAs($this->coordinator)
            ->page("/productions/{$this->production->id}/gradebook")['table']['people'];
        $points = array_column($people, 'points', 'name');
        self::assertSame([$this->deliverable->specification_id => '100'], $points[$mate->name]);
        self::assertSame([], $points[$this->other->name]);
        // taken out of the team, it is not theirs any more
        $this->put($team, ['members' => []]);
        $this->actingAs($mate)->get("/deliverables/{$this->deliverable->id}/hand-in")->assertForbidden();
    }

    public function test_a_learner_sees_nothing_of_anothers(): void
    {
        $handIn = $this->handIn($this->deliverable, $this->artist);
        $this->actingAs($this->other);
        $this->get("/deliverables/{$this->deliverable->id}/hand-in")->assertForbidden();
        $this->post("/deliverables/{$this->deliverable->id}/hand-in", ['check' => $handIn?->check_id])
            ->assertForbidden();
        $this->get("/hand-ins/{$handIn?->id}")->assertForbidden();
        $this->get("/hand-ins/{$handIn?->id}/feedback.pdf")->assertForbidden();
        $this->get($this->assignment('/assignment'))->assertForbidden();
    }

    public function test_there_are_no_assignments_outside_of_courses(): void
    {
        $this->production->update(['kind' => 'film']);
        $this->actingAs($this->coordinator)->get($this->assignment('/assignment'))->assertNotFound();
        $this->get("/deliverables/{$this->deliverable->id}/hand-in")->assertNotFound();
        $this->post("/deliverables/{$this->deliverable->id}/hand-in", ['check' => 1])->assertNotFound();
        $this->get("/productions/{$this->production->id}/gradebook")->assertNotFound();
    }

    public function test_rules_that_cannot_be_are_told(): void
    {
        $this->actingAs($this->coordinator);
        foreach ([
            ['rules' => ['attempts' => 0]], ['rules' => ['points' => ['groups' => ['Shape' => 1]]]], ['rules' => 'x'],
            ['rules' => ['needed' => 'files'], 'due' => 'some day'],
        ] as $wrong) {
            $response = $this->patch($this->assignment('/assignment'), $wrong);
            self::assertNotSame([], session('errors')?->all() ?? [], (string) json_encode($wrong));
            $response->assertRedirect();
        }
        self::assertSame(0, Assignment::query()->count());
    }

    public function test_in_an_archived_course_nothing_is_handed_in_or_judged_otherwise(): void
    {
        $handIn = $this->handIn($this->deliverable, $this->artist);
        $check = $this->check($this->deliverable, $this->artist);
        $this->production->update(['archived_at' => now()]);
        $this->actingAs($this->artist)
            ->post("/deliverables/{$this->deliverable->id}/hand-in", ['check' => $check->id]);
        $this->actingAs($this->coordinator)
            ->put("/hand-ins/{$handIn?->id}/mark", ['points' => '1', 'remark' => 'late']);
        $this->put("/deliverables/{$this->deliverable->id}/extension", ['attempts' => 5, 'why' => 'x']);
        $this->post($this->assignment('/release'));
        $this->patch($this->assignment('/assignment'), ['rules' => ['counts' => 'best']]);

        self::assertSame(1, HandIn::query()->count());
        self::assertSame(0, $handIn?->marks()->count());
        self::assertSame(0, Assignment::query()->count());
        self::assertNull($this->deliverable->extension()->first());
        // it can be read all the same
        self::assertSame('100', $this->row('TC_010')['counting']['points']);
    }

    public function test_what_was_put_away_is_no_part_of_an_assignment(): void
    {
        $this->handIn($this->deliverable, $this->artist);
        $this->deliverable->update(['put_away_at' => now()]);
        self::assertSame(['TC_020'], array_column($this->board()['rows'], 'code'));
        $people = $this->page("/productions/{$this->production->id}/gradebook")['table']['people'];
        self::assertSame([[], []], array_column($people, 'points'));
    }

    public function test_of_files_that_stayed_elsewhere_nothing_is_known_to_be_the_same(): void
    {
        $handIn = $this->handIn($this->deliverable, $this->artist);
        self::assertNotNull($handIn?->refresh()->print);
        $handIn->check?->delivery?->update(['intake_root_id' => null]);
        $handIn->update(['print' => null]);
        (new PrintHandIn($handIn->id))->handle();
        self::assertNull($handIn->refresh()->print);
        // and of one that is not there any more nothing is done
        (new PrintHandIn(999))->handle();
        self::assertSame([], $this->board()['same']);
    }

    public function test_times_that_somebody_has_are_not_lost_by_judging_otherwise(): void
    {
        // what was typed elsewhere is everybody's time until an assignment says another
        $due = $this->deliverable->due_at;
        self::assertSame(
            $due?->copy()->setTimezone('Europe/Berlin')->format('Y-m-d\TH:i'),
            $this->board()['form']['due'],
        );
        $this->others->update(['due_at' => '2026-12-24 10:00:00']);
        $this->deliverable->refresh();
        $this->judged(['counts' => 'best'], $this->board()['form']['due']);
        self::assertSame('2026-12-24 10:00:00', (string) $this->others->refresh()->due_at);
        // everybody's moves, and a time of one's own stays
        $this->judged(['counts' => 'best'], '2026-12-01T12:00');
        self::assertSame('2026-12-01 11:00:00', (string) $this->deliverable->refresh()->due_at);
        self::assertSame('2026-12-24 10:00:00', (string) $this->others->refresh()->due_at);
        // more attempts alone leave the time as it is
        $this->put("/deliverables/{$this->others->id}/extension", ['attempts' => 2, 'why' => 'a broken disk']);
        self::assertSame('2026-12-24 10:00:00', (string) $this->others->refresh()->due_at);
    }
}
