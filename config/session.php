<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    'connection' => 'side',
    'table' => 'sessions',
    'lifetime' => 600,
    'expire_on_close' => false,
    'encrypt' => false,
    'cookie' => 'plain_ledger_session',
    'path' => '/',
    'domain' => null,
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
    'lottery' => [2, 100],
];
