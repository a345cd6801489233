<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\People\Invite;
use App\Models\About;
use App\Models\Act;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\HandIn;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Notice;
use App\Models\NoticeKind;
use App\Models\Role;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Tests\Feature\Factories\UserFactory;
use Tests\Feature\Support\CourseTestCase;

/** Rosters in, gradebooks there and back, and what is kept of a person. */
final class GradebooksTest extends CourseTestCase
{
    private function file(string $bytes, string $name = 'grades.csv'): UploadedFile
    {
        return UploadedFile::fake()->createWithContent($name, $bytes);
    }

    /** @return array<string, mixed> */
    private function given(string $bytes, mixed $columns = null): array
    {
        return [
            'file' => $this->file($bytes), 'assignment' => $this->deliverable->specification_id,
            'columns' => $columns === null ? null : json_encode($columns),
        ];
    }

    private function member(User $user): Membership
    {
        return $this->production->memberships()->where('user_id', $user->id)->firstOrFail();
    }

    public function test_a_gradebook_there_and_back(): void
    {
        $this->handIn($this->deliverable, $this->artist);
        $this->handIn($this->others, $this->other);
        $this->actingAs($this->coordinator);
        $csv = "Student,Student ID,Lit frames (77),Final\nArtist,4711,,9\n\"Other\",4712,50,8\nNobody,4713,,7\n";
        $url = "/productions/{$this->production->id}/gradebook";
        $tried = $this->post("{$url}/read", $this->given($csv))->assertOk()->json();
        self::assertSame(
            ['whose' => ['Student'], 'by' => 'handle', 'points' => 'Lit frames (77)', 'remark' => null],
            $tried['columns'],
        );
        self::assertSame([2, 1, ['line 4: Nobody']], [$tried['filled'], $tried['changed'], $tried['unknown']]);
        self::assertNull($this->production->refresh()->gradebook);

        $back = $this->post($url, $this->given($csv, $tried['columns']))->assertOk()->getContent();
        $heads = 'Student,Student ID,Lit frames (77),Final';
        self::assertStringStartsWith("{$heads}\nArtist,4711,100,9\nOther,4712,", (string) $back);
        self::assertStringEndsWith("\nNobody,4713,,7\n", (string) $back);
        // what they are called there is kept, and the columns
        self::assertSame('4711', $this->member($this->artist)->number);
        self::assertSame('4712', $this->member($this->other)->number);
        self::assertSame('handle', $this->production->refresh()->gradebook['by'] ?? null);
        // so that next time ids alone will do
        $ids = $this->post("{$url}/read", $this->given("key;x\n4711;\n4712;\n"))->assertOk()->json();
        self::assertSame(['number', 2], [$ids['columns']['by'], $ids['filled']]);
    }

    public function test_results_of_a_course_have_points_in_them(): void
    {
        $before = now()->subHour()->setTimezone('Europe/Berlin')->format('Y-m-d\TH:i');
        $this->judged(['late' => ['percent' => 10]], $before);
        $this->handIn($this->deliverable, $this->artist);
        $this->member($this->artist)->update(['number' => '=4711']);
        $csv = (string) $this->actingAs($this->coordinator)
            ->get("/productions/{$this->production->id}/results.csv")->assertOk()->getContent();
        $rows = array_map(static fn (string $row): array => str_getcsv($row, escape: ''), explode("\r\n", trim($csv)));
        $of = array_combine($rows[0], $rows[1]);

        self::assertSame(['artist', "'=4711", '90', '100', '1'], [
            $of['learner'], $of['number'], $of['points'], $of['points of'], $of['attempts'],
        ]);
        self::assertStringContainsString('1st day: 10 % off', $of['late']);
        $other = array_combine($rows[0], $rows[2]);
        self::assertSame(['other', '', '0'], [$other['learner'], $other['points'], $other['attempts']]);
        // points beside names would say whose is whose
        $this->judged([], null, true);
        $csv = (string) $this->get("/productions/{$this->production->id}/results.csv")->getContent();
        self::assertStringNotContainsString(',100,100', $csv);
    }

