<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\FileState;

/** A folder on this machine, walked with everything below it. Links are not followed. */
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

    /**
     * @param  string  $path  the real place of a folder that was chosen before; if it is another by then, it is
     *   refused when it is opened
     */
    public static function at(string $path): self
    {
        return new self($path);
    }

    public function root(): string
    {
        return implode('/', array_slice(explode('/', trim($this->root, '/')), -self::ROOT_WORDS));
    }

    public function mayGrow(): bool
    {
        return true;
    }

    public function files(): iterable
    {
        return $this->walk('', 0);
    }

    /** @return \Generator<int, ListedFile> */
    private function walk(string $folder, int $deep): \Generator
    {
        $pinned = PinnedFolder::at($this->pathOf($folder));
        if ($pinned === null) {
            yield $this->closed($folder);

            return;
        }
        $below = [];
        foreach ($pinned->stats() as $stats) {
            foreach ($stats as $name => $stat) {
                $type = $stat['mode'] & FileState::TYPE;
                if ($type === FileState::REGULAR) {
                    yield new ListedFile(
                        $folder,
                        (string) $name,
                        $stat['size'],
                        $stat['mtime'],
                        null,
                        FileState::identity($stat),
                    );
                } elseif ($type === FileState::FOLDER) {
                    array_push($below, ...((string) $name === SetAside::FOLDER ? [] : [(string) $name]));
                } else {
                    yield $this->listed($folder, (string) $name, FileState::of($stat));
                }
            }
        }
        // closed before those below it are opened: a deep tree holds one at a time
        unset($pinned);
        sort($below);
        foreach ($below as $name) {
            if ($deep >= self::DEEPEST) {
                yield new ListedFile($folder, $name, 0, 0, 'folders are followed '.self::DEEPEST.' deep');
            } else {
                yield from $this->walk($folder === '' ? $name : "{$folder}/{$name}", $deep + 1);
            }
        }
    }

    private function pathOf(string $folder): string
    {
        return $folder === '' ? $this->root : rtrim($this->root, '/')."/{$folder}";
    }

    /** @throws FolderRefused where it is the whole delivery */
    private function closed(string $folder): ListedFile
    {
        clearstatcache(true);
        $there = realpath($this->pathOf($folder)) === $this->pathOf($folder);
        if ($folder === '') {
            throw FolderRefused::because(
                $this->root,
                $there ? 'may not be read: permission is missing' : 'is gone, or was moved',
            );
        }
        $up = dirname($folder);
        $why = $there ? 'this folder may not be read' : 'this folder was changed while it was looked at';

        return new ListedFile($up === '.' ? '' : $up, basename($folder), 0, 0, $why);
    }

    private function listed(string $folder, string $name, FileState $state): ListedFile
    {
        $why = match (true) {
            // where it leads is nobody's business here, not even whether that exists
            $state->isLink() => 'it is a link, and links are not followed',
            ! $state->isRegular() => 'it is no regular file',
            default => null,
        };

        return new ListedFile(
            $folder,
            $name,
            $why === null ? $state->size : 0,
            $state->modified,
            $why,
            $state->identity,
        );
    }

    public function open(ListedFile $file): ByteSource
    {
        return FileSource::listed($this->pathOf($file->path()), $file->size, $file->modified, $file->identity);
    }

    public function again(ListedFile $file): ListedFile
    {
        clearstatcache(true);
        $state = PinnedFolder::at($this->pathOf($file->folder))?->state($file->name);

        return $state === null
            ? new ListedFile($file->folder, $file->name, 0, $file->modified, 'it is gone')
            : $this->listed($file->folder, $file->name, $state);
    }

    /** A file of the folder itself, by its name; null where there is none of that name that may be opened. */
    public function find(string $name): ?ListedFile
    {
        $found = $this->again(new ListedFile('', $name, 0, 0));

        return $found->refused === null ? $found : null;
    }
}
