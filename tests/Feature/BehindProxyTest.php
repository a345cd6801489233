<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;
use Tests\Feature\Support\LedgerTestCase;
use Tests\Feature\Support\OwnDatabases;

/** As it is run for others: a server of its own behind a proxy that speaks TLS, asked as a browser asks. */
final class BehindProxyTest extends LedgerTestCase
{
    use OwnDatabases;

    private const NAME = 'ledger.harbour.example';

    /** @var list<string> */
    protected $connectionsToTransact = [];

    /** @var list<Process> */
    private array $running = [];

    private int $port;

    private int $inner;

    /** @var array<string, string> */
    private array $cookies = [];

    protected function setUp(): void
    {
        $this->beginOwnDatabases();
        parent::setUp();
        [$this->port, $this->inner] = [self::freePort(), self::freePort()];
        $key = openssl_pkey_new(['private_key_bits' => 2048]) ?: throw new \RuntimeException('There is no key.');
        $request = openssl_csr_new(['commonName' => self::NAME], $key);
        $certificate = openssl_csr_sign(
            $request instanceof \OpenSSLCertificateSigningRequest
                ? $request
                : throw new \RuntimeException('There is no request.'),
            null,
            $key,
            2,
        )
            ?: throw new \RuntimeException('There is no certificate.');
        openssl_x509_export($certificate, $pem);
        openssl_pkey_export($key, $private);
        file_put_contents("{$this->home}/own.pem", $pem.$private);
        $environment = [
            'APP_URL' => 'https://'.self::NAME,
            'LEDGER_PROXIES' => '127.0.0.1',
            'APP_ENV' => 'production',
            'APP_KEY' => (string) config('app.key'),
            'APP_DEBUG' => 'false',
            'SESSION_DRIVER' => 'database', 'LEDGER_INTAKE' => $this->intake->folder,
        ] + $this->surroundings();
        $this->serve(
            [PHP_BINARY, '-d', 'expose_php=1', '-S', "127.0.0.1:{$this->inner}", '-t', 'public', 'server.php'],
            $environment,
            $this->inner,
        );
        $this->serve(
            [
                PHP_BINARY,
                'tests/Feature/Support/tls-proxy.php',
                (string) $this->port,
                (string) $this->inner,
                "{$this->home}/own.pem",
            ],
            [],
            $this->port,
        );
    }

