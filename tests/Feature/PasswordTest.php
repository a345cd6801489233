<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\LedgerTestCase;

/** A password of one's own, changed by whoever knows the old one. */
final class PasswordTest extends LedgerTestCase
{
    private const OLD = 'an old lamp on the quay';

    private const NEW = 'seven grey herons wading';

    protected function setUp(): void
    {
        parent::setUp();
        $this->withSideTables();
        $this->artist->update(['password' => self::OLD]);
    }

    private function change(string $current, string $password, ?string $again = null): TestResponse
    {
        return $this->actingAs($this->artist)->patch(
            '/password',
            ['current' => $current, 'password' => $password, 'again' => $again ?? $password],
        );
    }

    private function elsewhere(int $user, string $id): void
    {
        DB::connection('side')->table('sessions')->insert(
            ['id' => $id, 'user_id' => $user, 'payload' => '', 'last_activity' => time()],
        );
    }

    public function test_it_is_changed_and_other_places_are_signed_out(): void
    {
        $this->elsewhere($this->artist->id, 'a');
        $this->elsewhere($this->artist->id, 'b');
        $this->elsewhere($this->coordinator->id, 'c');
        $this->change(self::OLD, self::NEW)->assertSessionHasNoErrors()->assertRedirect('/tokens');
        self::assertTrue(Hash::check(self::NEW, $this->artist->refresh()->password));
        $left = DB::connection('side')->table('sessions')->whereIn('id', ['a', 'b', 'c'])->pluck('id')->all();
        self::assertSame(['c'], $left);
        $this->post('/sign-out');
        $this->post('/sign-in', ['email' => $this->artist->email, 'password' => self::OLD])->assertSessionHasErrors();
        $this->post('/sign-in', ['email' => $this->artist->email, 'password' => self::NEW])->assertSessionHasNoErrors();
    }

    public function test_it_is_not_without_the_old_one_or_for_a_weak_one(): void
    {
        $this->change('something else entirely', self::NEW)->assertSessionHasErrors('current');
        $this->change('', self::NEW)->assertSessionHasErrors('current');
        $this->change(self::OLD, 'short')->assertSessionHasErrors('password');
        $this->change(self::OLD, 'passwordpassword')->assertSessionHasErrors('password');
        $this->change(self::OLD, self::NEW, 'another herons wading')->assertSessionHasErrors('again');
        $this->change(self::OLD, str_repeat('long ', 900))->assertSessionHasErrors('password');
        self::assertTrue(Hash::check(self::OLD, $this->artist->refresh()->password));
    }

    public function test_it_cannot_be_guessed_from_a_place_that_is_signed_in(): void
    {
        foreach (range(1, 10) as $i) {
            $this->change("guess number {$i}", self::NEW);
        }
        $this->change(self::OLD, self::NEW)->assertTooManyRequests();
        self::assertTrue(Hash::check(self::OLD, $this->artist->refresh()->password));
    }

    public function test_where_one_is_signed_in_is_listed_and_ended(): void
    {
        $this->elsewhere($this->artist->id, 'a');
        $this->elsewhere($this->coordinator->id, 'c');
        DB::connection('side')->table('sessions')->where('id', 'a')->update([
            'ip_address' => '10.0.0.7', 'user_agent' => 'Mozilla/5.0 (X11; Linux x86_64) Firefox/130.0',
        ]);
        config(['session.driver' => 'database']);
        $places = $this->actingAs($this->artist)->page('/tokens')['places'];
        self::assertContains(['Firefox on Linux', '10.0.0.7', false], array_map(
            static fn (array $p): array => [$p['with'], $p['from'], $p['isHere']],
            $places,
        ));
        config(['session.driver' => 'array']);
        $this->post('/sign-out/elsewhere')->assertSessionHasNoErrors();
        $left = DB::connection('side')->table('sessions')->whereIn('id', ['a', 'c'])->pluck('id')->all();
        self::assertSame(['c'], $left);
    }
}
