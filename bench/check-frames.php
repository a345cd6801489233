<?php

declare(strict_types=1);

/**
 * Checks many PNG frames and compares with a plain loop that opens, reads 4 KB and the last 64 bytes, and closes.
 * Usage: php bench/check-frames.php [FRAMES] [RUNS]
 */

use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\JsonReport;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Demo\Painter;
use PlainLedger\Demo\PngWriter;

require __DIR__.'/../vendor/autoload.php';

$frames = max(10, (int) ($argv[1] ?? 20000));
$runs = max(1, (int) ($argv[2] ?? 5));
$folder = sys_get_temp_dir().'/plain-ledger-bench-'.getmypid();
mkdir($folder);
$png = (new PngWriter(320, 180))->write((new Painter(320, 180))->lines(1));
for ($n = 1; $n <= $frames; $n++) {
    file_put_contents(sprintf('%s/TC_010_v003.%06d.png', $folder, $n), $png);
}

$loop = static function () use ($folder): void {
    $handle = opendir($folder) ?: throw new RuntimeException('The folder is gone.');
    while (($name = readdir($handle)) !== false) {
        if ($name[0] === '.') {
            continue;
        }
        $file = fopen("{$folder}/{$name}", 'rb') ?: throw new RuntimeException('A file is gone.');
        fread($file, 4096);
        fseek($file, -64, SEEK_END);
        fread($file, 64);
        fclose($file);
    }
    closedir($handle);
};
$specification = Specification::fromDocument(JsonDocument::parse((string) json_encode([
    'format' => Specification::FORMAT,
    'version' => 1,
    'delivers' => 'frames',
    'values' => ['shot' => 'TC_010', 'version' => 3],
    'require' => [
        'picture.resolution' => '320x180', 'picture.pixel_aspect' => '1/1', 'time.range' => "1-{$frames}",
        'time.step' => 1, 'format.kind' => 'png', 'format.bit_depth' => 8,
        'format.channels' => 'RGB',
        'format.compression' => 'lossless',
        'naming.pattern' => '{shot}_v{version:3}.{frame:6}.{ext}',
        'content.whole' => 'yes',
        'content.uniform' => 'yes',
        'delivery.extras' => 'none',
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
$time = static function (Closure $work): float {
    $began = hrtime(true);
    $work();

    return (hrtime(true) - $began) / 1e6;
};
exec('sync');
$loop();
$ratios = [];
for ($run = 0; $run < $runs; $run++) {
    // side by side, so that both meet the same machine
    [$plain, $whole] = [$time($loop), $time($check)];
    $ratios[] = $whole / $plain;
    printf("loop %.0f ms, check %.0f ms, ratio %.2f\n", $plain, $whole, $whole / $plain);
}
sort($ratios);
printf(
    "%d frames: median ratio %.2f (bound 3), peak memory %.1f MB (bound 64)\n",
    $frames,
    $ratios[intdiv(count($ratios), 2)],
    memory_get_peak_usage(true) / 1e6,
);
array_map(unlink(...), glob("{$folder}/*.png") ?: []);
rmdir($folder);
