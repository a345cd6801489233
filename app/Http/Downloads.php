<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Response;

/** Files that are handed out. */
final readonly class Downloads
{
    public static function file(string $body, string $type, string $name): Response
    {
        return self::shown($body, $type, $name, 'attachment');
    }

    /** To be looked at in the browser itself. */
    public static function inline(string $body, string $type, string $name): Response
    {
        return self::shown($body, $type, $name, 'inline');
    }

    public static function pretty(mixed $data): string
    {
        return json_encode(
            $data,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        );
    }

    private static function shown(string $body, string $type, string $name, string $how): Response
    {
        $plain = preg_replace('~[^A-Za-z0-9_.-]~', '_', $name);

        return response($body)
            ->header('Content-Type', $type)
            ->header('Content-Disposition', "{$how}; filename=\"{$plain}\"");
    }
}
