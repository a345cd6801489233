<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** What is kept running, and what ends. */
final class SupervisorTest extends TestCase
{
    private string $log;

    protected function setUp(): void
    {
        $this->log = (string) tempnam(sys_get_temp_dir(), 'supervised');
    }

    protected function tearDown(): void
    {
        unlink($this->log);
    }

    /** @param  array<string, string>  $programs  PHP by name */
    private function supervise(array $programs): Process
    {
        $commands = array_map(
            fn (string $code): array => ['command' => [PHP_BINARY, '-r', $code], 'log' => $this->log],
            $programs,
        );
        $process = new Process(
            [
                PHP_BINARY,
                '-r',
                'require "vendor/autoload.php"; (new App\Processes\Supervisor('
                    .var_export($commands, true)
                    .', static function (string $l): void { echo $l, "\n"; }, 0.2))->run();',
            ],
            dirname(__DIR__, 2),
            null,
            null,
            60,
        );
        $process->start();

        return $process;
    }

    private function until(\Closure $holds): void
    {
        for ($tries = 0; ! $holds() && $tries < 1000; $tries++) {
            usleep(10_000);
        }
        self::assertTrue($holds(), 'It did not come to that in time: '.file_get_contents($this->log));
    }

    public function test_what_ends_is_begun_again_after_a_pause_that_grows(): void
    {
        $process = $this->supervise(['short' => 'echo "s"; exit(3);', 'long' => 'echo "l"; sleep(60);']);
        $this->until(fn (): bool => substr_count((string) file_get_contents($this->log), 's') >= 4);
        $process->signal(SIGTERM);
        $process->wait();

        preg_match_all(
            '~^short ended with code 3 after \d+ s, and is begun again in ([\d.]+) s\.$~m',
            $process->getOutput(),
            $pauses,
        );
        self::assertSame(['0.2', '0.4', '0.8'], array_slice($pauses[1], 0, 3));
        self::assertSame(1, substr_count((string) file_get_contents($this->log), 'l'));
    }

    public function test_all_end_within_five_seconds_even_if_one_hangs_and_has_children(): void
    {
        $stubborn = 'pcntl_async_signals(true); pcntl_signal(SIGTERM, static fn () => null); pcntl_signal(SIGINT, '
            .'static fn () => null); if (pcntl_fork() === 0) { echo "child ".getmypid()."\n"; } else { echo "parent '
            .'".getmypid()."\n"; } while (true) { sleep(1); }';
        $process = $this->supervise(
            ['stubborn' => $stubborn, 'willing' => 'echo "willing ".getmypid()."\n"; sleep(60);'],
        );
        $this->until(fn (): bool => preg_match_all('~^\w+ \d+$~m', (string) file_get_contents($this->log)) === 3);
        preg_match_all('~\d+~', (string) file_get_contents($this->log), $pids);
        $began = microtime(true);
        $process->signal(SIGINT);
        $process->wait();

        self::assertLessThan(5.0, microtime(true) - $began);
        usleep(200_000);
        foreach ($pids[0] as $pid) {
            $stat = @file_get_contents("/proc/{$pid}/stat");
            // one that ended and was not collected by the machine yet is no more
            self::assertTrue($stat === false || str_contains($stat, ') Z '), "{$pid} lives: {$stat}");
        }
    }
}
