<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Submission;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Sealing\SealedFile;

/** The sums of a submission's files while they are worked out: one line a file, written on as they come. */
final class SealSpool
{
    private const LEVEL = 3;

    /** @var resource|null held while one request adds to it */
    private $lock = null;

    private function __construct(private readonly string $path) {}

    public static function of(Submission $submission): self
    {
        Storage::makeDirectory('spool');

        return new self(Storage::path(Spool::name('seal', $submission)));
    }

    /** @return bool whether nobody else adds to it just now; nobody does until the request is over, or it is removed */
    public function isOurs(): bool
    {
        $lock = fopen("{$this->path}.lock", 'c');
        if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB)) {
            return false;
        }
        $this->lock = $lock;

        return true;
    }

    /** @param  list<SealedFile>  $files  a later line of a file stands for those before it */
    public function add(array $files): void
    {
        $lines = '';
        foreach ($files as $file) {
            $lines .= json_encode($file->toArray(), JSON_THROW_ON_ERROR)."\n";
        }
        $lines === '' || file_put_contents($this->path, gzencode($lines, self::LEVEL), FILE_APPEND | LOCK_EX);
    }

    /** Bytes. */
    public function size(): int
    {
        clearstatcache(true, $this->path);

        return is_file($this->path) ? (int) filesize($this->path) : 0;
    }

    /** @return list<SealedFile> */
    public function files(): array
    {
        $files = [];
        $handle = is_file($this->path) ? gzopen($this->path, 'r') : false;
        // a line that was being written when its writer was ended is none
        while ($handle !== false && ($line = @gzgets($handle)) !== false) {
            /** @var array{path: string, size: int, modified: int, sums: array<string, string>}|null $data */
            $data = json_decode($line, true);
            if ($data !== null) {
                $file = SealedFile::fromArray($data);
                $files[$file->path] = $file;
            }
        }
        $handle === false || gzclose($handle);
        ksort($files, SORT_STRING);

        return array_values($files);
    }

    /** What one that broke off came to is gone on from. */
    public function goOnFrom(self $earlier): void
    {
        $earlier->size() > 0 && rename($earlier->path, $this->path);
    }

    public function remove(): void
    {
        foreach ([$this->path, "{$this->path}.lock"] as $file) {
            is_file($file) && unlink($file);
        }
        $this->lock === null || fclose($this->lock);
        $this->lock = null;
    }
}
