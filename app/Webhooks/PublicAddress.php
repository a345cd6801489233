<?php

declare(strict_types=1);

namespace App\Webhooks;

/** Where a name leads, if that is an address of the open network: what is asked for is what is called. */
final readonly class PublicAddress
{
    /** Networks that are no open ones, beside those that PHP knows: shared (RFC 6598), benchmarks, documentation. */
    private const CLOSED = ['100.64.0.0/10', '192.0.0.0/24', '192.0.2.0/24', '198.18.0.0/15', '198.51.100.0/24',
        '203.0.113.0/24', '192.88.99.0/24', '224.0.0.0/4'];

    /** @param  string  $ip  without brackets */
    private function __construct(public string $host, public int $port, public string $ip) {}

    /** @throws WebhookRefused where it is none, or leads into a closed network */
    public static function of(string $url, bool $mayBePrivate): self
    {
        $parts = parse_url($url);
        $scheme = strtolower((string) ($parts['scheme'] ?? ''));
        $host = trim((string) ($parts['host'] ?? ''), '[]');
        if (! in_array($scheme, ['https', 'http'], true) || $host === '' || isset($parts['user'])) {
            throw WebhookRefused::because('An address like https://tools.house.example/ledger is needed.');
        }
        if ($scheme === 'http' && ! $mayBePrivate) {
            throw WebhookRefused::because('Only https:// is called: what is said there is nobody else’s.');
        }
        $found = self::resolve($host);
        foreach ($found as $ip) {
            if (! $mayBePrivate && ! self::isOpen($ip)) {
                throw WebhookRefused::because("“{$host}” leads into this network, which is not called.");
            }
        }

        return new self($host, $parts['port'] ?? ($scheme === 'https' ? 443 : 80), $found[0]);
    }

    /**
     * @return non-empty-list<string>
     *
     * @throws WebhookRefused
     */
    private static function resolve(string $host): array
    {
        if (filter_var($host, FILTER_VALIDATE_IP) !== false) {
            return [$host];
        }
        $four = @gethostbynamel($host) ?: [];
        $six = array_column(@dns_get_record($host, DNS_AAAA) ?: [], 'ipv6');
        $all = [...$four, ...array_filter($six, is_string(...))];

        return $all === [] ? throw WebhookRefused::because("“{$host}” is not known to the name service.") : $all;
    }

    private static function isOpen(string $ip): bool
    {
        $flags = FILTER_FLAG_NO_PRIV_RANGE | FILTER_FLAG_NO_RES_RANGE | FILTER_FLAG_GLOBAL_RANGE;
        if (filter_var($ip, FILTER_VALIDATE_IP, $flags) === false) {
            return false;
        }
        $packed = (string) inet_pton($ip);
        if (strlen($packed) === 4) {
            return ! array_filter(self::CLOSED, static fn (string $net): bool => self::isIn($packed, $net));
        }

        // of six only what is handed out, and nothing that wraps an address of four
        return (ord($packed[0]) & 0xE0) === 0x20 && ! str_starts_with($packed, "\x20\x02")
            && ! str_starts_with($packed, "\x20\x01\x00\x00");
    }

    private static function isIn(string $packed, string $net): bool
    {
        [$base, $bits] = explode('/', $net);
        /** @var array{1: int} $own */
        $own = unpack('N', $packed);
        /** @var array{1: int} $of */
        $of = unpack('N', (string) inet_pton($base));
        $shift = 32 - (int) $bits;

        return $own[1] >> $shift === $of[1] >> $shift;
    }
}
