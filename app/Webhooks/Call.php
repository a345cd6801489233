<?php

declare(strict_types=1);

namespace App\Webhooks;

use App\Models\WebhookCall;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Str;
use PlainLedger\Core\Text\PlainSentence;

/** Says something at an address elsewhere, signed; again and again, ever later, where it does not arrive. */
final class Call implements ShouldQueue
{
    use Queueable;

    /** Seconds. */
    private const PATIENCE = 10;

    public int $tries = 6;

    /** @var list<int> seconds between tries: from ten seconds to six hours */
    public array $backoff = [10, 60, 600, 3600, 21_600];

    public function __construct(public readonly int $call) {}

    /** By which the other side knows that it is us: HMAC-SHA-256 (RFC 2104) of the time, a dot and the body. */
    public static function signature(string $secret, int $time, string $body): string
    {
        return hash_hmac('sha256', "{$time}.{$body}", $secret);
    }

    public function handle(): void
    {
        $call = WebhookCall::query()->with('webhook')->find($this->call);
        if ($call === null || $call->arrived_at !== null) {
            return;
        }
        $call->increment('tries');
        try {
            $status = $this->send($call);
            $fault = $status >= 200 && $status < 300 ? null : "it answered {$status}";
        } catch (PlainSentence $refused) {
            [$status, $fault] = [null, $refused->getMessage()];
        } catch (\Throwable $trouble) {
            [$status, $fault] = [null, $trouble->getMessage()];
        }
        $call->update([
            'status' => $status, 'fault' => $fault === null ? null : Str::limit($fault, 190),
            'arrived_at' => $fault === null ? now() : null,
        ]);
        if ($fault !== null && $call->tries < $this->tries && config('queue.default') !== 'sync') {
            $this->release($this->backoff[$call->tries - 1] ?? 21_600);
        }
    }

    private function send(WebhookCall $call): int
    {
        $hook = $call->webhook;
        $at = PublicAddress::of($hook->url, (bool) config('ledger.webhooks_private'));
        $time = now()->getTimestamp();
        // the address that was looked at is the one that is called, whatever the name leads to by then
        $pin = "{$at->host}:{$at->port}:".(str_contains($at->ip, ':') ? "[{$at->ip}]" : $at->ip);

        return Http::withOptions([
            'allow_redirects' => false, 'curl' => [CURLOPT_RESOLVE => [$pin]], 'decode_content' => false,
            // what it answers is not read
            'stream' => false, 'sink' => '/dev/null',
        ])->timeout(self::PATIENCE)->connectTimeout(self::PATIENCE)->withHeaders([
            'User-Agent' => 'Plain-Ledger', 'X-Ledger-Event' => $call->event, 'X-Ledger-Call' => (string) $call->id,
            'X-Ledger-Time' => (string) $time,
            'X-Ledger-Signature' => self::signature($hook->secret, $time, $call->body),
        ])->withBody($call->body, 'application/json')->post($hook->url)->status();
    }
}
