<?php

declare(strict_types=1);

namespace Tests\Feature;

use Symfony\Component\Process\Process;
use Tests\Core\Support\Workbench;
use Tests\Feature\Support\LedgerTestCase;
use Tests\Feature\Support\OwnDatabases;

/** The files of `deploy/` on a real nginx and a real php-fpm, with the places of a test put into them. */
final class BehindNginxTest extends LedgerTestCase
{
    use OwnDatabases;

    private const NGINX = '/usr/sbin/nginx';

    /** @var list<string> what is written is there for other processes */
    protected $connectionsToTransact = [];

    private Workbench $place;

    private int $plain;

    private int $secure;

    /** @var list<Process> */
    private array $running = [];

    protected function setUp(): void
    {
        $fpm = '/usr/sbin/php-fpm'.PHP_MAJOR_VERSION.'.'.PHP_MINOR_VERSION;
        if (! is_executable(self::NGINX) || ! is_executable($fpm)) {
            self::fail('nginx or php-fpm is missing; bin/prepare --for-tests installs them.');
        }
        $this->beginOwnDatabases();
        parent::setUp();
        $this->place = new Workbench;
        [$this->plain, $this->secure] = [self::freePort(), self::freePort()];
        $this->makeFiles();
        $this->begin([$fpm, '-F', '-O', '-y', "{$this->place->folder}/fpm.conf", '--allow-to-run-as-root']);
        $this->begin([self::NGINX, '-c', "{$this->place->folder}/nginx.conf", '-g', 'daemon off;']);
        for ($tries = 0; $tries < 200 && $this->fetch('/up')[0] !== 200; $tries++) {
            usleep(50_000);
        }
    }

    protected function tearDown(): void
    {
        foreach (array_reverse($this->running) as $process) {
            $process->stop(2);
        }
        $this->endOwnDatabases();
        parent::tearDown();
        $this->clearOwnDatabases();
    }

