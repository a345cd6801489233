<?php

declare(strict_types=1);

namespace PlainLedger\Cli\Work;

/** What one process leaves for the next. */
final readonly class SpoolFile
{
    /** @return array<string, mixed>|null */
    public static function read(string $path): ?array
    {
        $packed = is_file($path) ? (string) file_get_contents($path) : '';
        /** @var array<string, mixed>|null $data */
        $data = $packed === '' ? null : json_decode((string) gzdecode($packed), true, 64);

        return $data;
    }

    /** @param  array<string, mixed>  $data */
    public static function keep(string $path, array $data): void
    {
        self::put($path, (string) gzencode(json_encode($data, JSON_THROW_ON_ERROR), 1));
    }

    /** Whole or not at all: a process that ends meanwhile leaves what was there before. */
    public static function put(string $path, string $bytes): void
    {
        $beside = $path.'.new';
        if (@file_put_contents($beside, $bytes) !== strlen($bytes) || ! @rename($beside, $path)) {
            @unlink($beside);
            throw SpoolRefused::because(error_get_last()['message'] ?? '');
        }
    }
}
