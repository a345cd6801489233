<?php

declare(strict_types=1);

/** Makes people who coordinate the demo's film, for bench/soak.mjs. Usage: php bench/soak-people.php MANY PASSWORD */

use App\Models\Production;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\Hash;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$production = Production::byCode('TC') ?? exit("The demo is not here.\n");
$hash = Hash::make($argv[2] ?? 'a soak of many hands');
$ids = [];
for ($n = 1; $n <= (int) ($argv[1] ?? 50); $n++) {
    $user = User::query()->firstOrCreate(
        ['email' => "soak{$n}@harbour.example"],
        ['name' => "Soak {$n}", 'password' => $hash, 'handle' => "soak{$n}"],
    );
    $production->memberships()->firstOrCreate(['user_id' => $user->id], ['role' => 'coordinator']);
}
foreach ($production->deliverables()->orderBy('code')->pluck('id') as $id) {
    $ids[] = $id;
}
echo json_encode(
    ['production' => $production->id, 'deliverables' => $ids, 'root' => $production->intakeRoots()->value('id')],
), "\n";
