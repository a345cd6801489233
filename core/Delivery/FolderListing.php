<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileSource;

/** A folder on this machine, walked with everything below it. Links are followed only to files inside it. */
final readonly class FolderListing implements Listing
{
    private const DEEPEST = 40;

    private const ROOT_WORDS = 4;

    private function __construct(private string $root) {}

    /** @throws FolderRefused */
    public static function of(string $path): self
    {
        $root = str_contains($path, "\0") ? false : realpath($path);
        if ($root === false) {
            throw FolderRefused::because($path, 'is not there');
        }
        if (! is_dir($root)) {
            throw FolderRefused::because($path, 'is a file, not a folder');
        }
        if (! is_readable($root)) {
            throw FolderRefused::because($path, 'may not be read: permission is missing');
        }

        return new self($root);
    }

    public function root(): string
    {
        return implode('/', array_slice(explode('/', trim($this->root, '/')), -self::ROOT_WORDS));
    }

    public function files(): iterable
    {
        return $this->walk('', 0);
    }

    /** @return \Generator<int, ListedFile> */
    private function walk(string $folder, int $deep): \Generator
    {
        $path = $folder === '' ? $this->root : "{$this->root}/{$folder}";
        $handle = @opendir($path);
        if ($handle === false) {
            if ($folder === '') {
                throw FolderRefused::because($this->root, file_exists($path) ? 'may not be read: permission is missing' : 'is gone');
            }
            $up = dirname($folder);
            yield new ListedFile($up === '.' ? '' : $up, basename($folder), 0, 0, 'this folder may not be read');

            return;
        }
        $below = [];
        while (($name = readdir($handle)) !== false) {
            if ($name === '.' || $name === '..') {
                continue;
            }
            $state = @lstat("{$path}/{$name}");
            if ($state === false) {
                continue;
            }
            $type = $state['mode'] & 0170000;
            if ($type === 0100000) {
                yield new ListedFile($folder, $name, $state['size'], $state['mtime']);
            } elseif ($type === 0040000) {
                $below[] = $name;
            } elseif ($type === 0120000) {
                yield $this->link($folder, $name, "{$path}/{$name}");
            } else {
                yield new ListedFile($folder, $name, 0, $state['mtime'], 'it is no regular file');
            }
        }
        closedir($handle);
        sort($below);
        foreach ($below as $name) {
            $next = $folder === '' ? $name : "{$folder}/{$name}";
            if ($deep >= self::DEEPEST) {
                yield new ListedFile($folder, $name, 0, 0, 'folders are followed '.self::DEEPEST.' deep');
            } else {
                yield from $this->walk($next, $deep + 1);
            }
        }
    }

    private function link(string $folder, string $name, string $path): ListedFile
    {
        $target = @realpath($path);
        $refused = match (true) {
            $target === false => 'it is a link that leads nowhere',
            $target !== $this->root && ! str_starts_with($target, "{$this->root}/") => 'it is a link that leads out of the folder, and is not followed',
            ! is_file($target) => 'it is a link to a folder, and is not followed',
            default => null,
        };
        $state = $refused === null ? @stat($path) : false;

        return new ListedFile($folder, $name, $state === false ? 0 : $state['size'], $state === false ? 0 : $state['mtime'], $refused);
    }

    public function open(string $folder, string $name, int $size): ByteSource
    {
        return FileSource::open($folder === '' ? "{$this->root}/{$name}" : "{$this->root}/{$folder}/{$name}", $size);
    }
}
