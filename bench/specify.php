<?php

declare(strict_types=1);

/**
 * What the core does at each keystroke beside a specification of sixty requirements: resolve its layers, read it
 * against itself, and work out what follows. The plain loop beside it decodes the same document and counts.
 * Usage: php bench/specify.php [RUNS]
 */

use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Consequences;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\Prose;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;

require __DIR__.'/../vendor/autoload.php';

$runs = max(5, (int) ($argv[1] ?? 200));
$require = [];
foreach (Catalogue::standard()->all() as $descriptor) {
    if ($descriptor->accepts->example !== '' && count($require) < 60) {
        $require[$descriptor->id] = $descriptor->accepts->example;
    }
}
$text = (string) json_encode(
    ['delivers' => 'frames', 'values' => ['shot' => 'TC_010', 'version' => 3], 'require' => $require],
);
$plain = static function () use ($text): int {
    $data = json_decode($text, true);

    return count(is_array($data) && is_array($data['require']) ? $data['require'] : []);
};
$keystroke = static function () use ($text): int {
    /** @var array<string, mixed> $data */
    $data = json_decode($text, true);
    $draft = Specification::draft(
        new Layer(SetBy::House, ['require' => ['time.rate' => '25']], 'house'),
        new Layer(SetBy::Specification, $data, 'specification'),
        new Layer(SetBy::Deliverable, ['require' => ['time.range' => '1001-1240']], 'TC_010'),
    );
    $quarrels = Proofreader::standard()->read($draft);
    foreach ($draft->specification->parts as $part) {
        Consequences::of($draft->specification, $part);
        Prose::of($part);
    }

    return count($draft->specification->parts[0]->requirements) + count($quarrels);
};
$median = static function (Closure $work) use ($runs): float {
    $work();
    $times = [];
    for ($run = 0; $run < $runs; $run++) {
        $began = hrtime(true);
        $work();
        $times[] = (hrtime(true) - $began) / 1e6;
    }
    sort($times);

    return $times[intdiv($runs, 2)];
};
[$base, $whole] = [$median($plain), $median($keystroke)];
printf(
    '%d requirements: decoding alone %.3f ms, a keystroke %.2f ms in the core (bound 100 with everything around '
        ."it), ratio %.0f\n",
    count($require),
    $base,
    $whole,
    $whole / $base,
);
