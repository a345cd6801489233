<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\Picked\PickedListing;
use PlainLedger\Core\Delivery\Picked\PickedNames;
use PlainLedger\Core\Delivery\Picked\PickedScan;
use PlainLedger\Core\Delivery\Picked\Slices;
use PlainLedger\Core\Delivery\Picked\Wanted;
use PlainLedger\Core\Media\PixelSampler;

/** A folder of which only what is asked for is sent, as a browser does; all else is kept between any two sendings. */
final class OwnDisk
{
    /** How often something was sent. */
    public int $rounds = 0;

    /** Bytes that were sent. */
    public int $sent = 0;

    /** @var list<string> paths, in the order they were told */
    public readonly array $paths;

    private readonly string $names;

    /** @param  array<string, int>  $lies  sizes by path, where another is told */
    public function __construct(private readonly string $folder, private readonly array $lies = [])
    {
        $told = [];
        $files = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS),
        );
        /** @var \SplFileInfo $file */
        foreach ($files as $file) {
            $path = substr((string) $file, strlen($folder) + 1);
            $told[] = [$path, $lies[$path] ?? (int) $file->getSize(), (int) $file->getMTime() * 1000];
        }
        // a browser lists in whatever order it finds
        mt_srand(5);
        shuffle($told);
        $this->paths = array_column($told, 0);
        $this->names = (string) tempnam(sys_get_temp_dir(), 'pl-names');
        file_put_contents($this->names, PickedNames::lines($told, 0));
    }

    public function __destruct()
    {
        unlink($this->names);
    }

    public function scan(int $now, ?PixelSampler $sampler = null, bool $whole = false, bool $sums = false): Delivery
    {
        [$kept, $packed] = [null, ''];
        while (true) {
            $listing = new PickedListing(
                basename($this->folder),
                fn (): iterable => PickedNames::read($this->names),
                Slices::unpack($packed),
            );
            $scan = new PickedScan($listing, $sampler, $whole, $sums);
            $kept === null || $scan->resume($kept);
            if ($this->rounds > 0) {
                $this->answer($wanted ?? new Wanted, $listing);
            }
            $wanted = $scan->advance();
            if ($wanted->isNothing()) {
                return $scan->delivery($now);
            }
            $this->rounds++;
            $kept = json_decode((string) json_encode($scan->checkpoint(), JSON_THROW_ON_ERROR), true);
            $packed = $listing->slices->pack();
        }
    }

    private function answer(Wanted $wanted, PickedListing $listing): void
    {
        foreach ($wanted->ranges as $file => $ranges) {
            foreach ($ranges as [$offset, $length]) {
                $path = "{$this->folder}/{$this->paths[$file - 1]}";
                $bytes = (string) file_get_contents($path, offset: $offset, length: $length);
                if (strlen($bytes) < $length) {
                    $listing->lose($file, 'it was changed since it was looked at');
                }
                $this->sent += strlen($bytes);
                $listing->slices->add($file, $offset, $bytes);
            }
        }
        foreach ($wanted->sums as $file => $algorithm) {
            $listing->keepSum($file, (string) hash_file($algorithm, "{$this->folder}/{$this->paths[$file - 1]}"));
        }
    }
}
