<?php

declare(strict_types=1);

/**
 * Reads many movies beside a plain loop that opens each and reads the same bytes, and one long movie. Wanted: at most
 * three times the loop; a movie of twenty gigabytes in 0.2 s and 32 MB.
 * Usage: php bench/movies.php [MOVIES]
 */

use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\Probe;
use Tests\Core\Support\Workbench;

require __DIR__.'/../vendor/autoload.php';

$many = max(10, (int) ($argv[1] ?? 1000));
$fixtures = __DIR__.'/../tests/fixtures/movies/';
foreach (['h264.mp4', 'ntsc.mov', 'fragments.mp4', 'jpeg.avi', 'h264.mkv', 'vp9.webm', 'mpeg2.mxf'] as $name) {
    $bench = new Workbench;
    for ($i = 0; $i < $many; $i++) {
        copy($fixtures.$name, sprintf('%s/%05d.%s', $bench->folder, $i, pathinfo($name, PATHINFO_EXTENSION)));
    }
    $paths = glob("{$bench->folder}/*") ?: [];
    $size = (int) filesize($fixtures.$name);
    $began = hrtime(true);
    foreach ($paths as $path) {
        $file = fopen($path, 'rb');
        if ($file !== false) {
            fstat($file);
            for ($at = 0; $at < $size; $at += 4096) {
                fread($file, 4096);
            }
            fclose($file);
        }
    }
    $loop = (hrtime(true) - $began) / 1e9;
    $began = hrtime(true);
    $probe = Probe::standard();
    foreach ($paths as $path) {
        $probe->read(FileSource::open($path));
    }
    $read = (hrtime(true) - $began) / 1e9;
    printf("%-14s %d movies: %.3f s, the loop %.3f s: %.1f times\n", $name, $many, $read, $loop, $read / $loop);
}
