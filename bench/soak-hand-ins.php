#!/usr/bin/env php
<?php

declare(strict_types=1);

// Thirty learners hand in at the same moment, each of them twice, as an impatient hand does: all of them have to be
// taken, once. Works on the demo that a running application has.
// Usage: bin/start in one window, then: php bench/soak-hand-ins.php [http://127.0.0.1:8017]

use App\Actions\Checks\AskedStamps;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\HandIn;
use App\Models\User;
use App\Security\TokenScope;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\Hash;

const MANY = 30;

require dirname(__DIR__).'/vendor/autoload.php';
$app = require dirname(__DIR__).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$base = $argv[1] ?? 'http://127.0.0.1:8017';
$model = Deliverable::query()->where('code', 'VANE_Wren')->firstOrFail();
$checked = Check::query()->where('deliverable_id', $model->id)->whereNotNull('delivery_id')->firstOrFail();
$hash = Hash::make('a soak of many hands');
$asked = [];
for ($n = 1; $n <= MANY; $n++) {
    $name = 'hand'.bin2hex(random_bytes(4));
    $learner = User::query()->create([
        'name' => $name, 'email' => "{$name}@practice.example", 'password' => $hash, 'handle' => $name,
    ]);
    $model->production->memberships()->create(['user_id' => $learner->id, 'role' => 'learner']);
    $own = $model->replicate()->fill(['code' => "SOAK_{$name}", 'owner_id' => $learner->id]);
    $own->save();
    $delivery = $checked->delivery->replicate()->fill(['deliverable_id' => $own->id]);
    $delivery->save();
    $check = $checked->replicate()->fill([
        'deliverable_id' => $own->id, 'delivery_id' => $delivery->id, 'user_id' => $learner->id,
        'asked' => (new AskedStamps)->now($own->fresh()->loadAsked()),
    ]);
    $check->save();
    $token = $learner->createToken('soak', [TokenScope::Write->value])->plainTextToken;
    $asked[] = [$own->id, $check->id, $token];
}

$many = curl_multi_init();
$handles = [];
foreach ([...$asked, ...$asked] as [$deliverable, $check, $token]) {
    $handle = curl_init("{$base}/api/v1/deliverables/{$deliverable}/hand-in");
    curl_setopt_array($handle, [
        CURLOPT_POST => true, CURLOPT_POSTFIELDS => json_encode(['check' => $check]), CURLOPT_RETURNTRANSFER => true,
        CURLOPT_HTTPHEADER => [
            "Authorization: Bearer {$token}", 'Content-Type: application/json',
            'Accept: application/json',
        ],
    ]);
    curl_multi_add_handle($many, $handle);
    $handles[] = $handle;
}
$began = hrtime(true);
do {
    curl_multi_exec($many, $running);
    curl_multi_select($many, 0.1);
} while ($running > 0);
$took = (hrtime(true) - $began) / 1e9;
$codes = array_count_values(array_map(static fn ($h): int => curl_getinfo($h, CURLINFO_RESPONSE_CODE), $handles));
$slowest = max(array_map(static fn ($h): float => curl_getinfo($h, CURLINFO_TOTAL_TIME), $handles));
$ids = array_column($asked, 0);
$kept = HandIn::query()->whereIn('deliverable_id', $ids)->get();
$first = $kept->min('handed_at');
$late = $kept->filter(static fn (HandIn $h): bool => $h->handed_at->diffInSeconds($first, true) > $took);
printf(
    "%d asked in %.1f s, the slowest took %.1f s; answered %s\n%d learners, %d hand-ins, %d of another time\n",
    count($handles),
    $took,
    $slowest,
    json_encode($codes),
    MANY,
    $kept->count(),
    $late->count(),
);
exit($kept->count() === MANY && $kept->unique('deliverable_id')->count() === MANY ? 0 : 1);
