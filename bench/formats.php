<?php

declare(strict_types=1);

/**
 * Checks many frames of each still format beside a plain loop that opens each file, asks for its state, and reads 4 KB
 * and the last 64 bytes. Wanted: PNG, TGA and BMP at most 1.5 times as long, others 2.5.
 * Usage: php bench/formats.php [FRAMES] [RUNS] [KIND …]
 */

use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\JsonReport;
use PlainLedger\Core\Specification\Specification;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/plain-loop.php';

$frames = max(10, (int) ($argv[1] ?? 10000));
$runs = max(1, (int) ($argv[2] ?? 5));
$fixtures = dirname(__DIR__).'/tests/fixtures/';
$all = [
    'png' => 'encoders/rgb16.png', 'tga' => 'stills/ffmpeg-raw.tga', 'bmp' => 'stills/ffmpeg-24.bmp',
    'jpeg' => 'encoders/q90-420.jpg', 'exr' => 'encoders/half-zip16.exr', 'tiff' => 'stills/ffmpeg-deflate.tif',
    'dpx' => 'stills/im-10.dpx', 'webp' => 'stills/lossy.webp',
];
$kinds = array_slice($argv, 3) === [] ? array_keys($all) : array_slice($argv, 3);
$time = static function (Closure $work): float {
    $began = hrtime(true);
    $work();

    return (hrtime(true) - $began) / 1e6;
};
foreach ($kinds as $kind) {
    $folder = sys_get_temp_dir().'/plain-ledger-bench-'.getmypid();
    mkdir($folder);
    $bytes = (string) file_get_contents($fixtures.$all[$kind]);
    $extension = pathinfo($all[$kind], PATHINFO_EXTENSION);
    for ($n = 1; $n <= $frames; $n++) {
        file_put_contents(sprintf('%s/TC_010_v003.%06d.%s', $folder, $n, $extension), $bytes);
    }
    $loop = static fn () => readFolderPlainly($folder);
    $specification = Specification::fromDocument(JsonDocument::parse((string) json_encode([
        'format' => Specification::FORMAT, 'version' => 1, 'delivers' => 'frames',
        'values' => ['shot' => 'TC_010', 'version' => 3],
        'require' => [
            'picture.resolution' => '66x38', 'time.range' => "1-{$frames}", 'format.kind' => $kind,
            'naming.pattern' => '{shot}_v{version:3}.{frame:6}.{ext}', 'content.whole' => 'yes',
            'content.uniform' => 'yes', 'delivery.extras' => 'none',
        ],
    ]), 'bench', Specification::FORMAT));
    $check = static function () use ($folder, $specification): void {
        $delivery = (new Scan(FolderListing::of($folder), Probe::standard()))->run(time());
        $account = CheckReport::of($specification, null, $delivery);
        (new JsonReport)->write($account);
        if ($account->check->verdict->value !== 'balanced') {
            throw new RuntimeException('The bench does not balance.');
        }
    };
    $loop();
    $ratios = [];
    for ($run = 0; $run < $runs; $run++) {
        // side by side, so that both meet the same machine
        [$plain, $whole] = [$time($loop), $time($check)];
        $ratios[] = $whole / $plain;
    }
    sort($ratios);
    printf(
        "%-5s %d frames: %.2f times the loop (%.2f–%.2f), %.1f µs a frame against %.1f\n",
        $kind,
        $frames,
        $ratios[intdiv($runs, 2)],
        $ratios[0],
        $ratios[$runs - 1],
        1000 * $whole / $frames,
        1000 * $plain / $frames,
    );
    foreach (glob("{$folder}/*") ?: [] as $file) {
        unlink($file);
    }
    rmdir($folder);
}