    protected function tearDown(): void
    {
        array_map(static fn (Process $process): ?int => $process->stop(0), $this->running);
        $this->endOwnDatabases();
        parent::tearDown();
        $this->clearOwnDatabases();
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('There is no port.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     */
    private function serve(array $command, array $environment, int $port): void
    {
        $process = new Process($command, base_path(), $environment);
        $process->start();
        $this->running[] = $process;
        for ($tries = 0; $tries < 200; $tries++) {
            $socket = @stream_socket_client("tcp://127.0.0.1:{$port}", timeout: 1);
            if ($socket !== false) {
                fclose($socket);

                return;
            }
            usleep(25_000);
        }
        self::fail($process->getErrorOutput());
    }

    /**
     * @param  array<string, string>  $form
     * @param  list<string>  $headers
     * @return array{int, array<string, list<string>>, string} status, headers in small letters, body
     */
    private function ask(string $path, array $form = [], array $headers = [], string $host = self::NAME): array
    {
        $told = [];
        $curl = curl_init();
        curl_setopt_array($curl, [
            CURLOPT_URL => "https://{$host}:{$this->port}{$path}",
            CURLOPT_RESOLVE => ["{$host}:{$this->port}:127.0.0.1"],
            CURLOPT_SSL_VERIFYPEER => false,
            CURLOPT_SSL_VERIFYHOST => 0,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => 20,
            CURLOPT_HTTPHEADER => ["Host: {$host}", 'Expect:', ...$headers],
            CURLOPT_COOKIE => implode(
                '; ',
                array_map(
                    static fn (string $n, string $v): string => "{$n}={$v}",
                    array_keys($this->cookies),
                    $this->cookies,
                ),
            ),
            CURLOPT_HEADERFUNCTION => static function ($curl, string $line) use (&$told): int {
                if (str_contains($line, ':')) {
                    [$name, $value] = explode(':', trim($line), 2);
                    $told[strtolower($name)][] = trim($value);
                }

                return strlen($line);
            },
        ] + ($form === [] ? [] : [CURLOPT_POSTFIELDS => http_build_query($form)]));
        $body = (string) curl_exec($curl);
        $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        foreach ($told['set-cookie'] ?? [] as $cookie) {
            [$name, $value] = explode('=', explode(';', $cookie)[0], 2);
            $this->cookies[$name] = $value;
        }

        return [$status, $told, $body];
    }

    public function test_it_is_whole_behind_it(): void
    {
        [$status, $headers] = $this->ask('/');
        self::assertSame(302, $status);
        // its own address, whatever port the proxy has
        self::assertSame(['https://'.self::NAME.'/sign-in'], $headers['location']);

        [$status, $headers, $page] = $this->ask('/sign-in');
        self::assertSame(200, $status, $page);
        self::assertSame(['max-age=31536000'], $headers['strict-transport-security']);
        self::assertArrayNotHasKey('x-powered-by', $headers);
        foreach ($headers['set-cookie'] as $cookie) {
            self::assertMatchesRegularExpression('~; ?secure~i', $cookie);
            self::assertDoesNotMatchRegularExpression('~domain=~i', $cookie);
        }
        self::assertArrayHasKey('__Host-plain_ledger_session', $this->cookies);
        self::assertStringNotContainsString('http://', preg_replace('~http://www\.w3\.org/\S+~', '', $page) ?? '');

        // somebody signs in, and is who the proxy says they come from
        $token = rawurldecode($this->cookies['XSRF-TOKEN']);
        [$status, $headers] = $this->ask(
            '/sign-in',
            ['email' => 'coordinator@harbour.example', 'password' => 'a long password'],
            ["X-XSRF-TOKEN: {$token}"],
        );
        self::assertSame(
            [302, ['https://'.self::NAME]],
            [$status, array_map(static fn (string $l): string => rtrim($l, '/'), $headers['location'])],
        );
        [$status, $headers] = $this->ask('/calculator');
        self::assertSame([200, ['no-store, private']], [$status, $headers['cache-control']]);
        self::assertSame(
            ['203.0.113.7'],
            DB::connection('side')->table('sessions')
                ->whereNotNull('user_id')
                ->pluck('ip_address')
                ->unique()
                ->values()
                ->all(),
        );
    }

    public function test_other_names_get_nothing(): void
    {
        foreach (['evil.example', 'localhost', '127.0.0.1'] as $host) {
            [$status, $headers] = $this->ask('/sign-in', host: $host);
            self::assertSame(400, $status, $host);
            self::assertArrayHasKey('content-security-policy', $headers);
        }
        // what a visitor says of how they came is taken away by the proxy, and believed of nobody else
        [, $headers] = $this->ask('/', headers: ['X-Forwarded-Host: evil.example', 'X-Forwarded-Proto: http']);
        self::assertSame(['https://'.self::NAME.'/sign-in'], $headers['location']);
    }

    public function test_files_carry_the_headers_too(): void
    {
        file_put_contents(public_path('robots.txt.probe.txt'), "x\n");
        try {
            [$status, $headers, $body] = $this->ask('/robots.txt.probe.txt');
        } finally {
            unlink(public_path('robots.txt.probe.txt'));
        }
        self::assertSame([200, "x\n"], [$status, $body]);
        foreach ([
            'content-security-policy', 'x-content-type-options', 'x-frame-options', 'referrer-policy',
            'permissions-policy', 'cross-origin-opener-policy',
        ] as $header) {
            self::assertArrayHasKey($header, $headers);
        }
        self::assertArrayNotHasKey('x-powered-by', $headers);
        foreach ([
            '/../.env',
            '/..%2f.env',
            '/index.php',
            '/.htaccess',
            '/build/../../.env',
            "/robots.txt\0.css",
        ] as $path) {
            [$status, , $body] = $this->ask(str_replace("\0", '%00', $path));
            self::assertStringNotContainsString('APP_KEY', $body);
            self::assertNotSame(500, $status, $path);
        }
    }
}
