#!/usr/bin/env php
<?php

declare(strict_types=1);

// A thousand settings files checked by the core in one process, beside a plain loop that reads and decodes them; and a
// USD scene of 100 MB read within bounded memory. Usage: php bench/scenes.php [files] [megabytes]

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Specification\Specification;

require dirname(__DIR__).'/vendor/autoload.php';

$count = (int) ($argv[1] ?? 1000);
$megabytes = (int) ($argv[2] ?? 100);
$folder = sys_get_temp_dir().'/plain-ledger-bench-'.bin2hex(random_bytes(4));
mkdir($folder);
$specification = Specification::fromDocument(JsonDocument::parse((string) json_encode([
    'format' => Specification::FORMAT, 'version' => 1, 'delivers' => 'frames', 'values' => ['shot' => 'TC_010'],
    'require' => [
        'picture.resolution' => '2048x858',
        'picture.scale' => 100,
        'picture.pixel_aspect' => '1/1',
        'picture.region' => 'full',
        'time.rate' => '24',
        'time.range' => '1001-1096',
        'time.step' => 1,
        'camera.name' => 'cam_quay',
        'camera.single' => 'yes',
        'scene.saved' => 'yes',
        'render.samples' => ['min' => 128],
        'output.folder' => 'renders/{shot}',
        'format.kind' => 'exr',
        'format.bit_depth' => 16,
        'format.channels' => 'RGBA',
        'format.compression' => ['zip', 'zips'],
        'passes' => ['beauty', 'mist'],
        'naming.pattern' => '{shot}.{frame:4}.{ext}',
    ],
]), 'spec', Specification::FORMAT));
for ($n = 0; $n < $count; $n++) {
    $settings = [
        'picture.resolution' => '2048x858',
        'picture.scale' => $n % 5 === 0 ? 50 : 100,
        'picture.pixel_aspect' => '1/1',
        'picture.region' => 'full',
        'time.rate' => $n % 7 === 0 ? '25' : '24',
        'time.extent' => 'listed',
        'time.range' => '1001-1096',
        'time.step' => 1,
        'camera.chosen' => [$n % 11 === 0 ? 'top' : 'cam_quay'],
        'camera.all' => ['cam_quay'],
        'camera.views' => ['top'],
        'render.samples' => 128,
        'output.folder' => 'renders/TC_010',
        'format.kind' => 'exr',
        'format.bit_depth' => 16,
        'format.channels' => 'RGBA',
        'format.compression' => 'zip',
        'passes' => [['name' => 'beauty', 'saved' => true], ['name' => 'mist', 'saved' => true]],
        'naming.pattern' => 'TC_010.####.exr',
    ];
    $lines = "size = 2048x858\nfps = 24\nframes = 1001-1096\ncamera = cam_quay\nformat = exr\noutput = "
        ."renders/TC_010/TC_010.####.exr\nsamples = 64\n";
    file_put_contents(
        "{$folder}/{$n}.".($n % 2 === 0 ? 'json' : 'txt'),
        $n % 2 === 0
            ? (string) json_encode(
                [
                    'format' => 'plain-ledger/scene',
                    'version' => 1,
                    'scene' => ['saved' => true, 'project_folder' => 'tide_clock'],
                    'settings' => $settings,
                ],
            )
            : $lines,
    );
}
$files = glob("{$folder}/*") ?: [];
$began = hrtime(true);
foreach ($files as $path) {
    $text = (string) file_get_contents($path);
    $_ = str_starts_with($text, '{') ? json_decode($text, true) : parse_ini_string($text);
}
$plain = hrtime(true) - $began;
$began = hrtime(true);
$causes = 0;
foreach ($files as $path) {
    $account = CheckReport::of($specification, (new DetectingReader)->open($path), null);
    $causes += count($account->toArray()['causes']);
}
$checked = hrtime(true) - $began;
printf(
    "%d settings files: %.2f ms each, %d causes; reading and decoding alone %.2f ms each; %.1f MB\n",
    $count,
    $checked / 1e6 / max(1, $count),
    $causes,
    $plain / 1e6 / max(1, $count),
    memory_get_peak_usage() / 1e6,
);

$path = "{$folder}/large.usda";
$out = fopen($path, 'w');
fwrite(
    $out,
    "#usda 1.0\n(\n    framesPerSecond = 24\n    timeCodesPerSecond = 24\n    startTimeCode = 1001\n    endTimeCode "
        ."= 1096\n)\ndef Xform \"geometry\"\n{\n",
);
$block = '        '.implode(
    ', ',
    array_map(static fn (int $i): string => sprintf('(%.6f, %.6f, %.6f)', sin($i), cos($i), $i / 7), range(1, 4000)),
);
for ($n = 0; ftell($out) < $megabytes * 1_000_000; $n++) {
    fwrite(
        $out,
        "    def Mesh \"m{$n}\" {\n        point3f[] points = [\n{$block}\n        ]\n        float3 "
            ."xformOp:translate.timeSamples = {\n"
            .implode(
                '',
                array_map(static fn (int $i): string => "            {$i}: (1, 2, {$i}),\n", range(1001, 1096)),
            )
            ."        }\n    }\n",
    );
}
fwrite(
    $out,
    "}\ndef Camera \"cam_quay\" { float focalLength = 35 }\ndef RenderSettings \"r\" {\n    uniform int2 resolution "
        ."= (2048, 858)\n    rel camera = </cam_quay>\n    rel products = </r/p>\n    def RenderProduct \"p\" { "
        ."token productName = \"renders/TC_010/TC_010.####.exr\" }\n}\n",
);
fclose($out);
memory_reset_peak_usage();
$before = memory_get_usage();
$began = hrtime(true);
$scene = (new DetectingReader)->open($path);
$took = hrtime(true) - $began;
$began = hrtime(true);
for ($in = fopen($path, 'r'), $lines = 0; fgets($in) !== false; $lines++);
$plain = hrtime(true) - $began;
printf(
    "USD of %.0f MB: %.1f s, %.1f times a loop over its lines, %.1f MB of memory; range %s, size %s\n",
    filesize($path) / 1e6,
    $took / 1e9,
    $took / max(1, $plain),
    (memory_get_peak_usage() - $before) / 1e6,
    $scene->get('time.range') ?? '?',
    $scene->get('picture.resolution') ?? '?',
);
array_map(unlink(...), glob("{$folder}/*") ?: []);
rmdir($folder);
