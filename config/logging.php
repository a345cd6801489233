<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'faults'),
    'channels' => [
        'single' => [
            'driver' => 'single',
            'path' => storage_path('logs/laravel.log'),
            'level' => env('LOG_LEVEL', 'warning'),
            'permission' => 0600,
        ],
        // where the disk is full, what failed is told to whoever asked, though it cannot be written down
        'faults' => ['driver' => 'stack', 'channels' => ['daily'], 'ignore_exceptions' => true],
        'daily' => [
            'driver' => 'daily',
            'path' => storage_path('logs/faults.log'),
            'level' => env('LOG_LEVEL', 'warning'),
            'days' => 30,
            'permission' => 0600,
        ],
        // who came in, who tried to, who gave what to whom; never a password, a token or a link
        'security' => [
            'driver' => 'daily',
            'path' => storage_path('logs/security.log'),
            'level' => 'info',
            'days' => 90,
            'permission' => 0600,
            'formatter' => Monolog\Formatter\JsonFormatter::class,
            'formatter_with' => ['batchMode' => 1, 'appendNewline' => true, 'ignoreEmptyContextAndExtra' => true],
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
        'emergency' => ['path' => storage_path('logs/faults.log')],
    ],
];
