<?php

declare(strict_types=1);

$sqlite = static fn (string $path): array => [
    'driver' => 'sqlite',
    'database' => $path,
    'prefix' => '',
    'foreign_key_constraints' => true,
    'busy_timeout' => 10000,
    'journal_mode' => $path === ':memory:' ? null : 'WAL',
    'synchronous' => 'NORMAL',
];

return [
    'default' => 'ledger',
    'connections' => [
        'ledger' => $sqlite((string) env('DB_DATABASE', database_path('ledger.sqlite'))),
        // sessions, cache and queue, so that they never lock the ledger
        'side' => $sqlite((string) env('DB_SIDE_DATABASE', database_path('side.sqlite'))),
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
