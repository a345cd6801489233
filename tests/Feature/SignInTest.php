<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\Feature\Support\LedgerTestCase;

final class SignInTest extends LedgerTestCase
{
    public function test_signing_in_and_out(): void
    {
        $this->get('/')->assertRedirect('/sign-in');
        $this->post(
            '/sign-in',
            ['email' => 'coordinator@harbour.example', 'password' => 'a long password'],
        )->assertRedirect('/');
        $this->assertAuthenticatedAs($this->coordinator);
        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    public function test_a_wrong_password_says_no_more_than_that(): void
    {
        $wrong = $this->from('/sign-in')->post(
            '/sign-in',
            ['email' => 'coordinator@harbour.example', 'password' => 'guess'],
        );
        $unknown = $this->from('/sign-in')->post(
            '/sign-in',
            ['email' => 'nobody@harbour.example', 'password' => 'guess'],
        );

        $wrong->assertSessionHasErrors(['email' => 'This address and password do not go together.']);
        $unknown->assertSessionHasErrors(['email' => 'This address and password do not go together.']);
        $this->assertGuest();
    }

    public function test_guessing_is_slowed_down(): void
    {
        for ($i = 0; $i < 5; $i++) {
            $this->from('/sign-in')->post(
                '/sign-in',
                ['email' => 'artist@harbour.example', 'password' => "guess {$i}"],
            );
        }
        $this->from('/sign-in')
            ->post('/sign-in', ['email' => 'artist@harbour.example', 'password' => 'a long password'])
            ->assertSessionHasErrors(['email' => 'Too many tries. Wait a minute, then try again.']);
        $this->assertGuest();
    }

    public function test_pages_load_nothing_from_elsewhere(): void
    {
        $policy = (string) $this->get('/sign-in')->headers->get('Content-Security-Policy');

        self::assertStringContainsString("default-src 'self'", $policy);
        self::assertStringContainsString("script-src 'self';", $policy);
    }

    public function test_faults_are_pages_in_plain_words(): void
    {
        $this->actingAs($this->artist);
        $page = $this->get('/deliverables/999/frames')->assertNotFound()->viewData('page');

        self::assertSame('Fault', $page['component']);
        self::assertSame(404, $page['props']['status']);
    }
}
