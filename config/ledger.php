<?php

declare(strict_types=1);

return [
    // every intake root of every production lies below this folder
    'intake' => env('LEDGER_INTAKE', base_path('intake')),
    // folders with more files than this are checked by the queue, with progress
    'files_at_once' => (int) env('LEDGER_FILES_AT_ONCE', 400),
    // seconds of work in one slice of a queued scan
    'slice' => (int) env('LEDGER_SLICE', 20),
    // what a process that looks at files may take, in megabytes, and how many seconds it may be silent
    'child_memory' => (int) env('LEDGER_CHILD_MEMORY', 1024),
    'child_silence' => (int) env('LEDGER_CHILD_SILENCE', 180),
    // where the writer of PDF keeps what it has measured of its fonts
    'fonts' => storage_path('framework/cache/data'),
    // further names it answers under, beside that of APP_URL; and the proxies that may say how a request came to them
    'hosts' => env('LEDGER_HOSTS', ''),
    'proxies' => env('LEDGER_PROXIES', ''),
    // seconds for which a followed folder has to stand still before it is checked by itself
    'still' => (int) env('LEDGER_STILL', 60),
    // of one production: bytes that are kept of it, and checks of files in 24 hours
    'most_bytes' => (int) env('LEDGER_MOST_BYTES', 4_000_000_000),
    'most_checks' => (int) env('LEDGER_MOST_CHECKS', 5000),
    // bytes of an archive that somebody uploads
    'largest_archive' => (int) env('LEDGER_LARGEST_ARCHIVE', 4_000_000_000),
    // where copies of the databases go, and how many of each are kept
    'backups' => env('LEDGER_BACKUPS'),
    'backups_kept' => (int) env('LEDGER_BACKUPS_KEPT', 10),
    // whether programs elsewhere may be told of something at addresses of this network
    'webhooks_private' => (bool) env('LEDGER_WEBHOOKS_PRIVATE', false),
    // whether each answer says how long it took, for bench/pages.mjs
    'timing' => (bool) env('LEDGER_TIMING', false),
    'demo' => (bool) env('LEDGER_DEMO', false),
];
