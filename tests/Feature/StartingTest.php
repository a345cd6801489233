<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** What `bin/start` says before it starts anything. */
final class StartingTest extends TestCase
{
    /**
     * @param  list<string>  $arguments
     * @return array{int, string}
     */
    private function start(array $arguments): array
    {
        $process = proc_open(
            ['bash', dirname(__DIR__, 2).'/bin/start', ...$arguments],
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
            $pipes,
        );
        self::assertIsResource($process);
        $errors = (string) stream_get_contents($pipes[2]);

        return [proc_close($process), $errors];
    }

    public function test_a_taken_port_gets_a_clear_line(): void
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($socket);
        $port = (string) preg_replace('~^.*:~', '', (string) stream_socket_get_name($socket, false));
        [$code, $errors] = $this->start(['--port', $port]);

        self::assertSame(1, $code);
        self::assertSame(
            "Port {$port} is taken by another program. Choose another: bin/start --port ".((int) $port + 1)."\n",
            $errors,
        );
    }

    public function test_what_is_no_option_or_no_port(): void
    {
        self::assertSame(
            [2, 'There is no option --bogus. Usage: bin/start [--port N] [--host ADDRESS] [--workers N] '
                ."[--fresh] [--no-demo]\n"],
            $this->start(['--bogus']),
        );
        [$code, $errors] = $this->start(['--port', 'abc']);
        self::assertSame(2, $code);
        self::assertStringContainsString('“abc” is none', $errors);
        [$code, $errors] = $this->start(['--host', 'a;b']);
        self::assertSame(2, $code);
        self::assertStringContainsString('“a;b” is none', $errors);
    }
}
