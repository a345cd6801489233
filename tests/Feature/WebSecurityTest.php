<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Checks\ProductionQuota;
use App\Http\Controllers\Account\SignInController;
use App\Security\PasswordRule;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Log;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Factories\UserFactory;
use Tests\Feature\Support\LedgerTestCase;

/** Who comes in, what every reply carries, and what one person may ask of the machine. */
final class WebSecurityTest extends LedgerTestCase
{
    private const HEADERS = [
        'Content-Security-Policy', 'X-Content-Type-Options', 'X-Frame-Options', 'Referrer-Policy', 'Permissions-Policy',
        'Cross-Origin-Opener-Policy', 'Cross-Origin-Resource-Policy',
    ];

    public function test_every_reply_carries_the_headers(): void
    {
        $replies = [
            $this->get('/sign-in'),
            $this->get('/nowhere'),
            $this->get('/'),
            $this->get('/up'),
            $this->getJson('/api/productions/TC/deliverables/TC_010/check'),
            $this->get('/sheets/5'),
        ];
        $this->actingAs($this->coordinator);
        $signedIn = [
            $this->get('/calculator'),
            $this->get('/deliverables/999/frames'),
            $this->get("/deliverables/{$this->deliverable->id}/sheet.html"),
            $this->post('/calculate', []),
            $this->get("/productions/{$this->production->id}/results.csv"),
        ];
        foreach ([...$replies, ...$signedIn] as $reply) {
            foreach (self::HEADERS as $header) {
                self::assertTrue($reply->headers->has($header), "{$header}, {$reply->getStatusCode()}");
            }
            self::assertFalse($reply->headers->has('X-Powered-By'));
            self::assertFalse($reply->headers->has('Strict-Transport-Security'));
        }
        foreach ($signedIn as $reply) {
            self::assertSame('no-store, private', $reply->headers->get('Cache-Control'));
        }
        $this->get('https://localhost/calculator')->assertHeader('Strict-Transport-Security', 'max-age=31536000');
    }

    public function test_other_names_are_refused(): void
    {
        foreach (['evil.example', 'localhost.evil.example', '10.0.0.1'] as $host) {
            $this->get("http://{$host}/sign-in")->assertStatus(400)->assertHeader('X-Content-Type-Options', 'nosniff');
        }
        config(['app.url' => 'https://ledger.harbour.example', 'ledger.hosts' => 'old.harbour.example']);
        $this->get('http://ledger.harbour.example/sign-in')->assertOk();
        $this->get('http://OLD.harbour.example/sign-in')->assertOk();
        // once it has a name of its own, the machine's is none
        $this->get('http://localhost/sign-in')->assertStatus(400);
    }

    private function try(string $email, string $password, string $from): string
    {
        $reply = $this->withServerVariables(['REMOTE_ADDR' => $from])
            ->from('/sign-in')
            ->post('/sign-in', ['email' => $email, 'password' => $password]);
        $signedIn = $this->app['auth']->guard()->check();
        if ($signedIn) {
            $this->post('/sign-out');

            return 'in';
        }
        $errors = session('errors');

        return str_starts_with((string) $errors?->first('email'), 'Too many') ? 'wait' : 'wrong';
    }

    public function test_spraying_locks_nobodys_right_password_out(): void
    {
        self::assertSame('in', $this->try('artist@harbour.example', 'a long password', '10.0.0.1'));
        // one password at many accounts, from the same place
        $came = [];
        for ($n = 0; $n < 40; $n++) {
            $came[] = $this->try("nobody{$n}@harbour.example", 'Summer2026!', '10.0.0.1');
        }
        self::assertSame(['wrong' => 30, 'wait' => 10], array_count_values($came));
        self::assertSame('in', $this->try('Artist@harbour.example', 'a long password', '10.0.0.1'));
        // many places at one account
        for ($n = 0; $n < 70; $n++) {
            $this->try('artist@harbour.example', "guess {$n}", "10.1.0.{$n}");
        }
        self::assertSame('in', $this->try('artist@harbour.example', 'a long password', '10.0.0.1'));
        // from a place of which nothing is known, one guess a minute is left
        self::assertSame(
            ['wrong', 'wait'],
            [
                $this->try('artist@harbour.example', 'x', '10.2.0.1'),
                $this->try('artist@harbour.example', 'y', '10.2.0.1'),
            ],
        );
    }

