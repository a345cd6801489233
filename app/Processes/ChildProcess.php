<?php

declare(strict_types=1);

namespace App\Processes;

use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * A piece of work in a process of its own, with a limit to its memory and to its silence: whatever a file does to it,
 * the worker or web process that ordered it goes on.
 */
final readonly class ChildProcess
{
    /** Beside what PHP counts itself: libraries that unpack pictures take theirs from the system. */
    private const BESIDES = 1 << 30;

    /** Between two looks at what it said, in microseconds. */
    private const PAUSE = 5_000;

    /**
     * @param  int  $memory  bytes
     * @param  int  $silence  seconds without a word after which it is ended
     */
    public function __construct(private int $memory, private int $silence) {}

    public static function standard(): self
    {
        return new self((int) config('ledger.child_memory') << 20, (int) config('ledger.child_silence'));
    }

    /**
     * Work with one thing to say in the end.
     *
     * @param  string  $input  the order
     * @param  int  $patience  seconds
     * @return string|null bytes it said under that name; null where it came to nothing
     */
    public static function answer(string $task, string $input, string $name, int $patience): ?string
    {
        $answer = null;
        $child = new self((int) config('ledger.child_memory') << 20, $patience);
        $child->run($task, $input, static function (array $line) use (&$answer, $name): bool {
            $answer = isset($line[$name]) ? (string) base64_decode((string) $line[$name], true) : $answer;

            return true;
        });

        return $answer;
    }

    /**
     * @param  string  $input  the order
     * @param  \Closure(array<string, mixed>): bool  $line  takes each thing it says; false ends it
     */
    public function run(string $task, string $input, \Closure $line): Outcome
    {
        $process = new Process($this->command($task), base_path(), ['XDEBUG_MODE' => 'off'], $input, null);
        $process->start();
        $heard = microtime(true);
        $rest = '';
        try {
            while (true) {
                $running = $process->isRunning();
                $said = $process->getIncrementalOutput();
                $process->clearOutput();
                if ($said !== '') {
                    $heard = microtime(true);
                    $lines = explode("\n", $rest.$said);
                    $rest = array_pop($lines);
                    if (! $this->told($lines, $line)) {
                        return Outcome::Stopped;
                    }
                } elseif (! $running) {
                    return $process->isSuccessful() ? Outcome::Finished : Outcome::Died;
                } elseif (microtime(true) - $heard > $this->silence) {
                    return Outcome::Silent;
                } else {
                    usleep(self::PAUSE);
                }
            }
        } finally {
            $process->isRunning() ? $process->stop(0) : null;
        }
    }

    /**
     * @param  list<string>  $lines
     * @param  \Closure(array<string, mixed>): bool  $line
     */
    private function told(array $lines, \Closure $line): bool
    {
        foreach ($lines as $text) {
            /** @var array<string, mixed>|null $data */
            $data = json_decode($text, true, 16);
            if (is_array($data) && ! $line($data)) {
                return false;
            }
        }

        return true;
    }

    /** @return list<string> */
    private function command(string $task): array
    {
        $php = (new PhpExecutableFinder)->find(false);
        $kilobytes = intdiv(2 * $this->memory + self::BESIDES, 1024);

        return [
            'sh', '-c', 'ulimit -v "$0" 2>/dev/null; exec "$@"', (string) $kilobytes,
            $php === false ? PHP_BINARY : $php,
            '-d',
            "memory_limit={$this->memory}",
            '-d',
            'max_execution_time=0',
            base_path('cli/work.php'),
            $task,
        ];
    }
}
