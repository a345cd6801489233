<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

/** A key that records are signed with (Ed25519, RFC 8032). */
final readonly class RecordKey
{
    /**
     * @param  non-empty-string  $secret  64 bytes
     * @param  non-empty-string  $public  32 bytes
     */
    private function __construct(#[\SensitiveParameter] private string $secret, public string $public) {}

    /**
     * The same seed makes the same key.
     *
     * @param  string  $seed  secret bytes, at least 32
     */
    public static function of(#[\SensitiveParameter] string $seed): self
    {
        $pair = sodium_crypto_sign_seed_keypair(hash_hkdf('sha256', $seed, 32, 'plain-ledger/submission'));

        return new self(sodium_crypto_sign_secretkey($pair), sodium_crypto_sign_publickey($pair));
    }

    public function sign(string $bytes): string
    {
        return sodium_crypto_sign_detached($bytes, $this->secret);
    }

    public static function holds(string $signature, string $bytes, string $public): bool
    {
        return strlen($signature) === SODIUM_CRYPTO_SIGN_BYTES
            && strlen($public) === SODIUM_CRYPTO_SIGN_PUBLICKEYBYTES
            && sodium_crypto_sign_verify_detached($signature, $bytes, $public);
    }

    /** By which people compare keys: eight groups of four digits can be read out. */
    public static function fingerprint(string $public): string
    {
        return implode(' ', str_split(substr(hash('sha256', $public), 0, 32), 4));
    }
}
