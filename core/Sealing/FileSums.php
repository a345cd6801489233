<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Media\SourceUnreadable;

/** Reads a file once, from its start to its end, for all its sums. */
final readonly class FileSums
{
    private const PIECE = 1 << 20;

    /** A file that is being written is read again so many times. */
    private const AGAIN = 3;

    public function __construct(private Listing $listing) {}

    /**
     * @param  list<SumAlgorithm>  $algorithms
     * @param  (\Closure(int): mixed)|null  $onBytes  told how many more were read
     *
     * @throws SourceUnreadable also where it never stands still
     */
    public function of(ListedFile $file, array $algorithms, ?\Closure $onBytes = null): SealedFile
    {
        for ($try = 0; ; $try++) {
            if ($file->refused !== null) {
                throw SourceUnreadable::file($file->path(), $file->refused);
            }
            try {
                return $this->read($file, $algorithms, $onBytes);
            } catch (SourceUnreadable $gone) {
                if (! $gone->isChanged() || $try >= self::AGAIN) {
                    throw $gone;
                }
                $file = $this->listing->again($file);
            }
        }
    }

    /** @param  list<SumAlgorithm>  $algorithms */
    private function read(ListedFile $file, array $algorithms, ?\Closure $onBytes): SealedFile
    {
        $hashes = array_map(static fn (SumAlgorithm $a): \HashContext => hash_init($a->value), $algorithms);
        $source = $this->listing->open($file);
        $size = $source->size();
        for ($at = 0; $at < $size; $at += strlen($piece)) {
            $piece = $source->read($at, min(self::PIECE, $size - $at));
            if ($piece === '') {
                throw SourceUnreadable::changed($file->path());
            }
            foreach ($hashes as $hash) {
                hash_update($hash, $piece);
            }
            $onBytes?->__invoke(strlen($piece));
        }
        // whoever writes to it while it is read has it read once more
        $now = $this->listing->again($file);
        if ($now->refused !== null || $now->size !== $file->size || $now->modified !== $file->modified) {
            throw SourceUnreadable::changed($file->path());
        }
        $sums = [];
        foreach ($algorithms as $at => $algorithm) {
            $sums[$algorithm->value] = hash_final($hashes[$at]);
        }

        return new SealedFile($file->path(), $file->size, $file->modified, $sums);
    }
}
