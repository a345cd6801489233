<?php

declare(strict_types=1);

namespace App\Security;

use PlainLedger\Core\Submission\RecordKey;

/** The key that this installation signs with; it follows from APP_KEY, so that there is one secret to keep. */
final readonly class RecordKeys
{
    public static function own(): RecordKey
    {
        return self::of((string) config('app.key'));
    }

    /**
     * Whether a key is ours, or was before APP_KEY was renewed.
     *
     * @param  string  $public  32 bytes
     */
    public static function isOurs(string $public): bool
    {
        $all = [config('app.key'), ...(array) config('app.previous_keys')];
        foreach ($all as $key) {
            if (is_string($key) && $key !== '' && hash_equals(self::of($key)->public, $public)) {
                return true;
            }
        }

        return false;
    }

    private static function of(#[\SensitiveParameter] string $key): RecordKey
    {
        return RecordKey::of(str_starts_with($key, 'base64:') ? (string) base64_decode(substr($key, 7), true) : $key);
    }
}
