<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Webhook;
use App\Models\WebhookCall;
use App\Webhooks\Call;
use App\Webhooks\PublicAddress;
use App\Webhooks\WebhookRefused;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Support\LedgerTestCase;

/** Programs elsewhere are told, and know that it is us; nobody is sent into this network by it. */
final class WebhooksTest extends LedgerTestCase
{
    /** @var resource|null the stand-in that is told */
    private $receiver = null;

    private string $calls = '';

    protected function tearDown(): void
    {
        if (is_resource($this->receiver)) {
            proc_terminate($this->receiver, SIGKILL);
            proc_close($this->receiver);
        }
        @unlink($this->calls);
        parent::tearDown();
    }

    /** @return string its address */
    private function receiver(string $secret, int $answer = 200): string
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($socket);
        $place = (string) stream_socket_get_name($socket, false);
        fclose($socket);
        $this->calls = (string) tempnam(sys_get_temp_dir(), 'calls');
        $process = proc_open(
            [PHP_BINARY, '-S', $place, base_path('demo/receiver.php')],
            [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']],
            $pipes,
            null,
            ['LEDGER_SECRET' => $secret, 'LEDGER_CALLS' => $this->calls, 'LEDGER_ANSWER' => (string) $answer],
        );
        self::assertIsResource($process);
        $this->receiver = $process;
        for ($n = 0; $n < 100 && @stream_socket_client("tcp://{$place}") === false; $n++) {
            usleep(50_000);
        }

        return "http://{$place}/ledger";
    }

    /** @return list<array<string, mixed>> what the stand-in was told */
    private function told(): array
    {
        return array_map(
            static fn (string $line): array => (array) json_decode($line, true),
            file($this->calls, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [],
        );
    }

    /** @param  list<string>  $events */
    private function hook(string $secret, array $events, int $answer = 200): Webhook
    {
        config(['ledger.webhooks_private' => true]);

        return Webhook::query()->create([
            'production_id' => $this->production->id, 'url' => $this->receiver($secret, $answer),
            'secret' => $secret, 'events' => $events,
        ]);
    }

    public function test_what_happens_is_told_signed(): void
    {
        $hook = $this->hook('a secret', ['check.ended', 'requirement.changed', 'deliverable.added']);
        $this->actingAs($this->artist)->post("/deliverables/{$this->deliverable->id}/checks", [
            'root' => $this->root(), 'below' => 'TC_010/v1', 'depth' => 'quick',
        ]);
        $this->actingAs($this->coordinator)->patch("/deliverables/{$this->deliverable->id}/requirements", [
            'id' => 'time.rate', 'value' => '25', 'level' => 'must', 'scope' => 'deliverable',
        ]);
        $told = $this->told();
        self::assertSame(['check.ended', 'requirement.changed'], array_column($told, 'event'));
        self::assertSame([true, true], array_column($told, 'signed'));
        self::assertSame([true, true], array_column($told, 'fresh'));
        self::assertSame('unbalanced', $told[0]['body']['check']['verdict']);
        self::assertSame('render-stopped', $told[0]['body']['check']['causes'][0]['id']);
        self::assertSame('TC', $told[0]['body']['production']['code']);
        self::assertSame(['time.rate', null, '25'], [
            $told[1]['body']['requirement'], $told[1]['body']['before'], $told[1]['body']['after'],
        ]);
        self::assertSame(2, $hook->calls()->whereNotNull('arrived_at')->count());
        // another secret is not ours
        $hook->update(['secret' => 'another']);
        $this->post("/webhooks/{$hook->id}")->assertSessionHasNoErrors();
        self::assertFalse($this->told()[2]['signed']);
        $last = WebhookCall::query()->latest('id')->firstOrFail();
        self::assertSame([401, 'it answered 401', null], [$last->status, $last->fault, $last->arrived_at]);
    }

    public function test_what_did_not_arrive_is_tried_again(): void
    {
        $hook = $this->hook('s', ['check.ended'], 503);
        $this->actingAs($this->coordinator)->post("/webhooks/{$hook->id}");
        $call = $hook->calls()->firstOrFail();
        self::assertSame([1, 503, null], [$call->tries, $call->status, $call->arrived_at]);
        proc_terminate($this->receiver ?? self::fail(), SIGKILL);
        usleep(200_000);
        (new Call($call->id))->handle();
        self::assertSame(2, $call->refresh()->tries);
        self::assertNull($call->status);
        self::assertNotNull($call->fault);
        $waits = (new Call(1))->backoff;
        $sorted = $waits;
        sort($sorted);
        self::assertSame($sorted, $waits);
    }

    /** @return iterable<string, array{string}> */
    public static function closed(): iterable
    {
        foreach ([
            'https://127.0.0.1/', 'https://localhost/x', 'https://10.1.2.3/', 'https://192.168.0.7:8443/',
            'https://172.20.1.1/', 'https://169.254.169.254/latest', 'https://100.64.1.1/', 'https://0.0.0.0/',
            'https://[::1]/', 'https://[fd00::1]/', 'https://[fe80::1]/', 'https://[::ffff:127.0.0.1]/',
            'https://[64:ff9b::7f00:1]/', 'https://[2002:7f00:1::]/', 'https://224.0.0.1/', 'https://198.18.0.1/',
            'http://93.184.216.34/', 'ftp://93.184.216.34/', 'https://user@93.184.216.34/', 'https:///x', 'x', '',
            'https://2130706433/', 'https://0x7f.1/', 'https://no-such-house.invalid/',
        ] as $url) {
            yield $url => [$url];
        }
    }

    #[DataProvider('closed')]
    public function test_no_address_of_this_network_is_called(string $url): void
    {
        $this->actingAs($this->coordinator)->post("/productions/{$this->production->id}/webhooks", [
            'url' => $url, 'events' => ['check.ended'],
        ])->assertSessionHasErrors('url');
        self::assertSame(0, Webhook::query()->count());
        $this->expectException(WebhookRefused::class);
        PublicAddress::of($url, false);
    }

    public function test_an_open_one_is_and_its_secret_is_told_once(): void
    {
        $this->actingAs($this->coordinator);
        $settings = "/productions/{$this->production->id}/settings";
        $this->from($settings)->post("/productions/{$this->production->id}/webhooks", [
            'url' => 'https://93.184.216.34:8443/ledger', 'events' => ['check.ended', 'line.accepted'],
        ])->assertSessionHasNoErrors();
        $secret = $this->page($settings)['secret'];
        self::assertMatchesRegularExpression('~^[0-9a-f]{64}$~', (string) $secret);
        self::assertNull($this->page($settings)['secret']);
        $hook = Webhook::query()->firstOrFail();
        self::assertSame($secret, $hook->secret);
        self::assertStringNotContainsString((string) $secret, (string) json_encode($this->page($settings)));
        $at = PublicAddress::of($hook->url, false);
        self::assertSame(['93.184.216.34', 8443], [$at->ip, $at->port]);
        $this->post("/productions/{$this->production->id}/webhooks", ['url' => $hook->url, 'events' => ['x']])
            ->assertSessionHasErrors('events.0');
        $this->actingAs($this->artist)->delete("/webhooks/{$hook->id}")->assertForbidden();
        $this->actingAs($this->coordinator)->delete("/webhooks/{$hook->id}")->assertSessionHasNoErrors();
    }
}
