<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

use PlainLedger\Core\Checksums\SumAlgorithm;

/** The sums of all files of a delivery. */
final readonly class Seal
{
    /**
     * @param  list<SumAlgorithm>  $algorithms  with which each file was read, the first of them the main one
     * @param  list<SealedFile>  $files  by path
     * @param  array<array-key, string>  $refused  why a file has no sums, by path
     */
    public function __construct(public array $algorithms, public array $files, public array $refused = []) {}

    public function isWhole(): bool
    {
        return $this->refused === [];
    }

    /** Of all files. */
    public function bytes(): int
    {
        return array_sum(array_map(static fn (SealedFile $file): int => $file->size, $this->files));
    }

    /** @return \Generator<string, string> sums by path */
    public function sums(SumAlgorithm $algorithm): \Generator
    {
        foreach ($this->files as $file) {
            $sum = $file->sum($algorithm);
            if ($sum !== null) {
                yield $file->path => $sum;
            }
        }
    }

    /** One sum for the whole: that of its files' paths and sums in the order of paths, as a list would hold them. */
    public function fingerprint(): string
    {
        $hash = hash_init('sha256');
        foreach ($this->files as $file) {
            hash_update($hash, json_encode([
                base64_encode($file->path), $file->size, $file->sums,
            ], JSON_THROW_ON_ERROR)."\n");
        }

        return hash_final($hash);
    }
}
