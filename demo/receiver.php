<?php

declare(strict_types=1);

// A stand-in for a program elsewhere that is told of things. It looks whether a call is signed, and writes each down.
// Usage: LEDGER_SECRET=… LEDGER_CALLS=calls.jsonl [LEDGER_ANSWER=200] php -S 127.0.0.1:9000 demo/receiver.php

$body = (string) file_get_contents('php://input');
$time = (string) ($_SERVER['HTTP_X_LEDGER_TIME'] ?? '');
$signature = (string) ($_SERVER['HTTP_X_LEDGER_SIGNATURE'] ?? '');
$isOurs = hash_equals(hash_hmac('sha256', "{$time}.{$body}", (string) getenv('LEDGER_SECRET')), $signature);
$isFresh = abs(time() - (int) $time) < 300;
$line = ['signed' => $isOurs, 'fresh' => $isFresh, 'event' => $_SERVER['HTTP_X_LEDGER_EVENT'] ?? null,
    'body' => json_decode($body, true)];
file_put_contents((string) getenv('LEDGER_CALLS'), json_encode($line)."\n", FILE_APPEND | LOCK_EX);
http_response_code($isOurs && $isFresh ? (int) (getenv('LEDGER_ANSWER') ?: 200) : 401);
