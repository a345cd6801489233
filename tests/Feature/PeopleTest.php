<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\People\Invite;
use App\Models\Invitation;
use App\Models\Production;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Support\LedgerTestCase;

/** People come in by links, have roles, and are taken off; productions are begun and set up on pages. */
final class PeopleTest extends LedgerTestCase
{
    private const PASSWORD = 'four lamps on a quay';

    /** @param  array<string, string>  $more */
    private function come(string $link, array $more = []): TestResponse
    {
        return $this->post($link, $more + [
            'name' => 'Fenn Harrow', 'email' => 'fenn@harbour.example', 'password' => self::PASSWORD,
            'again' => self::PASSWORD,
        ]);
    }

    private function invited(Role $role = Role::Artist, string $email = ''): string
    {
        return app(Invite::class)->member(
            $this->production,
            $role,
            ['name' => '', 'email' => $email],
            $this->coordinator,
        );
    }

    /** @return array<string, mixed> */
    private function made(array $data): array
    {
        $this->actingAs($this->coordinator)->post("/productions/{$this->production->id}/people", $data)
            ->assertSessionHasNoErrors();

        return $this->page("/productions/{$this->production->id}/people");
    }

    public function test_an_empty_ledger_is_begun_by_a_link(): void
    {
        Artisan::call('ledger:link');
        $link = trim(Artisan::output());
        self::assertSame('administrator', $this->page($link)['kind']);
        $this->come($link)->assertRedirect('/');
        $fenn = User::query()->where('email', 'fenn@harbour.example')->firstOrFail();
        self::assertTrue($fenn->is_administrator);
        self::assertSame([], $this->page('/')['productions']);
        $this->post('/productions', ['name' => 'Slack Water', 'code' => 'SW', 'kind' => 'film', 'rate' => '23.976'])
            ->assertSessionHasNoErrors();
        $made = Production::byCode('sw') ?? self::fail('it is not there');
        self::assertSame(['24000/1001', Role::Coordinator, 'sw/{shot}'], [
            $made->house['require']['time.rate'], $fenn->roleIn($made->id),
            $made->intakeRoots()->firstOrFail()->path,
        ]);
        self::assertDirectoryExists("{$this->intake->folder}/sw");
        // the same code, and what is no rate
        $this->post('/productions', ['name' => 'X', 'code' => 'Sw', 'kind' => 'film'])->assertSessionHasErrors('code');
        $this->post('/productions', ['name' => 'X', 'code' => 'XX', 'kind' => 'film', 'rate' => 'fast']);
        self::assertNull(Production::byCode('XX'));
        // a link of that kind ends those before it, and is used once
        auth()->logout();
        self::assertNull($this->page($link)['kind']);
        $this->come($link, ['email' => 'late@harbour.example'])->assertSessionHasErrors('refused');
        self::assertFalse(User::query()->where('email', 'late@harbour.example')->exists());
    }

    public function test_an_invitation_stands_in_the_outbox_until_it_is_used(): void
    {
        $link = $this->invited(Role::Artist, 'fenn@harbour.example');
        $outbox = "/productions/{$this->production->id}/outbox";
        $this->actingAs($this->coordinator);
        $letters = $this->page($outbox)['messages'];
        self::assertSame([[null, 'fenn@harbour.example', 'Coordinator']], array_map(
            static fn (array $m): array => [$m['id'], $m['address'], $m['by']],
            $letters,
        ));
        self::assertStringContainsString($link, $letters[0]['body']);
        self::assertStringContainsString(
            $link,
            quoted_printable_decode((string) $this->get("{$outbox}.mbox")->assertOk()->getContent()),
        );
        // whoever has the database alone has no link
        $kept = (string) DB::table('invitations')->latest('id')->value('link');
        self::assertStringNotContainsString(basename($link), $kept);
        self::assertStringNotContainsString(basename($link), (string) base64_decode($kept, true));
        $this->actingAs($this->artist)->get($outbox)->assertForbidden();

        auth()->logout();
        $this->come($link)->assertRedirect();
        self::assertSame([], $this->actingAs($this->coordinator)->page($outbox)['messages']);
        self::assertNull(DB::table('invitations')->latest('id')->value('link'));
        // one that has ended, or was kept under another key, is none
        $this->invited();
        Invitation::query()->latest('id')->firstOrFail()->update(['link' => 'of another key']);
        self::assertSame([], $this->page($outbox)['messages']);
        $this->invited();
        $this->travel(400)->days();
        self::assertSame([], $this->page($outbox)['messages']);
        // links for passwords are never kept
        app(Invite::class)->password($this->artist, $this->coordinator);
        self::assertNull(Invitation::query()->latest('id')->firstOrFail()->link);
    }

