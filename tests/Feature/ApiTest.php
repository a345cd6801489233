<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Support\LedgerTestCase;

/** Programs with a personal token: settings in, the check out, and nothing that its owner may not. */
final class ApiTest extends LedgerTestCase
{
    private const PATH = '/api/productions/TC/deliverables/TC_010';

    private function token(User $of, ?\DateTimeInterface $until = null): string
    {
        return $of->createToken('test', ['check'], $until)->plainTextToken;
    }

    private function send(
        ?string $token,
        string $body,
        string $path = self::PATH.'/scene',
        string $method = 'POST',
    ): TestResponse {
        auth()->forgetGuards();
        $headers = [
            'HTTP_ACCEPT' => '*/*',
            'CONTENT_TYPE' => 'text/plain',
            'HTTP_X_FILE_NAME' => 'sent.txt',
        ] + ($token === null ? [] : ['HTTP_AUTHORIZATION' => "Bearer {$token}"]);

        return $this->call($method, $path, [], [], [], $headers, $body);
    }

    public function test_settings_in_and_the_check_out(): void
    {
        $token = $this->token($this->artist);
        $this->send($token, '', self::PATH.'/check', 'GET')
            ->assertNotFound()
            ->assertJson(['message' => 'Nothing of it has been checked yet.']);
        $answer = $this->send($token, "size = 32x18\nfps = 24\nframes = 1001-1010\n")->assertOk();
        self::assertSame(
            ['plain-ledger/check', 'unbalanced', 'picture.resolution'],
            [$answer->json('format'), $answer->json('verdict'), $answer->json('causes.0.explains.0')],
        );
        $check = $this->deliverable->checks()->firstOrFail();
        self::assertSame(
            ["/checks/{$check->id}", $this->artist->id, 'sent.txt'],
            [
                parse_url((string) $answer->headers->get('X-Check'), PHP_URL_PATH),
                $check->user_id,
                $check->scene?->file_name,
            ],
        );
        self::assertSame(
            $answer->json('entries'),
            $this->send($token, '', self::PATH.'/check', 'GET')->assertOk()->json('entries'),
        );
        $template = $this->send($token, '', self::PATH.'/settings', 'GET')->assertOk();
        self::assertSame('plain-ledger/scene', $template->json('format'));
        // the template as it is tells nothing, and nothing is wrong with it
        self::assertSame('open', $this->send($token, (string) $template->getContent())->assertOk()->json('verdict'));
    }

    public function test_the_part_that_settings_make_stands_behind_the_address(): void
    {
        $this->deliverable->specification->revise(['parts' => [
            [
                'name' => 'frames',
                'delivers' => 'frames',
                'require' => ['picture.resolution' => '64x36', 'naming.pattern' => '{shot}.{frame:4}.{ext}'],
            ],
            [
                'name' => 'preview',
                'delivers' => 'movie',
                'require' => ['picture.resolution' => '32x18', 'naming.pattern' => '{shot}.{ext}'],
            ],
        ]], $this->coordinator);
        $token = $this->token($this->artist);
        $settings = "size = 32x18\nfps = 24\nframes = 1001-1010\n";
        self::assertSame(['frames'], $this->send($token, $settings)->assertOk()->json('scene.makes'));
        self::assertSame(
            ['preview'],
            $this->send($token, $settings, self::PATH.'/scene?part=preview')->assertOk()->json('scene.makes'),
        );
        self::assertStringContainsString(
            'there are frames, preview',
            (string) $this->send($token, $settings, self::PATH.'/scene?part=sound')->assertStatus(422)->json('message'),
        );
    }

    public function test_without_a_token_or_with_another_s(): void
    {
        foreach ([null, 'nonsense', '1|nonsense'] as $token) {
            $this->send($token, 'fps = 24')->assertUnauthorized()->assertHeader('Content-Type', 'application/json');
        }
        foreach ([$this->other, $this->stranger] as $person) {
            $this->send($this->token($person), 'fps = 24')
                ->assertNotFound()
                ->assertJson(['message' => 'There is no such deliverable, or it is not yours.']);
        }
        $this->send(
            $this->token($this->artist),
            'fps = 24',
            '/api/productions/TC/deliverables/TC_020/scene',
        )->assertNotFound();
        $this->send(
            $this->token($this->artist),
            'fps = 24',
            '/api/productions/NO/deliverables/TC_010/scene',
        )->assertNotFound();
        $this->send(
            $this->token($this->coordinator),
            'fps = 24',
            '/api/productions/TC/deliverables/TC_020/scene',
        )->assertOk();
        self::assertSame([0, 1], [$this->deliverable->checks()->count(), $this->others->checks()->count()]);
    }

    public function test_a_token_ends_by_its_date_or_when_it_is_taken_away(): void
    {
        $this->send($this->token($this->artist, now()->subMinute()), 'fps = 24')->assertUnauthorized();
        $token = $this->token($this->artist);
        $this->send($token, 'fps = 24')->assertOk();
        $this->actingAs($this->artist)
            ->delete('/tokens/'.$this->artist->tokens()->latest('id')->firstOrFail()->getKey())
            ->assertRedirect('/tokens');
        $this->send($token, 'fps = 24')->assertUnauthorized();
    }

    public function test_a_session_alone_opens_nothing(): void
    {
        $this->actingAs($this->artist, 'web');
        $this->call(
            'POST',
            self::PATH.'/scene',
            [],
            [],
            [],
            ['HTTP_ACCEPT' => '*/*'],
            'fps = 24',
        )->assertUnauthorized();
    }

    public function test_what_cannot_be_read_is_told_in_a_sentence(): void
    {
        $token = $this->token($this->artist);
        foreach ([
            '' => 'nothing was sent',
            '{"format": ' => 'line 1',
            "PXR-USDC\0\0" => 'binary form',
            'Dear all' => 'no setting in it is known',
            "shot,fps,size\na,24,1x1\nb,24,1x1\n" => 'it tells of 2 scenes',
        ] as $body => $says) {
            self::assertStringContainsString(
                $says,
                (string) $this->send($token, (string) $body)->assertStatus(422)->json('message'),
            );
        }
        self::assertSame(0, $this->deliverable->scenes()->count());
    }

    public function test_a_token_is_shown_once_and_kept_as_a_hash(): void
    {
        $this->actingAs($this->artist);
        $this->from('/tokens')
            ->post('/tokens', ['name' => 'exporter', 'days' => '30'])
            ->assertRedirect('/tokens')
            ->assertSessionHas('token');
        $shown = $this->page('/tokens');
        self::assertMatchesRegularExpression('~^\d+\|\w{40,}~', $shown['fresh']);
        self::assertSame(['exporter', null], [$shown['tokens'][0]['name'], $shown['tokens'][0]['used']]);
        self::assertNull($this->page('/tokens')['fresh']);
        self::assertDatabaseMissing('personal_access_tokens', ['token' => explode('|', $shown['fresh'])[1]]);
        $this->send($shown['fresh'], 'fps = 24')->assertOk();
        $this->actingAs($this->artist);
        $this->from('/tokens')
            ->post('/tokens', ['name' => '', 'days' => '0'])
            ->assertSessionHasErrors(['name', 'days']);
        foreach (range(1, 19) as $n) {
            $this->token($this->artist);
        }
        $this->from('/tokens')->post('/tokens', ['name' => 'one more', 'days' => '1'])->assertSessionHasErrors('name');
    }
}
