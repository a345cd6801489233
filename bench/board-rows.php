#!/usr/bin/env php
<?php

declare(strict_types=1);

// Puts a production of five hundred checked deliverables into a ledger, for bench/board.mjs.
// Usage: php bench/board-rows.php DATABASE

use App\Actions\Scenes\BringScene;
use App\Models\Production;
use App\Models\User;

[, $database] = $argv + [1 => ''];
putenv("DB_DATABASE={$database}");
$_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = $database;
require dirname(__DIR__).'/vendor/autoload.php';
$app = require dirname(__DIR__).'/bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
$by = User::query()->where('handle', 'odile')->firstOrFail();
$production = Production::query()->create(
    ['code' => 'FIVE', 'name' => 'Five hundred shots', 'kind' => 'series', 'house' => []],
);
$production->memberships()->create(['user_id' => $by->id, 'role' => 'coordinator']);
$specification = $production->specifications()->create(['title' => 'Shots']);
$specification->revise(
    [
        'delivers' => 'frames',
        'require' => [
            'picture.resolution' => '2048x858',
            'time.rate' => '24',
            'camera.name' => 'cam_*',
            'render.samples' => ['min' => 128],
            'format.kind' => 'exr',
            'colour.encoding' => 'linear',
            'naming.pattern' => '{shot}.{frame:4}.{ext}',
        ],
    ],
    $by,
);
$began = hrtime(true);
for ($n = 1; $n <= 500; $n++) {
    $code = sprintf('SH_%04d', $n);
    $deliverable = $production->deliverables()->create(
        [
            'specification_id' => $specification->id,
            'owner_id' => $by->id,
            'code' => $code,
            'title' => "shot {$n}",
            'values' => [],
            'overrides' => ['time.range' => '1001-1'.sprintf('%03d', 20 + $n % 300)],
            'due_at' => now()->addHours($n),
        ],
    );
    $deliverable->load('production', 'owner', 'specification.latest');
    app(BringScene::class)->run(
        $deliverable,
        "{$code}.txt",
        "size = 2048x858\nscale = "
            .($n % 5 === 0 ? 50 : 100)
            ."\nfps = "
            .($n % 7 === 0 ? 25 : 24)
            ."\nframes = 1001-1"
            .sprintf('%03d', 20 + $n % 300)
            ."\ncamera = "
            .($n % 11 === 0 ? 'top' : 'cam_a')
            ."\nsamples = "
            .($n % 13 === 0 ? 64 : 128)
            ."\nformat = exr\ncolour space = linear\noutput = out/{$code}.####.exr\n",
        $by,
    );
}
printf("500 scenes brought and checked, %.1f ms each\n", (hrtime(true) - $began) / 5e8);