    public function test_many_are_invited_from_a_list_and_each_comes_in_once(): void
    {
        $page = $this->made([
            'role' => 'artist',
            'people' => "Fenn Harrow, fenn@harbour.example\n\n\"Tamsin Oake\" <tamsin@harbour.example>\nGrey Larch\n",
        ]);
        self::assertSame(
            [
                ['Fenn Harrow', 'fenn@harbour.example'], ['Tamsin Oake', 'tamsin@harbour.example'], ['Grey Larch', ''],
            ],
            array_map(static fn (array $f): array => [$f['name'], $f['email']], $page['fresh']),
        );
        self::assertCount(3, $page['invited']);
        // they are told once, and the ledger's file has nothing that can be followed
        self::assertSame([], $this->page("/productions/{$this->production->id}/people")['fresh']);
        foreach (Invitation::query()->get() as $kept) {
            self::assertStringNotContainsString($kept->token, $page['fresh'][0]['link']);
        }
        auth()->logout();
        $link = $page['fresh'][0]['link'];
        self::assertSame(['member', 'The Tide Clock', 'artist', 'Fenn Harrow'], array_values(array_intersect_key(
            $this->page($link),
            ['kind' => 1, 'production' => 1, 'role' => 1, 'name' => 1],
        )));
        $this->come($link)->assertRedirect("/productions/{$this->production->id}");
        $fenn = User::query()->where('email', 'fenn@harbour.example')->firstOrFail();
        self::assertSame([Role::Artist, 'fenn', false], [
            $fenn->roleIn($this->production->id), $fenn->handle, $fenn->is_administrator,
        ]);
        $this->assertAuthenticatedAs($fenn);
        auth()->logout();
        $this->come($link, ['email' => 'x@harbour.example'])->assertSessionHasErrors('refused');
        self::assertCount(2, $this->actingAs($this->coordinator)
            ->page("/productions/{$this->production->id}/people")['invited']);
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function wrong(): iterable
    {
        yield 'no name' => [['name' => ''], 'name'];
        yield 'no address' => [['email' => 'fenn'], 'email'];
        yield 'a weak password' => [['password' => 'password1234', 'again' => 'password1234'], 'password'];
        yield 'a password of the name' => [['password' => 'fennharrow12', 'again' => 'fennharrow12'], 'password'];
        yield 'another one again' => [['again' => 'four lamps'], 'again'];
        yield 'somebody who is here' => [['email' => 'ARTIST@harbour.example'], 'refused'];
    }

    /** @param  array<string, string>  $data */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_told_and_the_link_stays_open(array $data, string $field): void
    {
        $link = $this->invited();
        $this->come($link, $data)->assertSessionHasErrors($field);
        self::assertSame('member', $this->page($link)['kind']);
    }

    public function test_whoever_has_an_account_takes_a_link_up_with_it(): void
    {
        $link = $this->invited(Role::Coordinator);
        $this->put($link)->assertRedirect('/sign-in');
        $this->actingAs($this->stranger)->put($link)->assertRedirect("/productions/{$this->production->id}");
        self::assertSame(Role::Coordinator, $this->stranger->roleIn($this->production->id));
        // nobody becomes less by a link
        $this->actingAs($this->coordinator)->put($this->invited());
        self::assertSame(Role::Coordinator, $this->coordinator->roleIn($this->production->id));
    }

    public function test_a_link_that_is_over_or_taken_back_or_made_up_lets_nobody_in(): void
    {
        $link = $this->invited();
        $this->travel(15)->days();
        $this->come($link)->assertSessionHasErrors('refused');
        $this->travelBack();
        $back = $this->invited();
        $id = Invitation::query()->latest('id')->firstOrFail()->id;
        $this->actingAs($this->coordinator)->delete("/productions/{$this->production->id}/invitations/{$id}");
        auth()->logout();
        $this->come($back)->assertNotFound();
        $made = '/join/'.str_repeat('a', 48);
        self::assertNull($this->page($made)['kind']);
        $this->come($made)->assertNotFound();
        $this->get('/join/short')->assertNotFound();
        self::assertFalse(User::query()->where('email', 'fenn@harbour.example')->exists());
    }

    public function test_roles_are_changed_and_somebody_always_decides(): void
    {
        $of = fn (User $user): string => "/productions/{$this->production->id}/people/"
            .$this->production->memberships()->where('user_id', $user->id)->firstOrFail()->id;
        $this->actingAs($this->coordinator);
        $this->patch($of($this->coordinator), ['role' => 'artist'])->assertSessionHasErrors('refused');
        $this->delete($of($this->coordinator))->assertSessionHasErrors('refused');
        $this->patch($of($this->artist), ['role' => 'king'])->assertSessionHasErrors('role');
        $this->patch($of($this->artist), ['role' => 'coordinator'])->assertSessionHasNoErrors();
        self::assertSame(Role::Coordinator, $this->artist->roleIn($this->production->id));
        $this->delete($of($this->coordinator))->assertSessionHasNoErrors();
        // at once nothing of it is seen, and what they own stays theirs
        $this->get("/productions/{$this->production->id}")->assertForbidden();
        $this->get("/deliverables/{$this->deliverable->id}/frames")->assertForbidden();
        $this->actingAs($this->artist)->delete($of($this->other));
        self::assertSame($this->other->id, $this->others->refresh()->owner_id);
        $this->actingAs($this->other)->get("/deliverables/{$this->others->id}/frames")->assertForbidden();
    }

    public function test_members_of_another_production_are_not_reached_through_ones_own(): void
    {
        $other = Production::query()->create(['code' => 'X', 'name' => 'X', 'kind' => 'film', 'house' => []]);
        $member = $other->memberships()->create(['user_id' => $this->stranger->id, 'role' => 'coordinator']);
        $invitation = $other->invitations()->create([
            'kind' => 'member', 'token' => 'y', 'role' => 'artist', 'expires_at' => now()->addDay(),
        ]);
        $root = $other->intakeRoots()->create(['label' => 'x', 'path' => 'x/{shot}']);
        $this->actingAs($this->coordinator);
        $own = "/productions/{$this->production->id}";
        $this->delete("{$own}/people/{$member->id}")->assertNotFound();
        $this->delete("{$own}/invitations/{$invitation->id}")->assertNotFound();
        $this->delete("{$own}/roots/{$root->id}")->assertNotFound();
    }

    public function test_an_administrator_disables_somebody_who_is_out_at_once(): void
    {
        $this->coordinator->forceFill(['is_administrator' => true])->save();
        $token = $this->artist->createToken('mine', ['read'])->plainTextToken;
        $api = "/api/productions/TC/deliverables/{$this->deliverable->code}/settings";
        $this->withToken($token)->getJson($api)->assertOk();
        auth()->forgetGuards();
        $this->actingAs($this->coordinator)->patch("/people/{$this->artist->id}", ['disabled' => true]);
        auth()->forgetGuards();
        $this->withToken($token)->getJson($api)->assertUnauthorized();
        $this->flushHeaders();
        $this->actingAs($this->artist->refresh())->get('/')->assertRedirect('/sign-in');
        $this->post('/sign-in', ['email' => $this->artist->email, 'password' => 'a long password'])
            ->assertSessionHasErrors(['email' => 'Your account is closed. Ask whoever runs this ledger.']);
        $this->actingAs($this->coordinator)->patch("/people/{$this->artist->id}", ['disabled' => false]);
        Auth::guard('web')->logout();
        $this->post('/sign-in', ['email' => $this->artist->email, 'password' => 'a long password'])
            ->assertSessionHasNoErrors();
        // somebody is always left who runs it
        $this->actingAs($this->coordinator);
        foreach ([['disabled' => true], ['administrator' => false]] as $change) {
            $this->patch("/people/{$this->coordinator->id}", $change)->assertSessionHasErrors('refused');
        }
        $this->patch("/people/{$this->artist->id}", ['administrator' => true])->assertSessionHasNoErrors();
        $this->patch("/people/{$this->coordinator->id}", ['administrator' => false])->assertSessionHasNoErrors();
        $this->actingAs($this->coordinator->refresh())->get('/administration')->assertForbidden();
    }

    public function test_a_new_password_by_a_link(): void
    {
        $this->withSideTables();
        $this->coordinator->forceFill(['is_administrator' => true])->save();
        $this->actingAs($this->coordinator)->post("/people/{$this->artist->id}/password");
        $link = (string) $this->page('/administration')['fresh'];
        self::assertNull($this->page('/administration')['fresh']);
        auth()->logout();
        $page = $this->page($link);
        self::assertSame(['password', 'Artist'], [$page['kind'], $page['name']]);
        $name = ['password' => 'artist-12345678', 'again' => 'artist-12345678'];
        $this->post($link, $name)->assertSessionHasErrors('password');
        $this->post($link, ['password' => self::PASSWORD, 'again' => self::PASSWORD])->assertRedirect('/');
        $this->assertAuthenticatedAs($this->artist);
        auth()->logout();
        $this->post('/sign-in', ['email' => $this->artist->email, 'password' => 'a long password'])
            ->assertSessionHasErrors('email');
        $this->post('/sign-in', ['email' => $this->artist->email, 'password' => self::PASSWORD])
            ->assertSessionHasNoErrors();
        // nobody else takes such a link up as they are
        $this->flushSession();
        Artisan::call('ledger:link', ['address' => 'artist@harbour.example']);
        $this->actingAs($this->stranger)->put(trim(Artisan::output()))->assertNotFound();
        self::assertSame(2, Artisan::call('ledger:link', ['address' => 'nobody@harbour.example']));
    }

    public function test_the_administration_shows_how_it_stands(): void
    {
        $this->withSideTables();
        $this->coordinator->forceFill(['is_administrator' => true])->save();
        $page = $this->actingAs($this->coordinator)->page('/administration');
        self::assertSame(['TC'], array_column($page['productions'], 'code'));
        self::assertContains('database', array_column($page['health'], 'what'));
        self::assertSame([0, []], [$page['waiting'], $page['failed']]);
        $names = array_column($page['people'], 'productions', 'name');
        self::assertSame([['TC'], []], [$names['Artist'], $names['Stranger']]);
    }

    public function test_settings_and_intake_folders_of_a_production(): void
    {
        $of = "/productions/{$this->production->id}";
        $this->actingAs($this->coordinator);
        $this->patch("{$of}/settings", ['name' => 'Tides', 'code' => 'tc', 'kind' => 'series'])
            ->assertSessionHasNoErrors();
        self::assertSame(['Tides', 'tc', 'series'], array_values($this->production->refresh()->only(
            ['name', 'code', 'kind'],
        )));
        // another folder of the intake is not theirs to take
        foreach (['tide_plates/{shot}', 'elsewhere/{shot}', 'tide_x'] as $path) {
            $this->post("{$of}/roots", ['label' => 'X', 'path' => $path])->assertSessionHasErrors('path');
        }
        $this->post("{$of}/roots", ['label' => 'Own', 'path' => 'tide/plates/{shot}'])->assertSessionHasNoErrors();
        $this->production->intakeRoots()->where('label', 'Own')->delete();
        $this->coordinator->forceFill(['is_administrator' => true])->save();
        $this->post("{$of}/roots", ['label' => 'Plates', 'path' => 'tide_plates/{shot}'])->assertSessionHasNoErrors();
        self::assertDirectoryExists("{$this->intake->folder}/tide_plates");
        foreach (['../out/{shot}', '/etc', '{shot}', "a\0b"] as $path) {
            $this->post("{$of}/roots", ['label' => 'X', 'path' => $path])->assertSessionHasErrors();
        }
        $roots = $this->page("{$of}/settings")['roots'];
        self::assertSame(['Shots', 'Plates'], array_column($roots, 'label'));
        self::assertSame([null, null], array_column($roots, 'fault'));
        rmdir("{$this->intake->folder}/tide_plates");
        self::assertSame('this folder is not there yet', $this->page("{$of}/settings")['roots'][1]['fault']);
        $this->patch("{$of}/roots/{$roots[1]['id']}", ['label' => 'Old plates', 'path' => 'tide_old/{shot}']);
        self::assertDirectoryExists("{$this->intake->folder}/tide_old");
        $this->delete("{$of}/roots/{$roots[1]['id']}")->assertSessionHasNoErrors();
        self::assertDirectoryExists("{$this->intake->folder}/tide_old");
        self::assertCount(1, $this->page("{$of}/settings")['roots']);
    }

    public function test_what_is_due_first_stands_first_and_is_ones_own(): void
    {
        $second = Production::query()->create(['code' => 'X', 'name' => 'Second', 'kind' => 'film', 'house' => []]);
        $second->memberships()->create(['user_id' => $this->artist->id, 'role' => 'artist']);
        $second->memberships()->create(['user_id' => $this->coordinator->id, 'role' => 'coordinator']);
        $this->others->update(['due_at' => now()->subHours(5)]);
        $needs = fn (User $reader): array => array_map(
            static fn (array $n): string => "{$n['code']} {$n['says']}",
            $this->actingAs($reader)->page('/')['needs'],
        );
        $said = 'nothing was checked yet';
        self::assertSame(["TC_020 {$said}", "TC_010 {$said}"], $needs($this->coordinator));
        self::assertSame(["TC_010 {$said}"], $needs($this->artist));
        self::assertSame([], $needs($this->stranger));
        $this->actingAs($this->artist)->post("/deliverables/{$this->deliverable->id}/checks", [
            'root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick',
        ]);
        self::assertSame(['TC_010 4 frames to render'], $needs($this->artist));
        // what is out of the way needs nobody
        $this->actingAs($this->coordinator)->post("/deliverables/{$this->deliverable->id}/away");
        self::assertSame([], $needs($this->artist));
    }
}