    public function test_what_is_no_gradebook_is_told(): void
    {
        $this->actingAs($this->coordinator);
        $url = "/productions/{$this->production->id}/gradebook";
        $this->postJson("{$url}/read", $this->given("\x89PNG\r\n\x1a\n\0\0\0"))->assertUnprocessable();
        self::assertNull($this->post("{$url}/read", $this->given("a,b\n1,2\n"))->json('columns'));
        $this->post($url, $this->given("a,b\n1,2\n"))->assertSessionHasErrors('refused');
        $this->post($url, $this->given("a,b\n1,2\n", ['whose' => ['zz'], 'by' => 'name', 'points' => 'P']))
            ->assertSessionHasErrors('refused');
        // of another production's assignment
        $this->post("{$url}/read", ['assignment' => 999] + $this->given("a,b\n1,2\n"))
            ->assertSessionHasErrors('assignment');
        $this->actingAs($this->artist)->post($url, $this->given("a,b\n1,2\n"))->assertForbidden();
    }

    public function test_a_roster_is_read_and_people_are_invited_from_it(): void
    {
        $this->actingAs($this->coordinator);
        $url = "/productions/{$this->production->id}/roster";
        $users = "sourcedId,status,enabledUser,role,username,givenName,familyName,identifier,email\n"
            ."u1,,true,student,fern,Fern,Lowe,901,fern@practice.example\n"
            ."u2,,true,student,artist,Art,Ist,902,{$this->artist->email}\n";
        $enrolled = "sourcedId,classSourcedId,userSourcedId,role\ne1,c1,u1,student\ne2,c2,u2,student\n";
        $files = [$this->file($users, 'users.csv'), $this->file($enrolled, 'enrollments.csv')];
        $read = $this->post($url, ['files' => $files])->assertOk()->json();
        self::assertSame([false, true], array_column($read['people'], 'isHere'));
        self::assertSame(['c1', 'c2'], array_column($read['classes'], 'id'));
        self::assertCount(1, $this->post($url, ['files' => $files, 'class' => 'c1'])->json('people'));

        $lines = "Fern Lowe, fern@practice.example, #901\nArt Ist, {$this->artist->email}, #902";
        $this->post("/productions/{$this->production->id}/people", ['role' => 'learner', 'people' => $lines])
            ->assertSessionHasNoErrors();
        // who is here gets no link, and is called so from now on
        self::assertSame(1, Invitation::query()->count());
        self::assertSame('902', $this->member($this->artist)->number);
        self::assertSame('901', Invitation::query()->value('number'));
        // whoever follows the link is called so too
        $link = session('links')[0]['link'] ?? self::fail('no link');
        $this->post('/sign-out');
        $this->post((string) parse_url($link, PHP_URL_PATH), [
            'name' => 'Fern Lowe', 'email' => 'fern@practice.example', 'password' => 'long-enough-words',
            'again' => 'long-enough-words',
        ])->assertSessionHasNoErrors();
        $fern = User::query()->where('email', 'fern@practice.example')->firstOrFail();
        self::assertSame('901', $this->member($fern)->number);
    }

    public function test_a_roster_as_an_archive_and_none_at_all(): void
    {
        $this->actingAs($this->coordinator);
        $url = "/productions/{$this->production->id}/roster";
        $path = tempnam(sys_get_temp_dir(), 'zip');
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::OVERWRITE);
        $users = "sourcedId,givenName,familyName,email\n1,Fern,Lowe,f@practice.example\n";
        $zip->addFromString('roster/users.csv', $users);
        $zip->addFromString('roster/readme.txt', 'words');
        $zip->close();
        $sent = new UploadedFile($path, 'roster.zip', null, null, true);
        $people = $this->post($url, ['files' => [$sent]])->json('people');
        self::assertSame(['Fern Lowe'], array_column($people, 'name'));

