<?php

declare(strict_types=1);

namespace App\Console;

use App\Health\Doctor as Looking;
use Illuminate\Console\Command;

/** What is missing or wrong in this installation. */
final class Doctor extends Command
{
    protected $signature = 'ledger:doctor {--json : as a document}';

    protected $description = 'Says what is missing or wrong in this installation, and what to do about it';

    public function handle(): int
    {
        $lines = Looking::look();
        $wrong = array_filter($lines, static fn (array $line): bool => ! $line['well']);
        if ($this->option('json') === true) {
            $flags = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE;
            $this->line((string) json_encode($lines, $flags));

            return $wrong === [] ? self::SUCCESS : self::FAILURE;
        }
        foreach ($lines as $what => $line) {
            $this->line(($line['well'] ? '=' : '≠')." {$what}: {$line['says']}");
            if ($line['do'] !== null) {
                $this->line("    {$line['do']}");
            }
        }
        $this->line($wrong === [] ? 'All of it holds.' : count($wrong).' of '.count($lines).' do not hold.');

        return $wrong === [] ? self::SUCCESS : self::FAILURE;
    }
}
