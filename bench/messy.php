<?php

declare(strict_types=1);

/**
 * Checks deliveries that are not as they should be beside a plain loop over the same files that opens each, asks for
 * its state, and reads 4 KB and the last 64 bytes. Wanted: at most 3 times as long.
 * Usage: php bench/messy.php [RUNS]
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

$runs = max(1, (int) ($argv[1] ?? 3));
$png = (string) file_get_contents(dirname(__DIR__).'/tests/fixtures/encoders/rgb8.png');
$passes = array_map(static fn (int $n): string => sprintf('pass%02d', $n), range(1, 40));
$cases = [
    '2,000 folders of 50' => [
        static function (Closure $put): void {
            for ($f = 0; $f < 2000; $f++) {
                for ($n = 1; $n <= 50; $n++) {
                    $put(sprintf('f%04d/TC_010_v003.%04d.png', $f, $n));
                }
            }
        }, [],
    ],
    '40 passes of 1,000' => [
        static function (Closure $put) use ($passes): void {
            foreach ($passes as $pass) {
                for ($n = 1; $n <= 1000; $n++) {
                    $put(sprintf('%s/TC_010_%s.%04d.png', $pass, $pass, $n));
                }
            }
        },
        ['passes' => $passes, 'naming.pattern' => '{shot}_{pass}.{frame:4}.{ext}', 'time.range' => '1-1000'],
    ],
    '500 patterns of 100' => [
        static function (Closure $put): void {
            for ($f = 0; $f < 500; $f++) {
                $scene = chr(97 + intdiv($f, 26) % 26).chr(97 + $f % 26).($f > 675 ? 'x' : '');
                for ($n = 1; $n <= 100; $n++) {
                    $put(sprintf('TC_%s_v003.%04d.png', $scene, $n));
                }
            }
        }, [],
    ],
    'every second of 100,000 missing' => [
        static function (Closure $put): void {
            for ($n = 1; $n <= 100_000; $n += 2) {
                $put(sprintf('TC_010_v003.%06d.png', $n));
            }
        },
        ['time.range' => '1-100000', 'naming.pattern' => '{shot}_v{version:3}.{frame:6}.{ext}'],
    ],
    'every tenth cut short' => [
        static function (Closure $put) use ($png): void {
            for ($n = 1; $n <= 30_000; $n++) {
                $put(sprintf('TC_010_v003.%06d.png', $n), $n % 10 === 0 ? substr($png, 0, 200 + $n % 90) : null);
            }
        },
        ['time.range' => '1-30000', 'naming.pattern' => '{shot}_v{version:3}.{frame:6}.{ext}'],
    ],
];
$time = static function (Closure $work): float {
    $began = hrtime(true);
    $work();

    return (hrtime(true) - $began) / 1e6;
};
foreach ($cases as $what => [$make, $more]) {
    $folder = sys_get_temp_dir().'/plain-ledger-messy-'.getmypid();
    mkdir($folder);
    $made = [];
    $files = [];
    $make(static function (string $path, ?string $bytes = null) use ($folder, $png, &$made, &$files): void {
        $below = dirname("{$folder}/{$path}");
        if (! isset($made[$below])) {
            @mkdir($below, 0o777, true);
            $made[$below] = true;
        }
        file_put_contents("{$folder}/{$path}", $bytes ?? $png);
        $files[] = "{$folder}/{$path}";
    });
    $loop = static fn () => array_walk($files, static fn (string $path) => readPlainly($path));
    $specification = Specification::fromDocument(JsonDocument::parse((string) json_encode([
        'format' => Specification::FORMAT, 'version' => 1, 'delivers' => 'frames',
        'values' => ['shot' => 'TC_010', 'version' => 3],
        'require' => $more + [
            'picture.resolution' => '66x38', 'time.range' => '1-100', 'format.kind' => 'png',
            'naming.pattern' => '{shot}_v{version:3}.{frame:4}.{ext}', 'content.whole' => 'yes',
            'content.uniform' => 'yes', 'delivery.extras' => 'none',
        ],
    ]), 'bench', Specification::FORMAT));
    $spent = [];
    $check = static function () use ($folder, $specification, $time, &$spent): void {
        $delivery = null;
        $spent['scan'] = $time(static function () use ($folder, &$delivery): void {
            $delivery = (new Scan(FolderListing::of($folder), Probe::standard()))->run(time());
        });
        $spent['check'] = $time(static function () use ($specification, &$delivery): void {
            (new JsonReport)->write(CheckReport::of($specification, null, $delivery));
        });
    };
    $loop();
    $ratios = [];
    for ($run = 0; $run < $runs; $run++) {
        [$plain, $whole] = [$time($loop), $time($check)];
        $ratios[] = $whole / $plain;
    }
    sort($ratios);
    printf(
        "%-32s %6d files: %.2f times the loop (scan %.2f, check %.2f)\n",
        $what,
        count($files),
        $ratios[intdiv($runs, 2)],
        $spent['scan'] / $plain,
        $spent['check'] / $plain,
    );
    exec('rm -rf '.escapeshellarg($folder));
}
