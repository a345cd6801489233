<?php

declare(strict_types=1);

/**
 * Feeds every reader and document inputs that nobody meant, for as long as you like.
 * Usage: php bench/fuzz.php [SECONDS] [FIRST]
 * Each input is made of its number alone: what failed is made again by FIRST and a second. Without FIRST it goes on
 * where it stopped last.
 */

use Tests\Core\Support\Fuzzer;

require __DIR__.'/../vendor/autoload.php';
ini_set('memory_limit', '1G');

$seconds = max(1, (int) ($argv[1] ?? 60));
$kept = sys_get_temp_dir().'/plain-ledger-fuzz';
$number = isset($argv[2]) ? (int) $argv[2] : (int) @file_get_contents($kept);
$fuzzer = new Fuzzer(Fuzzer::samples());
$until = microtime(true) + $seconds;
for ($done = 0, $broken = 0; microtime(true) < $until; $done++, $number++) {
    $began = microtime(true);
    $fault = $fuzzer->one($number);
    if (microtime(true) - $began > 5) {
        $fault ??= sprintf('%d took %.1f s', $number, microtime(true) - $began);
    }
    if ($fault !== null) {
        $broken++;
        echo $fault, "\n";
    }
    $done % 100 === 0 && file_put_contents($kept, (string) $number);
}
file_put_contents($kept, (string) $number);
printf(
    "%d inputs, the last is number %d; %d broke something. Peak memory %.0f MB.\n",
    $done,
    $number - 1,
    $broken,
    memory_get_peak_usage() / 1e6,
);
exit($broken === 0 ? 0 : 1);
