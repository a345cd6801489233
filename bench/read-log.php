#!/usr/bin/env php
<?php

declare(strict_types=1);

// A log of many megabytes read piece by piece, beside a plain loop over its lines.
// Usage: php bench/read-log.php [megabytes]

use PlainLedger\Core\RenderLog\LogReader;
use PlainLedger\Core\RenderLog\LogShape;

require dirname(__DIR__).'/vendor/autoload.php';

$megabytes = (int) ($argv[1] ?? 1000);
$path = sys_get_temp_dir().'/plain-ledger-bench-'.bin2hex(random_bytes(4)).'.log';
$out = fopen($path, 'w');
$noise = implode(
    '',
    array_map(
        static fn (int $i): string => "2026-11-25 21:04:10 thread {$i} bucket {$i} of 400, memory "
            .(200 + $i)
            ." MB, rays 12345678, textures 34 of 90, waiting for nothing in particular\n",
        range(1, 300),
    ),
);
for ($frame = 1; ftell($out) < $megabytes * 1_000_000; $frame++) {
    fwrite(
        $out,
        "2026-11-25 21:04:10 frame {$frame} begins\n{$noise}2026-11-25 21:05:10 frame {$frame} done in "
            .(55 + $frame % 11)
            .".5 s\n2026-11-25 21:05:10 wrote out/TC_010.{$frame}.exr\n"
            .($frame % 50 === 0 ? "warning: no light reaches layer {$frame}\n" : ''),
    );
}
fclose($out);
$began = hrtime(true);
for ($in = fopen($path, 'r'), $lines = 0; fgets($in) !== false; $lines++);
$plain = hrtime(true) - $began;
foreach (LogShape::standard() as $shape) {
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $began = hrtime(true);
    $reader = new LogReader($shape);
    for ($in = fopen($path, 'r'); ($piece = (string) fread($in, 1_048_576)) !== '';) {
        $reader->feed($piece);
    }
    $reading = $reader->close();
    $took = hrtime(true) - $began;
    printf(
        '%-34s %.0f MB, %s lines: %.1f s, %.1f times a loop over its lines, %.1f MB of memory; %d frames, %d '
            ."warnings\n",
        $shape->name,
        filesize($path) / 1e6,
        number_format($lines),
        $took / 1e9,
        $took / max(1, $plain),
        (memory_get_peak_usage() - $before) / 1e6,
        count($reading->frames->finished),
        $reading->warnings->count,
    );
}
unlink($path);
