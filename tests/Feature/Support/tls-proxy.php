<?php

declare(strict_types=1);

// A small proxy that speaks TLS outward and plain HTTP inward. Usage: php tls-proxy.php PORT SERVER_PORT CERTIFICATE
// It says by the usual headers how a request came to it, and takes away what a visitor says of that.

[, $port, $to, $certificate] = $argv;
$context = stream_context_create(['ssl' => ['local_cert' => $certificate, 'verify_peer' => false]]);
$server = stream_socket_server(
    "tls://127.0.0.1:{$port}",
    $code,
    $why,
    STREAM_SERVER_BIND | STREAM_SERVER_LISTEN,
    $context,
)
    ?: exit("{$why}\n");
while (true) {
    $visitor = @stream_socket_accept($server, 60, $peer);
    if ($visitor === false) {
        continue;
    }
    $head = '';
    while (! str_contains($head, "\r\n\r\n") && ($line = fgets($visitor)) !== false) {
        $head .= $line;
    }
    $length = preg_match('~^Content-Length:\s*(\d+)~mi', $head, $m) === 1 ? (int) $m[1] : 0;
    $body = $length > 0 ? (string) stream_get_contents($visitor, $length) : '';
    $head = (string) preg_replace('~^(?:X-Forwarded-[A-Za-z]+|Connection|Forwarded):.*\r\n~mi', '', $head);
    $head = substr($head, 0, -2)
        ."X-Forwarded-Proto: https\r\nX-Forwarded-For: 203.0.113.7\r\nConnection: close\r\n\r\n";
    $inner = stream_socket_client("tcp://127.0.0.1:{$to}");
    if ($inner !== false) {
        fwrite($inner, $head.$body);
        stream_copy_to_stream($inner, $visitor);
        fclose($inner);
    }
    fclose($visitor);
}
