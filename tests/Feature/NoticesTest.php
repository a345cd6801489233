<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Checks\AcceptLine;
use App\Models\Check;
use App\Models\Notice;
use App\Models\User;
use App\Notices\InvitationMail;
use App\Notices\NoticeMail;
use Illuminate\Support\Facades\Mail;
use PlainLedger\Core\Checking\Entry;
use Tests\Feature\Support\LedgerTestCase;

/** Who is told of what, in the page and by mail. */
final class NoticesTest extends LedgerTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Mail::fake();
        config(['mail.default' => 'smtp']);
    }

    private function check(User $by): Check
    {
        $this->actingAs($by)->post("/deliverables/{$this->deliverable->id}/checks", [
            'root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick',
        ])->assertSessionHasNoErrors();

        return Check::query()->latest('id')->firstOrFail();
    }

    /** @return list<string> what somebody was told */
    private function told(User $user): array
    {
        return array_values(Notice::query()->where('user_id', $user->id)->orderBy('id')->pluck('says')->all());
    }

    public function test_who_began_a_check_is_told_and_who_decides_that_something_came(): void
    {
        $check = $this->check($this->artist);
        self::assertSame(['TC_010: 4 frames to render'], $this->told($this->artist));
        self::assertSame(['Artist brought in TC_010: 4 frames to render'], $this->told($this->coordinator));
        self::assertSame([], $this->told($this->other));
        $page = $this->page('/notices');
        self::assertSame("/checks/{$check->id}", $page['notices'][0]['url']);
        self::assertTrue($page['notices'][0]['isNew']);
        self::assertSame(1, $page['unread']);
        $this->post('/notices')->assertRedirect();
        self::assertSame(0, $this->page('/notices')['unread']);
        // a coordinator's own check brings nothing in
        $this->check($this->coordinator);
        self::assertCount(2, $this->told($this->coordinator));
        Mail::assertNothingQueued();
    }

    public function test_news_are_asked_for_again_and_again(): void
    {
        $this->actingAs($this->artist);
        $first = $this->getJson('/news')->assertOk()->json();
        self::assertSame([0, [], []], [$first['unread'], $first['since'], $first['underWay']]);
        $this->check($this->artist);
        $news = $this->getJson('/news?after=0')->json();
        self::assertSame(1, $news['unread']);
        // what was there before the page was is not said
        self::assertSame([], $news['since']);
        $again = $this->getJson('/news?after='.($news['newest'] - 1 ?: 1))->json();
        self::assertSame($news['newest'], $again['newest']);
        $this->check($this->artist);
        $now = $this->getJson("/news?after={$news['newest']}")->json();
        self::assertSame(['TC_010: 4 frames to render'], array_column($now['since'], 'says'));
        $this->deliverable->checks()->latest('id')->firstOrFail()->update(['state' => 'running']);
        self::assertSame([$this->deliverable->id], $this->getJson('/news')->json('underWay'));
        $this->actingAs($this->other);
        self::assertSame([], $this->getJson('/news')->json('underWay'));
        auth()->logout();
        $this->getJson('/news')->assertUnauthorized();
    }

    public function test_owners_are_told_of_what_is_asked_accepted_and_written(): void
    {
        $this->actingAs($this->coordinator)->patch("/deliverables/{$this->deliverable->id}/requirements", [
            'id' => 'time.rate', 'value' => '25', 'level' => 'must', 'scope' => 'deliverable',
        ])->assertSessionHasNoErrors();
        self::assertSame(['TC_010: something else is asked (Frame rate)'], $this->told($this->artist));
        self::assertSame([], $this->told($this->other));
        // of all that follow a specification each owner is told of theirs
        $this->patch("/deliverables/{$this->deliverable->id}/requirements", [
            'id' => 'picture.resolution', 'value' => '64x40', 'level' => 'must', 'scope' => 'specification',
        ])->assertSessionHasNoErrors();
        self::assertSame(['TC_020: something else is asked (Resolution)'], $this->told($this->other));
        // what was not read yet is told anew in its place
        self::assertSame(['TC_010: something else is asked (Resolution)'], $this->told($this->artist));
        $check = $this->check($this->artist);
        $this->actingAs($this->coordinator);
        $accepted = app(AcceptLine::class)->run(
            $check,
            static fn (Entry $e): bool => $e->requirement->id() === 'picture.resolution',
            'as agreed',
            false,
            $this->coordinator,
        );
        self::assertNotNull($accepted);
        self::assertContains('TC_010: Resolution is accepted as it is (as agreed)', $this->told($this->artist));
        $this->post("/productions/{$this->production->id}/outbox")->assertSessionHasNoErrors();
        Mail::assertQueued(NoticeMail::class, fn (NoticeMail $mail): bool => $mail->hasTo($this->artist->email));
    }

    public function test_each_is_told_as_they_wish_and_only_of_what_they_may_see(): void
    {
        $this->actingAs($this->artist)->patch('/notices', ['wishes' => ['checked' => ['mail' => true]]])
            ->assertSessionHasNoErrors();
        $this->check($this->artist);
        self::assertSame([], $this->told($this->artist));
        Mail::assertQueued(NoticeMail::class, 1);
        Mail::assertQueued(NoticeMail::class, static function (NoticeMail $mail): bool {
            $mail->assertSeeInText('TC_010: 4 frames to render');
            $mail->assertSeeInText('/checks/');

            return true;
        });
        // whoever is taken off a production is told nothing more of it
        self::assertNotSame([], $this->told($this->coordinator));
        $this->production->memberships()->where('user_id', $this->coordinator->id)->delete();
        $this->actingAs($this->coordinator);
        self::assertSame([], $this->page('/notices')['notices']);
        self::assertSame(0, $this->getJson('/news')->json('unread'));
    }

    public function test_what_is_due_within_a_day_is_told_once_for_each_time(): void
    {
        $this->deliverable->update(['due_at' => now()->addHours(20)]);
        $this->others->update(['due_at' => now()->addHours(30)]);
        $this->artisan('ledger:remind')->assertSuccessful();
        $this->artisan('ledger:remind')->assertSuccessful();
        self::assertCount(1, $this->told($this->artist));
        self::assertStringContainsString('does not balance: nothing was checked yet', $this->told($this->artist)[0]);
        self::assertSame([], $this->told($this->other));
        Mail::assertQueued(NoticeMail::class, 1);
        Notice::query()->update(['read_at' => now()]);
        $this->deliverable->update(['due_at' => now()->addHours(22)]);
        $this->artisan('ledger:remind');
        self::assertCount(2, $this->told($this->artist));
        $this->production->update(['archived_at' => now()]);
        $this->deliverable->update(['due_at' => now()->addHours(23)]);
        $this->artisan('ledger:remind');
        self::assertCount(2, $this->told($this->artist));
    }

    public function test_an_invitation_is_mailed_where_mail_leaves(): void
    {
        $this->actingAs($this->coordinator);
        $url = "/productions/{$this->production->id}/people";
        $this->post($url, ['role' => 'artist', 'people' => "Juna, juna@practice.example\nNobody in particular"]);
        Mail::assertQueued(InvitationMail::class, 1);
        Mail::assertQueued(InvitationMail::class, static function (InvitationMail $mail): bool {
            $mail->assertSeeInText('Hello Juna');
            $mail->assertSeeInText('/join/');

            return $mail->hasTo('juna@practice.example');
        });
        config(['mail.default' => 'log']);
        $this->post($url, ['role' => 'artist', 'people' => 'moro@practice.example']);
        Mail::assertQueued(InvitationMail::class, 1);
    }
}