    private static function freePort(): int
    {
        $free = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($free);
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($free, false), ':'), 1);
        fclose($free);

        return $port;
    }

    /** @param  list<string>  $command */
    private function begin(array $command): void
    {
        $process = new Process($command, base_path(), timeout: 120);
        $process->start();
        $this->running[] = $process;
    }

    /** The files of an installation, with the names and paths changed as they say. */
    private function makeFiles(): void
    {
        $folder = $this->place->folder;
        $this->place->put('public/index.php', '<?php require '.var_export(base_path('public/index.php'), true).';')
            ->put('public/other.php', '<?php echo "never";')
            ->put('public/build/assets/app-1a2b.js', 'plain')
            ->put('public/build/assets/app-1a2b.js.gz', (string) gzencode('packed'))
            ->put('.env', 'APP_KEY=secret');
        $this->certificate();
        $site = strtr((string) file_get_contents(base_path('deploy/nginx.conf')), [
            'listen 80;' => "listen 127.0.0.1:{$this->plain};",
            'listen 443 ssl http2;' => "listen 127.0.0.1:{$this->secure} ssl http2;",
            'ledger.example.org' => 'localhost',
            'https://$host$request_uri' => "https://\$host:{$this->secure}\$request_uri",
            '/etc/ssl/ledger' => "{$folder}/ledger",
            '/srv/plain-ledger/public' => "{$folder}/public",
            '/run/php/plain-ledger.sock' => "{$folder}/fpm.sock",
        ]);
        $paths = '';
        foreach (['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'] as $what) {
            $paths .= "{$what}_temp_path {$folder}/{$what};\n";
        }
        $this->place->put('nginx.conf', "user root;\npid {$folder}/nginx.pid;\nerror_log {$folder}/nginx.log;\n"
            ."events {}\nhttp {\n{$paths}access_log off;\n"
            .str_replace('include fastcgi_params;', 'include /etc/nginx/fastcgi_params;', $site)."\n}\n");
        $surroundings = '';
        foreach ($this->surroundings() + [
            'APP_ENV' => 'production', 'APP_KEY' => (string) config('app.key'), 'APP_URL' => 'https://localhost',
            'LEDGER_INTAKE' => $this->intake->folder,
        ] as $name => $value) {
            $surroundings .= "env[{$name}] = \"{$value}\"\n";
        }
        $this->place->put('fpm.conf', "[global]\nerror_log = {$folder}/fpm.log\n"
            .strtr((string) file_get_contents(base_path('deploy/php-fpm.conf')), [
                'user = ledger' => 'user = root', 'group = ledger' => 'group = root',
                'listen.owner = www-data' => 'listen.owner = root', 'listen.group = www-data' => 'listen.group = root',
                '/run/php/plain-ledger.sock' => "{$folder}/fpm.sock",
            ]).$surroundings);
    }

    private function certificate(): void
    {
        $key = openssl_pkey_new(['private_key_bits' => 2048]);
        self::assertNotFalse($key);
        $request = openssl_csr_new(['commonName' => 'localhost'], $key);
        self::assertInstanceOf(\OpenSSLCertificateSigningRequest::class, $request);
        $certificate = openssl_csr_sign($request, null, $key, 2);
        self::assertNotFalse($certificate);
        openssl_x509_export_to_file($certificate, "{$this->place->folder}/ledger.pem");
        openssl_pkey_export_to_file($key, "{$this->place->folder}/ledger.key");
    }

    /**
     * @param  array<string, string>  $headers
     * @return array{int, array<string, string>, string} status, headers by their small names, body
     */
    private function fetch(string $path, array $headers = [], bool $secure = true): array
    {
        $told = [];
        $curl = curl_init(($secure ? "https://localhost:{$this->secure}" : "http://localhost:{$this->plain}").$path);
        self::assertNotFalse($curl);
        curl_setopt_array($curl, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_SSL_VERIFYPEER => false, CURLOPT_TIMEOUT => 20,
            CURLOPT_RESOLVE => ["localhost:{$this->secure}:127.0.0.1", "localhost:{$this->plain}:127.0.0.1"],
            CURLOPT_HTTPHEADER => array_map(
                static fn (string $name, string $value): string => "{$name}: {$value}",
                array_keys($headers),
                $headers,
            ),
            CURLOPT_HEADERFUNCTION => static function ($_, string $line) use (&$told): int {
                if (str_contains($line, ':')) {
                    [$name, $value] = explode(':', $line, 2);
                    $told[strtolower($name)] = trim($value);
                }

                return strlen($line);
            },
        ]);
        $body = (string) curl_exec($curl);

        return [(int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $told, $body];
    }

    public function test_it_serves_as_it_is_installed(): void
    {
        [$status, $headers] = $this->fetch('/up');
        self::assertSame(200, $status, implode("\n", array_map('strval', glob("{$this->place->folder}/*.log") ?: [])));
        self::assertStringContainsString('max-age', $headers['strict-transport-security'] ?? '');
        self::assertArrayNotHasKey('x-powered-by', $headers);

        // in the clear it leads to where nobody listens in
        [$status, $headers] = $this->fetch('/up', secure: false);
        self::assertSame([301, "https://localhost:{$this->secure}/up"], [$status, $headers['location'] ?? '']);

        $token = $this->artist->createToken('a program', ['read'])->plainTextToken;
        [$status, , $body] = $this->fetch(
            '/api/v1/productions',
            ['Authorization' => "Bearer {$token}", 'Accept' => 'application/json'],
        );
        self::assertSame(200, $status, $body);
        self::assertStringContainsString('The Tide Clock', $body);
        self::assertSame(401, $this->fetch('/api/v1/productions', ['Accept' => 'application/json'])[0]);

        [$status, $headers, $body] = $this->fetch('/build/assets/app-1a2b.js', ['Accept-Encoding' => 'gzip']);
        self::assertSame([200, 'gzip', 'packed'], [$status, $headers['content-encoding'] ?? '', gzdecode($body)]);
        self::assertStringContainsString('immutable', $headers['cache-control'] ?? '');
        self::assertSame('plain', $this->fetch('/build/assets/app-1a2b.js')[2]);

        foreach (['/other.php', '/.env', '/../.env', '/%2e%2e/.env', '/index.php/../other.php'] as $path) {
            [$status, , $body] = $this->fetch($path);
            self::assertContains($status, [302, 400, 404], $path);
            self::assertStringNotContainsString('secret', $body);
            self::assertStringNotContainsString('never', $body);
        }
    }
}
