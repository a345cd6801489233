<?php

declare(strict_types=1);

namespace Tests\Core\Support;

/** Runs the console program as people and machines call it, in the folder of the test's own bench. */
trait RunsProgram
{
    /**
     * @param  list<string>  $arguments
     * @return array{int, string, string} exit code, output, errors
     */
    private function run_(array $arguments): array
    {
        $process = proc_open(
            [PHP_BINARY, dirname(__DIR__, 3).'/bin/plain-ledger', ...$arguments],
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
            $pipes,
            $this->bench->folder,
        );
        self::assertIsResource($process);
        $output = (string) stream_get_contents($pipes[1]);
        $errors = (string) stream_get_contents($pipes[2]);

        return [proc_close($process), $output, $errors];
    }
}
