<?php

declare(strict_types=1);

return [
    'default' => 'local',
    'disks' => [
        'local' => [
            'driver' => 'local', 'root' => env('LEDGER_FILES') ?: storage_path('app/private'), 'serve' => false,
            'throw' => true,
        ],
    ],
    'links' => [],
];
