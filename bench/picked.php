<?php

declare(strict_types=1);

/**
 * Looks through many frames of which only slices come, as from a browser; all is kept between any two sendings, as in
 * the application. Wanted: 10,000 frames in well under a minute, whatever their size.
 * Usage: php bench/picked.php [FRAMES]
 */

use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Media\Probe;
use Tests\Core\Support\OwnDisk;
use Tests\Core\Support\Workbench;

require __DIR__.'/../vendor/autoload.php';

$frames = max(10, (int) ($argv[1] ?? 10_000));
foreach (['png' => Workbench::png(640, 360), 'exr' => Workbench::exr(1024, 429)] as $kind => $bytes) {
    $bench = (new Workbench)->frames("TC_010.%06d.{$kind}", "1-{$frames}", $bytes);
    $began = hrtime(true);
    (new Scan(FolderListing::of($bench->folder), Probe::standard()))->run(time());
    $folder = (hrtime(true) - $began) / 1e9;
    $disk = new OwnDisk($bench->folder);
    $began = hrtime(true);
    $disk->scan(time());
    $own = (hrtime(true) - $began) / 1e9;
    printf(
        "%s %d frames: %.1f s in %d sendings, %.1f KB a frame; in its folder %.2f s\n",
        $kind,
        $frames,
        $own,
        $disk->rounds,
        $disk->sent / $frames / 1000,
        $folder,
    );
}
