<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** What tells one file on a disk, as it stands, from another, or from itself a moment later. */
final readonly class FileState
{
    /**
     * The bits of a file's mode that tell its type, and what they are of regular files and of folders (POSIX
     * `sys/stat.h`).
     */
    public const TYPE = 0170000;

    public const REGULAR = 0100000;

    public const FOLDER = 0040000;

    private const LINK = 0120000;

    /**
     * @param  int  $size  bytes
     * @param  int  $modified  seconds since 1970, UTC
     * @param  int  $identity  device and number of the file on it, in one; 0 where that is not known
     */
    private function __construct(public int $size, public int $modified, public int $identity, private int $type) {}

    /** @param  array<array-key, int>  $stat  as `stat`, `lstat` or `fstat` give it */
    public static function of(array $stat): self
    {
        return new self($stat['size'], $stat['mtime'], self::identity($stat), $stat['mode'] & self::TYPE);
    }

    /**
     * One number keeps a million of them small; only a file of its own number and device has the same.
     *
     * @param  array<array-key, int>  $stat
     */
    public static function identity(array $stat): int
    {
        return $stat['ino'] ^ ($stat['dev'] << 44);
    }

    /** As it was told earlier: of a regular file. */
    public static function told(int $size, int $modified, int $identity = 0): self
    {
        return new self($size, $modified, $identity, self::REGULAR);
    }

    /** Of a path as it is itself, a link not followed; null where nothing is there. */
    public static function at(string $path): ?self
    {
        clearstatcache();
        $stat = @lstat($path);

        return $stat === false ? null : self::of($stat);
    }

    public function isRegular(): bool
    {
        return $this->type === self::REGULAR;
    }

    public function isFolder(): bool
    {
        return $this->type === self::FOLDER;
    }

    public function isLink(): bool
    {
        return $this->type === self::LINK;
    }

    public function isOfSameMoment(self $other): bool
    {
        return $this->size === $other->size && $this->modified === $other->modified;
    }
}
