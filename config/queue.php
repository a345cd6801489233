<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        // longer than any job may take; what a worker had that died is free at once
        'database' => [
            'driver' => 'database', 'connection' => 'side', 'table' => 'jobs', 'queue' => 'default',
            'retry_after' => 1900, 'after_commit' => true,
        ],
        'redis' => [
            'driver' => 'redis', 'connection' => 'default', 'queue' => 'default', 'retry_after' => 1900,
            'block_for' => 2, 'after_commit' => true,
        ],
    ],
    'batching' => ['database' => 'side', 'table' => 'job_batches'],
    'failed' => ['driver' => 'database-uuids', 'database' => 'side', 'table' => 'failed_jobs'],
];
