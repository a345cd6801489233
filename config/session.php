<?php

declare(strict_types=1);

// under https the cookie goes back to this host alone, and never in the clear
$secure = str_starts_with((string) env('APP_URL', ''), 'https://');

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    // a database, or one of Redis
    'connection' => env('SESSION_DRIVER', 'database') === 'redis' ? 'default' : 'side',
    'table' => 'sessions',
    'lifetime' => (int) env('SESSION_LIFETIME', 480),
    // minutes after which one signs in anew, however busy one was
    'longest' => (int) env('SESSION_LONGEST', 1440),
    'expire_on_close' => false,
    'encrypt' => false,
    'cookie' => ($secure ? '__Host-' : '').'plain_ledger_session',
    'path' => '/',
    'domain' => null,
    'secure' => $secure,
    'http_only' => true,
    'same_site' => 'lax',
    'lottery' => [2, 100],
];