    public function test_unknown_names_take_as_long_as_known_ones(): void
    {
        $hash = Hash::spy();
        $hash->shouldReceive('check')
            ->andReturn(false)
            ->getMock()
            ->shouldReceive('needsRehash')
            ->andReturn(false)
            ->getMock()
            ->shouldReceive('make')
            ->andReturn('made');
        $this->post('/sign-in', ['email' => 'artist@harbour.example', 'password' => 'guess']);
        $this->post('/sign-in', ['email' => 'nobody@harbour.example', 'password' => 'guess']);
        $hash->shouldHaveReceived('check')->twice();
    }

    public function test_passwords_are_kept_whole_and_old_ways_of_keeping_them_are_renewed(): void
    {
        $long = str_repeat('x', 100);
        $user = UserFactory::new()->named('long')->create(['password' => "{$long}right"]);
        self::assertSame('wrong', $this->try('long@harbour.example', "{$long}wrong", '10.0.0.1'));
        self::assertSame('in', $this->try('long@harbour.example', "{$long}right", '10.0.0.1'));
        $user->getConnection()
            ->table('users')
            ->where('id', $user->id)
            ->update(['password' => password_hash('as it was before', PASSWORD_BCRYPT, ['cost' => 4])]);
        self::assertSame('in', $this->try('long@harbour.example', 'as it was before', '10.0.0.1'));
        self::assertStringStartsWith('$argon2id$', (string) $user->refresh()->password);
        self::assertSame('in', $this->try('long@harbour.example', 'as it was before', '10.0.0.1'));
    }

    /** @return iterable<string, array{string, bool}> */
    public static function passwords(): iterable
    {
        foreach ([
            'short', 'elevenlett ', 'password12345', 'P@ssw0rd2026!', 'aaaaaaaaaaaaaaa', '123456789012',
            'qwertyuiopasdf', 'ansel-ansel-2026', 'Ansel Moor 1234', 'welcomewelcome1', str_repeat('long ', 50),
            '            ', 'correcthorsebatterystaple',
        ] as $refused) {
            yield $refused => [$refused, false];
        }
        foreach ([
            'harbour bell at dusk',
            'x9!kQ2#pLm7$',
            'Übergröße im Nebel',
            '0418 kelp 5512 tram',
            str_repeat('éè', 20).'anchor',
        ] as $taken) {
            yield $taken => [$taken, true];
        }
    }

    #[DataProvider('passwords')]
    public function test_which_passwords_are_taken(string $password, bool $taken): void
    {
        self::assertSame(
            $taken,
            PasswordRule::refuses($password, 'Ansel Moor', 'ansel@harbour.example') === null,
            (string) PasswordRule::refuses($password, 'Ansel Moor', 'ansel@harbour.example'),
        );
    }

