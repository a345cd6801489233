<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Deliverable;
use App\Models\Delivery;
use App\Models\User;
use Illuminate\Support\Facades\Storage;
use PlainLedger\Core\Delivery\Archive\ArchiveRefused;
use PlainLedger\Core\Delivery\Archive\ZipDirectory;
use PlainLedger\Core\Delivery\Archive\ZipListing;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Text\PlainSentence;

/**
 * An archive that somebody hands in, which comes piece by piece: what has come stays when the connection breaks, and
 * whoever sends the same file again goes on from there.
 */
final readonly class UploadedArchive
{
    private const PARTS = 'spool/archives';

    private const PLACE = 'archives';

    /** Seconds after which one that was begun is not waited for. */
    private const WAITED = 172_800;

    /** So many of a deliverable are kept, the newest. */
    private const KEPT = 2;

    /** So many of one person are waited for at the same time. */
    private const MOST_PARTS = 3;

    /** Bytes that stay free. */
    private const FREE = 1_000_000_000;

    private string $owner;

    private string $part;

    /**
     * @param  int  $size  bytes
     * @param  int  $modified  when the file was changed last, by which it is known again
     */
    public function __construct(
        private Deliverable $deliverable,
        User $by,
        private string $name,
        private int $size,
        int $modified,
    ) {
        $key = hash('sha256', implode("\0", [$by->id, $deliverable->id, $name, $size, $modified]));
        $this->owner = self::PARTS."/u{$by->id}-";
        $this->part = $this->owner.substr($key, 0, 32);
    }

    /**
     * Bytes of all that were handed in for these deliverables.
     *
     * @param  iterable<int>  $deliverables
     */
    public static function bytes(iterable $deliverables): int
    {
        $bytes = 0;
        foreach ($deliverables as $deliverable) {
            foreach (Storage::files(self::PLACE."/{$deliverable}") as $file) {
                $bytes += Storage::size($file);
            }
        }

        return $bytes;
    }

    /** How many bytes of it have come. */
    public function arrived(): int
    {
        return Storage::exists($this->part) ? Storage::size($this->part) : 0;
    }

    /**
     * @param  int  $at  how many bytes have come before
     *
     * @throws PlainSentence where it is no archive, or a larger one than is taken
     */
    public function add(int $at, string $bytes): void
    {
        $most = $this->deliverable->production->limits['archive'] ?? (int) config('ledger.largest_archive');
        if ($this->size > $most) {
            throw ArchiveRefused::because(
                $this->name,
                'has '.ByteSize::of($this->size).', and at most '.ByteSize::of($most)
                    .' are taken. Copy it to the intake',
            );
        }
        if ($at === 0) {
            $this->makeRoom();
            if (! ZipDirectory::isZip(substr($bytes, 0, 4))) {
                throw ArchiveRefused::because($this->name, 'is no zip archive');
            }
            Storage::put($this->part, '');
        }
        if ($this->arrived() !== $at || $at + strlen($bytes) > $this->size) {
            throw ArchiveRefused::because($this->name, 'did not arrive in its turn. Send it once more');
        }
        $written = file_put_contents(Storage::path($this->part), $bytes, FILE_APPEND);
        if ($written !== strlen($bytes)) {
            $this->remove();
            throw ArchiveRefused::because($this->name, 'could not be kept: there is no room left on this machine');
        }
    }

    /** What nobody goes on with is forgotten, and of one person all but the newest. */
    private function makeRoom(): void
    {
        $own = [];
        foreach (Storage::files(self::PARTS) as $part) {
            $moved = Storage::lastModified($part);
            if ($moved < time() - self::WAITED) {
                Storage::delete($part);
            } elseif (str_starts_with($part, $this->owner)) {
                $own[$part] = $moved;
            }
        }
        arsort($own);
        Storage::delete(array_keys(array_slice($own, self::MOST_PARTS - 1)));
        $free = @disk_free_space(Storage::path(''));
        if ($free !== false && $free < $this->size + self::FREE) {
            throw ArchiveRefused::because($this->name, 'cannot be kept: there is too little room left on this machine');
        }
    }

    public function isWhole(): bool
    {
        return $this->arrived() === $this->size;
    }

    /**
     * Keeps it with its deliverable, in the place of older ones.
     *
     * @return string the file in the storage
     *
     * @throws PlainSentence where it cannot be looked into
     */
    public function keep(): string
    {
        // what cannot be opened is told at once
        ZipListing::of(FileSource::open(Storage::path($this->part)), $this->name)->root();
        $folder = self::PLACE."/{$this->deliverable->id}";
        $kept = "{$folder}/".bin2hex(random_bytes(12)).'.zip';
        Storage::makeDirectory($folder);
        Storage::move($this->part, $kept);
        $used = Delivery::query()->where('deliverable_id', $this->deliverable->id)->whereNotNull('archive')
            ->latest('id')
            ->limit(self::KEPT - 1)
            ->pluck('archive')
            ->all();
        foreach (Storage::files($folder) as $file) {
            if ($file !== $kept && ! in_array($file, $used, true)) {
                Storage::delete($file);
            }
        }

        return $kept;
    }

    public function remove(): void
    {
        Storage::delete($this->part);
    }

    /** What was handed in of a deliverable that is not there any more. */
    public static function forget(int $deliverable): void
    {
        Storage::deleteDirectory(self::PLACE."/{$deliverable}");
    }
}