        $this->postJson($url, ['files' => [$this->file('PK', 'x.zip')]])->assertUnprocessable();
        $this->postJson($url, ['files' => [$this->file("a,b\n1,2\n", 'a.csv'), $this->file('x', 'b.csv')]])
            ->assertUnprocessable()
            ->assertJsonFragment(['message' => 'the roster: it is one table with names, or has a users.csv.']);
        $this->postJson($url, ['files' => []])->assertUnprocessable();
    }

    public function test_all_that_is_kept_of_somebody_is_handed_out(): void
    {
        $handIn = $this->handIn($this->deliverable, $this->artist);
        $member = $this->member($this->artist);
        $path = tempnam(sys_get_temp_dir(), 'zip');
        $url = "/productions/{$this->production->id}/people/{$member->id}/data.zip";
        file_put_contents($path, $this->actingAs($this->coordinator)->get($url)->assertOk()->streamedContent());
        $zip = new \ZipArchive;
        self::assertTrue($zip->open($path, \ZipArchive::CHECKCONS));
        $person = json_decode((string) $zip->getFromName('person.json'), true);
        self::assertSame('Artist', $person['name']);
        self::assertSame('TC_010', $person['owes'][0]['code']);
        $handIns = json_decode((string) $zip->getFromName('TC_010/hand-ins.json'), true);
        self::assertSame('balanced', $handIns[0]['verdict']);
        $check = json_decode((string) $zip->getFromName("TC_010/check-{$handIn?->check_id}.json"), true);
        self::assertSame('plain-ledger/check', $check['format']);
        self::assertFalse($zip->getFromName('TC_020/hand-ins.json'));
        $this->actingAs($this->artist)->get($url)->assertForbidden();
    }

    public function test_all_that_is_kept_of_somebody_is_deleted(): void
    {
        $mate = UserFactory::new()->named('mate')->create()->refresh();
        $this->production->memberships()->create(['user_id' => $mate->id, 'role' => 'learner']);
        $this->handIn($this->others, $this->other);
        $this->actingAs($this->coordinator)->put("/deliverables/{$this->others->id}/team", ['members' => [$mate->id]]);
        $this->handIn($this->deliverable, $this->artist);
        app(Invite::class)->member(
            $this->production,
            Role::Learner,
            ['name' => 'Artist', 'email' => $this->artist->email],
            $this->coordinator,
        );
        $url = "/productions/{$this->production->id}/people/{$this->member($this->artist)->id}/data";
        $this->actingAs($this->coordinator)->delete($url, ['name' => 'artist'])->assertSessionHasErrors('name');
        $this->delete($url, ['name' => 'Artist'])->assertSessionHasNoErrors();

        self::assertFalse(User::query()->whereKey($this->artist->id)->exists());
        self::assertFalse(Deliverable::query()->whereKey($this->deliverable->id)->exists());
        self::assertSame(0, Check::query()->where('deliverable_id', $this->deliverable->id)->count());
        self::assertSame(1, HandIn::query()->count());
        self::assertSame(0, Invitation::query()->count());
        $told = Act::query()->pluck('what', 'id')->merge(Act::query()->pluck('who'))->implode("\n");
        self::assertStringNotContainsString('Artist', $told);
        // what others answer for too stays with them
        $url = "/productions/{$this->production->id}/people/{$this->member($this->other)->id}/data";
        $this->delete($url, ['name' => 'Other'])->assertSessionHasNoErrors();
        self::assertSame($mate->id, $this->others->refresh()->owner_id);
        self::assertSame([], $this->others->team()->pluck('users.id')->all());
        // whoever decides is not deleted so
        $url = "/productions/{$this->production->id}/people/{$this->member($this->coordinator)->id}/data";
        $this->delete($url, ['name' => 'Coordinator'])->assertSessionHasErrors('refused');
        self::assertTrue(User::query()->whereKey($this->coordinator->id)->exists());
    }

    public function test_a_short_name_is_not_taken_out_of_other_words(): void
    {
        $this->other->update(['name' => 'An']);
        $in = ['production_id' => $this->production->id, 'user_id' => $this->coordinator->id];
        $act = Act::query()->create([
            ...$in, 'who' => 'Anna', 'about' => About::People, 'what' => 'gave An more time for And',
        ]);
        $says = ['An handed in.', 'Anna handed in %.'];
        foreach ($says as $said) {
            Notice::query()->create([...$in, 'kind' => NoticeKind::HandedIn, 'says' => $said, 'url' => '/']);
        }
        $url = "/productions/{$this->production->id}/people/{$this->member($this->other)->id}/data";
        $this->actingAs($this->coordinator)->delete($url, ['name' => 'An'])->assertSessionHasNoErrors();

        self::assertSame('gave somebody who was deleted more time for And', $act->refresh()->what);
        self::assertSame('Anna', $act->who);
        self::assertSame([$says[1]], Notice::query()->whereIn('says', $says)->pluck('says')->all());
    }
}
