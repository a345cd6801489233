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
        foreach ($this->files() as $path => $file) {
            $all = is_array($file['sums'] ?? null) ? $file['sums'] : [];
            $first = array_key_first($all);
            if ($first !== null && is_string($all[$first])) {
                $sums[$path] = [(string) $first, $all[$first]];
            }
        }

        return $sums;
    }

    /** @return array<array-key, string> sums by path */
    public function sumsBy(SumAlgorithm $algorithm): array
    {
        $sums = [];
        foreach ($this->files() as $path => $file) {
            $sum = is_array($file['sums'] ?? null) ? $file['sums'][$algorithm->value] ?? null : null;
            if (is_string($sum)) {
                $sums[$path] = $sum;
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
        foreach ($this->files() as $path => $file) {
            if (is_int($file['bytes'] ?? null)) {
                $sizes[$path] = $file['bytes'];
            }
        }

        return $sizes;
    }

    /** @return int among those of its deliverable */
    public function number(): int
    {
        $number = $this->data['number'] ?? null;

        return is_int($number) ? $number : 0;
    }

    /** @return string of the deliverable; empty where none is told */
    public function code(): string
    {
        $deliverable = $this->data['deliverable'] ?? null;
        $code = is_array($deliverable) ? $deliverable['code'] ?? null : null;

        return is_string($code) ? $code : '';
    }

    /** @return array<array-key, array{int, int}> bytes, and seconds since 1970, by path */
    public function dated(): array
    {
        $dated = [];
        foreach ($this->files() as $path => $file) {
            $at = is_string($file['modified'] ?? null) ? strtotime($file['modified']) : false;
            $dated[$path] = [is_int($file['bytes'] ?? null) ? $file['bytes'] : 0, $at === false ? 0 : $at];
        }

        return $dated;
    }

    /** @return array<array-key, int> the number of the submission in which each file was first signed, by path */
    public function firstSigned(): array
    {
        $first = [];
        foreach ($this->files() as $path => $file) {
            $first[$path] = is_int($file['first_signed'] ?? null) ? $file['first_signed'] : $this->number();
        }

        return $first;
    }

    /** @return array<int, array{by: string, at: string}> who signed, and when, by the number of the submission */
    public function approvedBy(): array
    {
        $text = static fn (array $from, string $key): string => is_string($from[$key] ?? null) ? $from[$key] : '';
        $who = [];
        $approved = $this->data['approved'] ?? null;
        foreach (is_array($approved) ? $approved : [] as $one) {
            if (is_array($one) && is_int($one['number'] ?? null)) {
                $who[$one['number']] = ['by' => $text($one, 'signed_by'), 'at' => $text($one, 'signed_at')];
            }
        }

        return $who + [$this->number() => [
            'by' => $text($this->data, 'signed_by'), 'at' => $text($this->data, 'signed_at'),
        ]];
    }

    /** @return \Generator<string, array<mixed>> what it says of each file, by path */
    private function files(): \Generator
    {
        $files = $this->data['files'] ?? null;
        foreach (is_array($files) ? $files : [] as $file) {
            if (is_array($file) && is_string($file['path'] ?? null)) {
                yield self::pathOf($file['path']) => $file;
            }
        }
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
