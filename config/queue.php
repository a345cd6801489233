<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        // a slice of a scan takes some twenty seconds; only one that has died is tried again
        'database' => ['driver' => 'database', 'connection' => 'side', 'table' => 'jobs', 'queue' => 'default', 'retry_after' => 180, 'after_commit' => true],
    ],
    'batching' => ['database' => 'side', 'table' => 'job_batches'],
    'failed' => ['driver' => 'database-uuids', 'database' => 'side', 'table' => 'failed_jobs'],
];
