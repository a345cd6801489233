<?php

declare(strict_types=1);

// Router of PHP's own server: files of public/ as they are, with the headers of every other reply; all else to the application.
$path = rawurldecode((string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH));
$types = [
    'css' => 'text/css; charset=utf-8',
    'js' => 'text/javascript; charset=utf-8',
    'json' => 'application/json',
    'map' => 'application/json',
    'svg' => 'image/svg+xml',
    'png' => 'image/png',
    'ico' => 'image/x-icon',
    'woff2' => 'font/woff2',
    'woff' => 'font/woff',
    'txt' => 'text/plain; charset=utf-8',
    'webmanifest' => 'application/manifest+json',
];
$file = str_contains($path, "\0") ? false : realpath(__DIR__.'/public'.$path);
$type = $types[strtolower(pathinfo($path, PATHINFO_EXTENSION))] ?? null;
if ($type !== null && $file !== false && is_file($file) && str_starts_with($file, __DIR__.'/public/')) {
    header_remove('X-Powered-By');
    header("Content-Type: {$type}");
    // built files lie there packed too
    $accepted = (string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? '');
    foreach (['br' => 'br', 'gzip' => 'gz'] as $encoding => $end) {
        $isTaken = preg_match("~\\b{$encoding}\\b(?!\\s*;\\s*q=0(?:\\.0*)?\\s*(?:,|$))~", $accepted) === 1;
        if ($isTaken && is_file("{$file}.{$end}")) {
            header("Content-Encoding: {$encoding}");
            $file .= ".{$end}";
            break;
        }
    }
    header('Vary: Accept-Encoding');
    $mark = '"'.dechex((int) filemtime($file)).'-'.dechex((int) filesize($file)).'"';
    header("ETag: {$mark}");
    if (in_array($mark, array_map(trim(...), explode(',', (string) ($_SERVER['HTTP_IF_NONE_MATCH'] ?? ''))), true)) {
        http_response_code(304);

        return true;
    }
    header('Content-Length: '.filesize($file));
    header('X-Content-Type-Options: nosniff');
    header('X-Frame-Options: DENY');
    header('Referrer-Policy: same-origin');
    // a worker's own script brings its own policy: it asks this server alone, and unpacks no script but its sums
    $may = str_ends_with($path, '.js') ? "script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'; " : '';
    header("Content-Security-Policy: default-src 'none'; {$may}frame-ancestors 'none'");
    header('Permissions-Policy: camera=(), microphone=(), geolocation=(), payment=(), usb=()');
    header('Cross-Origin-Opener-Policy: same-origin');
    header('Cross-Origin-Resource-Policy: same-origin');
    // built files carry a mark of their content in their names
    header(
        'Cache-Control: '.(
            str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'
        ),
    );
    readfile($file);

    return true;
}

require __DIR__.'/public/index.php';
