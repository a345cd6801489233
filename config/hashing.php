<?php

declare(strict_types=1);

return [
    // bcrypt looks at 72 bytes of a password and no more
    'driver' => defined('PASSWORD_ARGON2ID') ? 'argon2id' : 'bcrypt',
    'bcrypt' => ['rounds' => (int) env('BCRYPT_ROUNDS', 12), 'verify' => false, 'limit' => 72],
    // what was kept by another way is still known, and kept by this one from the next sign-in on
    'argon' => [
        'memory' => (int) env('ARGON_MEMORY', 19456),
        'threads' => 1,
        'time' => (int) env('ARGON_TIME', 2),
        'verify' => false,
    ],
    'rehash_on_login' => true,
];
