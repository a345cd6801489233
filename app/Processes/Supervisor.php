<?php

declare(strict_types=1);

namespace App\Processes;

/**
 * Keeps programs running: one that ends is begun again, after a pause that grows while it does not hold. Each has a
 * process group of its own, so that what it began ends with it.
 */
final class Supervisor
{
    /** Who ran so many seconds has held, and begins with the shortest pause again. */
    private const HELD = 60;

    private const LONGEST_PAUSE = 60.0;

    /** Seconds that programs have to end by themselves. */
    private const GRACE = 3.0;

    private bool $ending = false;

    /** @var array<string, array{process: resource, pid: int, since: float}> by name */
    private array $running = [];

    /** @var array<string, float> by name: when it is due again */
    private array $due = [];

    /** @var array<string, float> by name: the pause before it was begun last, in seconds */
    private array $pauses = [];

    /**
     * @param  array<string, array{command: list<string>, log: string, environment?: array<string, string>}>  $programs
     *   by name
     * @param  \Closure(string): void  $tell  takes a line on what happened
     */
    public function __construct(
        private readonly array $programs,
        private readonly \Closure $tell,
        private readonly float $shortestPause = 1.0,
    ) {}

    /** Until it is told to end, by SIGINT or SIGTERM. */
    public function run(): void
    {
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, function (): void {
                $this->ending = true;
            });
        }
        foreach (array_keys($this->programs) as $name) {
            $this->due[$name] = 0.0;
        }
        while (! $this->isEnding()) {
            $this->beginDue();
            usleep(100_000);
            $this->collect();
        }
        $this->endAll();
    }

    /** Signals change it between any two lines. */
    private function isEnding(): bool
    {
        return $this->ending;
    }

    private function beginDue(): void
    {
        foreach ($this->due as $name => $at) {
            if ($at <= microtime(true)) {
                unset($this->due[$name]);
                $this->begin($name);
            }
        }
    }

    private function begin(string $name): void
    {
        ['command' => $command, 'log' => $log] = $this->programs[$name];
        $environment = ($this->programs[$name]['environment'] ?? []) + getenv();
        $out = ['file', $log, 'a'];
        $process = proc_open(
            ['setsid', ...$command],
            [['file', '/dev/null', 'r'], $out, $out],
            $pipes,
            null,
            $environment,
        );
        if ($process === false) {
            $this->again($name, 0.0, 'could not be begun');

            return;
        }
        $this->running[$name] = [
            'process' => $process,
            'pid' => proc_get_status($process)['pid'],
            'since' => microtime(true),
        ];
    }

    private function collect(): void
    {
        foreach ($this->running as $name => ['process' => $process, 'pid' => $pid, 'since' => $since]) {
            $status = proc_get_status($process);
            if ($status['running']) {
                continue;
            }
            unset($this->running[$name]);
            // what it began must not stand in the way of the next one
            posix_kill(-$pid, SIGKILL);
            proc_close($process);
            $how = $status['signaled']
                ? "was ended by signal {$status['termsig']}"
                : "ended with code {$status['exitcode']}";
            $this->again($name, microtime(true) - $since, $how);
        }
    }

    private function again(string $name, float $lived, string $how): void
    {
        $pause = $lived >= self::HELD || ! isset($this->pauses[$name])
            ? $this->shortestPause
            : min(self::LONGEST_PAUSE, 2 * $this->pauses[$name]);
        $this->pauses[$name] = $pause;
        $this->due[$name] = microtime(true) + $pause;
        ($this->tell)(sprintf('%s %s after %d s, and is begun again in %.1f s.', $name, $how, (int) $lived, $pause));
    }

    private function endAll(): void
    {
        foreach ($this->running as ['pid' => $pid]) {
            posix_kill(-$pid, SIGTERM);
        }
        $until = microtime(true) + self::GRACE;
        while ($this->running !== [] && microtime(true) < $until) {
            foreach ($this->running as $name => ['process' => $process]) {
                if (! proc_get_status($process)['running']) {
                    $this->kill($name);
                }
            }
            usleep(50_000);
        }
        foreach (array_keys($this->running) as $name) {
            $this->kill($name);
        }
    }

    /** Whatever is left of its group too. */
    private function kill(string $name): void
    {
        ['process' => $process, 'pid' => $pid] = $this->running[$name];
        unset($this->running[$name]);
        posix_kill(-$pid, SIGKILL);
        proc_close($process);
    }
}
