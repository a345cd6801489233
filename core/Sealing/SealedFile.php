<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

use PlainLedger\Core\Checksums\SumAlgorithm;

/** A file and its sums, as they were when it was read. */
final readonly class SealedFile
{
    /**
     * @param  int  $size  bytes
     * @param  int  $modified  seconds since 1970, UTC
     * @param  array<string, string>  $sums  hexadecimal digits, small, by the algorithm's name
     */
    public function __construct(public string $path, public int $size, public int $modified, public array $sums) {}

    /** @return array{path: string, size: int, modified: int, sums: array<string, string>} what JSON can hold */
    public function toArray(): array
    {
        return [
            'path' => base64_encode($this->path), 'size' => $this->size, 'modified' => $this->modified,
            'sums' => $this->sums,
        ];
    }

    /** @param  array{path: string, size: int, modified: int, sums: array<string, string>}  $data */
    public static function fromArray(array $data): self
    {
        return new self((string) base64_decode($data['path'], true), $data['size'], $data['modified'], $data['sums']);
    }

    public function sum(SumAlgorithm $algorithm): ?string
    {
        return $this->sums[$algorithm->value] ?? null;
    }
}
