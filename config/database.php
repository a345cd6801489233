<?php

declare(strict_types=1);

$sqlite = static fn (string $path): array => [
    'driver' => 'sqlite',
    'database' => $path,
    'prefix' => '',
    'foreign_key_constraints' => true,
    'busy_timeout' => 10000,
    // a log beside the file is the fastest, and only for programs of one machine: over a shared folder it is DELETE
    'journal_mode' => $path === ':memory:' ? null : env('DB_JOURNAL_MODE', 'WAL'),
    'synchronous' => 'NORMAL',
];

return [
    'default' => 'ledger',
    'connections' => [
        'ledger' => $sqlite((string) env('DB_DATABASE', database_path('ledger.sqlite'))),
        // sessions, cache and queue, so that they never lock the ledger
        'side' => $sqlite((string) env('DB_SIDE_DATABASE', database_path('side.sqlite'))),
    ],
    // for the queue, the cache and sessions, where the configuration says so; what is kept stays in SQLite
    'redis' => [
        'client' => 'predis',
        'options' => ['prefix' => env('REDIS_PREFIX', 'plain_ledger:')],
        'default' => [
            'url' => env('REDIS_URL'),
            'host' => env('REDIS_HOST', '127.0.0.1'),
            'port' => (int) env('REDIS_PORT', 6379),
            'username' => env('REDIS_USERNAME'),
            'password' => env('REDIS_PASSWORD'),
            'database' => (int) env('REDIS_DB', 0),
            'read_write_timeout' => 60,
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
