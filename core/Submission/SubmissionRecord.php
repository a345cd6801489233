<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Json\CanonicalJson;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\SealedFile;

/**
 * A sign-off as the open `plain-ledger/submission` document: what was asked, found and accepted, the sums of all
 * files, who signed it and when, and the signature of all that. Nothing in it can be changed afterwards unseen.
 */
final readonly class SubmissionRecord
{
    public const FORMAT = 'plain-ledger/submission';

    /** Bytes: it names every file of a delivery. */
    public const LARGEST = 256_000_000;

    /** @param  array<string, mixed>  $data */
    private function __construct(public array $data) {}

    /** @param  array<string, mixed>  $content  all but format, version, key and signature */
    public static function signed(array $content, RecordKey $key): self
    {
        $data = self::plain(['format' => self::FORMAT, 'version' => 1] + $content + [
            'key' => base64_encode($key->public),
        ]);

        return new self($data + ['signature' => base64_encode($key->sign(self::bytes($data)))]);
    }

    /** @throws JsonRefused */
    public static function read(string $text, string $label): self
    {
        return new self(JsonDocument::parse($text, $label, self::FORMAT, self::LARGEST)->data);
    }

    public function write(): string
    {
        return json_encode(
            $this->data,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION
                | JSON_THROW_ON_ERROR,
        )."\n";
    }

    /** Whether it is, to the letter, what was signed by the key that it names. */
    public function holds(): bool
    {
        $signature = $this->data['signature'] ?? null;

        return is_string($signature)
            && RecordKey::holds((string) base64_decode($signature, true), self::bytes($this->data), $this->key());
    }

    /** @return string 32 bytes; empty where none is named */
    public function key(): string
    {
        $key = $this->data['key'] ?? null;

        return is_string($key) ? (string) base64_decode($key, true) : '';
    }

    /** @return array<array-key, array{string, string}> the first sum of each file: algorithm and sum, by path */
    public function sums(): array
    {
        $sums = [];
        $files = $this->data['files'] ?? null;
        foreach (is_array($files) ? $files : [] as $file) {
            $path = is_array($file) ? $file['path'] ?? null : null;
            $all = is_array($file) ? $file['sums'] ?? null : null;
            $first = is_array($all) ? array_key_first($all) : null;
            if (is_string($path) && is_array($all) && $first !== null && is_string($all[$first])) {
                $sums[self::pathOf($path)] = [(string) $first, $all[$first]];
            }
        }

        return $sums;
    }

    /** @return array<array-key, string> sums by path */
    public function sumsBy(SumAlgorithm $algorithm): array
    {
        $sums = [];
        $files = $this->data['files'] ?? null;
        foreach (is_array($files) ? $files : [] as $file) {
            $path = is_array($file) ? $file['path'] ?? null : null;
            $sum = is_array($file) && is_array($file['sums'] ?? null) ? $file['sums'][$algorithm->value] ?? null : null;
            if (is_string($path) && is_string($sum)) {
                $sums[self::pathOf($path)] = $sum;
            }
        }

        return $sums;
    }

    /**
     * The files with their sums by some algorithms, as they were signed.
     *
     * @param  list<SumAlgorithm>  $algorithms
     */
    public function seal(array $algorithms): Seal
    {
        $sums = [];
        foreach ($algorithms as $algorithm) {
            foreach ($this->sumsBy($algorithm) as $path => $sum) {
                $sums[$path][$algorithm->value] = $sum;
            }
        }
        $files = [];
        foreach ($this->sizes() as $path => $size) {
            $files[] = new SealedFile((string) $path, $size, $this->signedAt(), $sums[$path] ?? []);
        }

        return new Seal($algorithms, $files);
    }

    /** @return int seconds since 1970 */
    private function signedAt(): int
    {
        $at = $this->data['signed_at'] ?? null;

        return is_string($at) ? (int) strtotime($at) : 0;
    }

    /** @return array<array-key, int> bytes by path */
    public function sizes(): array
    {
        $sizes = [];
        $files = $this->data['files'] ?? null;
        foreach (is_array($files) ? $files : [] as $file) {
            if (is_array($file) && is_string($file['path'] ?? null) && is_int($file['bytes'] ?? null)) {
                $sizes[self::pathOf($file['path'])] = $file['bytes'];
            }
        }

        return $sizes;
    }

    /** A path as JSON can hold it: bytes that are no letters are written as `%XX`, and the sign itself. */
    public static function written(string $path): string
    {
        return mb_check_encoding($path, 'UTF-8') && ! str_contains($path, '%')
            ? $path
            : (string) preg_replace_callback(
                '~%|[^\x20-\x7e]~',
                static fn (array $m): string => sprintf('%%%02X', ord($m[0])),
                $path,
            );
    }

    private static function pathOf(string $written): string
    {
        return str_contains($written, '%') ? rawurldecode($written) : $written;
    }

    /** @param  array<string, mixed>  $data */
    private static function bytes(array $data): string
    {
        unset($data['signature']);

        return CanonicalJson::write(self::plain($data));
    }

    /**
     * As it is read again: what JSON does not tell apart is not told apart, and bytes that are no letters are none.
     *
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     */
    private static function plain(array $data): array
    {
        $flags = JSON_PRESERVE_ZERO_FRACTION | JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR;
        /** @var array<string, mixed> $plain */
        $plain = json_decode(
            json_encode($data, $flags),
            true,
            JsonDocument::DEEPEST + 8,
            JSON_BIGINT_AS_STRING | JSON_THROW_ON_ERROR,
        );

        return $plain;
    }
}
