<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/**
 * A regular file on this machine, opened once and closed with the object. What it is, is asked of what was opened and
 * not of the path, which may lead elsewhere by then; and a pipe is opened without waiting for whoever writes to it.
 */
final class FileSource implements ByteSource
{
    /** Read, byte by byte, without blocking. */
    private const MODE = 'rbn';

    private const FOLDER = 'this is a folder, not a file';

    /** @var resource|null */
    private $handle;

    private int $at = 0;

    /** @param  resource  $handle */
    private function __construct($handle, private readonly int $size, private readonly string $path)
    {
        $this->handle = $handle;
    }

    /**
     * A file that somebody named, wherever its path leads.
     *
     * @throws SourceUnreadable if it is no regular file or may not be read
     */
    public static function open(string $path): self
    {
        $handle = self::handle($path);

        return new self($handle, self::stat($handle, $path)['size'], $path);
    }

    /**
     * A file that a folder was seen to hold: the very same, unchanged, and no link. Scans open millions, so the numbers
     * are compared as they come.
     *
     * @param  string  $path  below a folder whose real place this is
     * @param  int  $size  bytes
     * @param  int  $modified  seconds since 1970
     * @param  int  $identity  as `FileState` tells it
     *
     * @throws SourceUnreadable also if it is another by now, or has been changed
     */
    public static function listed(string $path, int $size, int $modified, int $identity): self
    {
        $handle = self::handle($path);
        $stat = self::stat($handle, $path);
        $isSame = $stat['size'] === $size && $stat['mtime'] === $modified;
        if (
            ! $isSame
            || (FileState::identity($stat) !== $identity && ! self::liesAt($path, FileState::identity($stat)))
        ) {
            throw SourceUnreadable::changed($path);
        }

        return new self($handle, $size, $path);
    }

    /** @return resource */
    private static function handle(string $path)
    {
        $handle = str_contains($path, "\0") ? false : @fopen($path, self::MODE);
        if ($handle === false) {
            throw SourceUnreadable::file($path, self::whyNot($path));
        }
        stream_set_read_buffer($handle, 0);

        return $handle;
    }

    /**
     * @param  resource  $handle
     * @return array<array-key, int>
     */
    private static function stat($handle, string $path): array
    {
        $stat = fstat($handle);
        if ($stat === false || ($stat['mode'] & FileState::TYPE) !== FileState::REGULAR) {
            fclose($handle);
            $isFolder = $stat !== false && ($stat['mode'] & FileState::TYPE) === FileState::FOLDER;
            throw SourceUnreadable::file($path, $isFolder ? self::FOLDER : 'it is no regular file');
        }

        return $stat;
    }

    private static function whyNot(string $path): string
    {
        $state = str_contains($path, "\0") ? null : FileState::at($path);

        return match (true) {
            $state === null => 'there is no such file',
            $state->isFolder() => self::FOLDER,
            ! $state->isRegular() && ! $state->isLink() => 'it is no regular file',
            $state->isLink() => 'it is a link that cannot be followed',
            default => 'permission is missing',
        };
    }

    /** Where a file system numbers its files anew each time: whether what was opened lies at its path, by no link. */
    private static function liesAt(string $path, int $opened): bool
    {
        clearstatcache(true);
        $there = FileState::at($path);

        return $there !== null && $there->isRegular() && $there->identity === $opened && realpath($path) === $path;
    }

    public function size(): int
    {
        return $this->size;
    }

    public function read(int $offset, int $length): string
    {
        if ($this->handle === null || $length <= 0 || $offset < 0 || $offset >= $this->size) {
            return '';
        }
        if ($offset !== $this->at && fseek($this->handle, $offset) !== 0) {
            throw SourceUnreadable::file($this->path, 'it broke off while being read');
        }
        // never more than there is, so that a whole read is one call
        $length = min($length, $this->size - $offset);
        $bytes = '';
        while ($length > 0) {
            $more = @fread($this->handle, min($length, 1 << 20));
            if ($more === false) {
                throw SourceUnreadable::file($this->path, 'it broke off while being read');
            }
            if ($more === '') {
                break;
            }
            $bytes .= $more;
            $length -= strlen($more);
        }
        $this->at = $offset + strlen($bytes);

        return $bytes;
    }

    public function __destruct()
    {
        if ($this->handle !== null) {
            fclose($this->handle);
            $this->handle = null;
        }
    }
}