    public function test_a_session_ends_by_its_age(): void
    {
        $this->actingAs($this->artist)
            ->withSession([SignInController::SINCE => time() - 3600])
            ->get('/calculator')
            ->assertOk();
        $this->actingAs($this->artist)
            ->withSession([SignInController::SINCE => time() - 86_401])
            ->get('/calculator')
            ->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    public function test_tokens_do_what_they_were_made_for(): void
    {
        $settings = "/api/productions/TC/deliverables/{$this->deliverable->code}/settings";
        $scene = "/api/productions/TC/deliverables/{$this->deliverable->code}/scene";
        $with = function (string $scope): self {
            $this->app['auth']->forgetGuards();

            return $this->withToken($this->artist->createToken('test', [$scope])->plainTextToken);
        };
        $with('read')->getJson($settings)->assertOk();
        $with('read')->postJson($scene, ['resolution' => '64x36'])
            ->assertForbidden()
            ->assertJsonPath(
                'message',
                'This token may not do that: it needs the scope “check”, to read, and bring settings to be checked.',
            );
        $with('check')->getJson($settings)->assertOk();
        $with('check')->postJson($scene, ['resolution' => '64x36'])->assertOk();
        $with('write')->postJson($scene, ['resolution' => '64x36'])->assertOk();
        $with('neither')->getJson($settings)->assertForbidden();
        $this->actingAs($this->artist)
            ->post('/tokens', ['name' => 'reader', 'days' => 5, 'scope' => 'read'])
            ->assertSessionHasNoErrors();
        self::assertSame(['read'], $this->artist->tokens()->latest('id')->firstOrFail()->abilities);
    }

    public function test_guesses_of_tokens_wait(): void
    {
        for ($n = 0; $n < 30; $n++) {
            $this->withToken("guess{$n}")
                ->getJson('/api/productions/TC/deliverables/TC_010/check')
                ->assertUnauthorized();
        }
        $this->withToken('guess')->getJson('/api/productions/TC/deliverables/TC_010/check')->assertStatus(429);
    }

    public function test_the_security_log_tells_without_secrets(): void
    {
        $told = [];
        Log::shouldReceive('channel')->with('security')->andReturnSelf();
        Log::shouldReceive('info')->andReturnUsing(static function (string $event, array $about) use (&$told): void {
            $told[] = $event.' '.json_encode($about);
        });
        Log::shouldReceive('error')->andReturnNull();
        $this->try('artist@harbour.example', 'a wrong secret', '10.0.0.1');
        $this->try('my password by mistake', 'a wrong secret', '10.0.0.1');
        $this->try('coordinator@harbour.example', 'a long password', '10.0.0.1');
        $this->actingAs($this->coordinator)->post('/tokens', ['name' => 'a', 'days' => 5]);
        $this->post("/deliverables/{$this->deliverable->id}/sheets", ['days' => 3, 'anyway' => true]);
        $this->get("/productions/{$this->production->id}/results.csv")->assertOk();

        $events = array_map(static fn (string $line): string => explode(' {', $line)[0], $told);
        self::assertSame(
            ['sign-in refused', 'sign-in refused', 'signed in', 'signed out', 'token made', 'link given', 'exported'],
            $events,
        );
        self::assertDoesNotMatchRegularExpression('~secret|password|\|~', implode("\n", $told));
        self::assertStringContainsString("\"account\":{$this->artist->id}", $told[0]);
    }

    public function test_a_learner_is_told_that_somebody_is_there_and_not_who(): void
    {
        $this->production->memberships()->where('user_id', $this->artist->id)->update(['role' => 'learner']);
        $this->actingAs($this->coordinator)->postJson("/deliverables/{$this->deliverable->id}/presence")->assertOk();
        $this->actingAs($this->artist)
            ->postJson("/deliverables/{$this->deliverable->id}/presence")
            ->assertJsonPath('others', ['Somebody']);
    }

    public function test_a_production_has_its_share_and_no_more(): void
    {
        $check = fn () => $this->actingAs($this->artist)
            ->from('/x')
            ->post(
                "/deliverables/{$this->deliverable->id}/checks",
                ['root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick'],
            );
        $this->production->update(['limits' => ['checks' => 1]]);
        $check()->assertSessionHasNoErrors();
        $check()->assertSessionHasErrors(
            [
                'below' => 'This production has had 1 check of files in the last 24 hours, and that is the most it '
                    .'may have. Begin this one later, or ask whoever runs the installation for more.',
            ],
        );
        $this->travel(25)->hours();
        $check()->assertSessionHasNoErrors();
        Cache::flush();
        $this->production->update(['limits' => ['bytes' => 100]]);
        self::assertGreaterThan(100, ProductionQuota::bytes($this->production));
        $this->post(
            "/deliverables/{$this->deliverable->id}/scene",
            ['pasted' => 'resolution = 64x36'],
        )->assertSessionHasErrors('settings');
        self::assertSame(0, $this->deliverable->scenes()->count());
    }

    public function test_costly_requests_are_counted_apart(): void
    {
        $this->actingAs($this->coordinator);
        for ($n = 0; $n < 60; $n++) {
            $this->get("/productions/{$this->production->id}/results.csv")->assertOk();
        }
        $this->get("/productions/{$this->production->id}/results.csv")->assertStatus(429);
        $this->get('/calculator')->assertOk();
        $this->actingAs($this->artist)->get("/deliverables/{$this->deliverable->id}/sheet.txt")->assertOk();
    }
}
