<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\People\Invite;
use App\Models\User;
use App\Security\OneTimeCode;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Support\LedgerTestCase;

/** Signing in with a code beside the password. */
final class OneTimeCodesTest extends LedgerTestCase
{
    /** “12345678901234567890” in base 32, the secret of the standard's own examples. */
    private const SECRET = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';

    /** @return iterable<string, array{int, string}> RFC 6238, appendix B, SHA-1: the last six of its eight digits */
    public static function examples(): iterable
    {
        yield '1970' => [59, '287082'];
        yield '2005' => [1_111_111_109, '081804'];
        yield 'a step later' => [1_111_111_111, '050471'];
        yield '2009' => [1_234_567_890, '005924'];
        yield '2033' => [2_000_000_000, '279037'];
        yield '2603' => [20_000_000_000, '353130'];
    }

    #[DataProvider('examples')]
    public function test_codes_are_those_of_the_standard(int $moment, string $code): void
    {
        self::assertSame($code, (new OneTimeCode(self::SECRET))->at(intdiv($moment, 30)));
    }

    public function test_a_code_holds_a_step_before_and_after_and_once(): void
    {
        $codes = new OneTimeCode(self::SECRET);
        $now = 1_234_567_890;
        $here = intdiv($now, 30);
        self::assertSame($here, $codes->stepOf(' 005 924 ', $now));
        self::assertSame($here, $codes->stepOf('005924', $now + 30));
        self::assertSame($here, $codes->stepOf('005924', $now - 30));
        self::assertNull($codes->stepOf('005924', $now + 60));
        self::assertNull($codes->stepOf('005924', $now, $here));
        self::assertNull($codes->stepOf('', $now));
        $secret = OneTimeCode::newSecret();
        self::assertMatchesRegularExpression('~^[A-Z2-7]{32}$~', $secret);
        $address = (new OneTimeCode($secret))->address('a@b.example', 'Plain Ledger');
        self::assertStringContainsString("totp/Plain%20Ledger%3Aa%40b.example?secret={$secret}&", $address);
    }

    /** @return list<string> recovery codes */
    private function begin(User $user): array
    {
        $this->withSideTables();
        $this->travelTo('2026-11-29 12:00:15');
        $this->actingAs($user)->put('/codes')->assertRedirect('/tokens');
        $secret = str_replace(' ', '', $this->page('/tokens')['codes']['offered']['secret']);
        $this->post('/codes', ['code' => '000000'])->assertSessionHasErrors('code');
        $this->post('/codes', ['code' => $this->code($secret)])->assertSessionHasNoErrors();
        $fresh = $this->page('/tokens')['codes']['fresh'];
        self::assertCount(10, $fresh);
        self::assertSame([], $this->page('/tokens')['codes']['fresh']);
        $this->post('/sign-out');

        return $fresh;
    }

    private function code(string $secret, int $later = 0): string
    {
        return (new OneTimeCode($secret))->at(intdiv(now()->getTimestamp() + $later, OneTimeCode::PERIOD));
    }

    private function password(): void
    {
        $this->post('/sign-in', ['email' => $this->coordinator->email, 'password' => 'password'])
            ->assertRedirect('/sign-in/code');
    }

    public function test_the_password_alone_is_half_the_way(): void
    {
        $this->coordinator->update(['password' => 'password']);
        $this->begin($this->coordinator);
        $secret = (string) $this->coordinator->refresh()->code_secret;
        $this->password();
        $this->get('/')->assertRedirect('/sign-in');
        $this->get('/sign-in/code')->assertOk();
        // the code that began them was used
        $this->post('/sign-in/code', ['code' => $this->code($secret)])->assertSessionHasErrors('code');
        $this->travel(30)->seconds();
        $this->post('/sign-in/code', ['code' => $this->code($secret)])->assertRedirect('/');
        $this->get($this->productionUrl())->assertOk();
        // nobody reads the secret out of the database
        $row = (array) DB::table('users')->where('id', $this->coordinator->id)->first();
        self::assertStringNotContainsString($secret, (string) json_encode($row));
    }

    private function productionUrl(): string
    {
        return "/productions/{$this->production->id}";
    }

    public function test_a_recovery_code_signs_in_once(): void
    {
        $this->coordinator->update(['password' => 'password']);
        [$first] = $this->begin($this->coordinator);
        $this->password();
        $this->post('/sign-in/code', ['code' => strtoupper(" {$first}")])->assertRedirect('/');
        self::assertCount(9, $this->coordinator->refresh()->recovery_codes ?? []);
        $this->post('/sign-out');
        $this->password();
        $this->post('/sign-in/code', ['code' => $first])->assertSessionHasErrors('code');
    }

    public function test_codes_cannot_be_gone_through_and_half_a_way_is_not_waited_for(): void
    {
        $this->coordinator->update(['password' => 'password']);
        $this->begin($this->coordinator);
        $this->get('/sign-in/code')->assertRedirect('/sign-in');
        $this->password();
        foreach (range(1, 8) as $n) {
            $this->post('/sign-in/code', ['code' => "00000{$n}"])->assertSessionHasErrors('code');
        }
        $this->travel(30)->seconds();
        $right = $this->code((string) $this->coordinator->refresh()->code_secret);
        $this->post('/sign-in/code', ['code' => $right])->assertSessionHasErrors(
            ['code' => 'Too many tries. Wait a quarter of an hour, then try again.'],
        );
        $this->get('/sign-in/code');
        $this->travel(11)->minutes();
        $this->post('/sign-in/code', ['code' => ['x']]);
        $this->assertGuest();
    }

    public function test_a_link_for_a_new_password_is_half_the_way_too(): void
    {
        $this->begin($this->artist);
        $link = app(Invite::class)->password($this->artist, null);
        $new = 'seven odd herons wait';
        $this->post($link, ['password' => $new, 'again' => $new])->assertRedirect('/sign-in/code');
        $this->assertGuest();
    }

    public function test_they_end_with_the_password_and_by_an_administrator(): void
    {
        $this->coordinator->update(['password' => 'password']);
        $this->begin($this->coordinator);
        $this->actingAs($this->coordinator->refresh());
        $this->delete('/codes', ['password' => 'wrong'])->assertSessionHasErrors('ends');
        $this->delete('/codes', ['password' => 'password'])->assertSessionHasNoErrors();
        self::assertNull($this->coordinator->refresh()->codes_since);
        $this->begin($this->artist);
        $this->coordinator->forceFill(['is_administrator' => true])->save();
        $this->actingAs($this->coordinator)->delete("/people/{$this->artist->id}/codes");
        self::assertNull($this->artist->refresh()->code_secret);
    }
}
