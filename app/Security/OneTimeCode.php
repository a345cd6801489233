<?php

declare(strict_types=1);

namespace App\Security;

/** Time-based one-time codes: HMAC-SHA-1, six digits, thirty seconds (RFC 6238, with RFC 4226 section 5.3). */
final readonly class OneTimeCode
{
    public const PERIOD = 30;

    private const DIGITS = 6;

    /** Steps before and after this one in which a code holds still: clocks differ, and people type. */
    private const DRIFT = 1;

    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** @param  string  $secret  in base 32 (RFC 4648 section 6), without padding */
    public function __construct(#[\SensitiveParameter] private string $secret) {}

    /** Of 160 bits, as long as what the hash gives (RFC 4226 section 4, R6). */
    public static function newSecret(): string
    {
        $secret = '';
        foreach (str_split(random_bytes(32)) as $byte) {
            $secret .= self::ALPHABET[ord($byte) & 31];
        }

        return $secret;
    }

    /** What a program that shows codes reads, mostly from a picture. */
    public function address(string $account, string $issuer): string
    {
        $label = rawurlencode("{$issuer}:{$account}");

        return "otpauth://totp/{$label}?secret={$this->secret}&issuer=".rawurlencode($issuer)
            .'&algorithm=SHA1&digits='.self::DIGITS.'&period='.self::PERIOD;
    }

    public function at(int $step): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), $this->bytes(), true);
        $offset = ord($hash[19]) & 15;
        /** @var array{1: int} $number */
        $number = unpack('N', substr($hash, $offset, 4));

        return str_pad((string) (($number[1] & 0x7FFFFFFF) % 10 ** self::DIGITS), self::DIGITS, '0', STR_PAD_LEFT);
    }

    /**
     * @param  int|null  $after  the step of the code that was used last: that one and those before hold no more
     * @return int|null the step whose code it is; null where it is none
     */
    public function stepOf(string $typed, int $now, ?int $after = null): ?int
    {
        $code = (string) preg_replace('~[\s-]+~', '', $typed);
        $here = intdiv($now, self::PERIOD);
        $found = null;
        for ($step = $here - self::DRIFT; $step <= $here + self::DRIFT; $step++) {
            if (hash_equals($this->at($step), $code) && ($after === null || $step > $after)) {
                $found ??= $step;
            }
        }

        return $found;
    }

    private function bytes(): string
    {
        $bits = '';
        foreach (str_split($this->secret) as $letter) {
            $bits .= str_pad(decbin((int) strpos(self::ALPHABET, $letter)), 5, '0', STR_PAD_LEFT);
        }

        return implode('', array_map(
            static fn (string $byte): string => chr((int) bindec($byte)),
            array_filter(str_split($bits, 8), static fn (string $byte): bool => strlen($byte) === 8),
        ));
    }
}
