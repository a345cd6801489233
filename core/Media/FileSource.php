<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** A regular file on this machine, opened once and closed with the object. */
final class FileSource implements ByteSource
{
    /** @var resource|null */
    private $handle;

    private int $at = 0;

    /** @param  resource  $handle */
    private function __construct($handle, private readonly int $size, private readonly string $path)
    {
        $this->handle = $handle;
    }

    /**
     * @param  int|null  $size  as already known from the listing
     *
     * @throws SourceGone if it is no regular file or may not be read
     */
    public static function open(string $path, ?int $size = null): self
    {
        if ($size === null && ! is_file($path)) {
            throw SourceGone::file($path, file_exists($path) ? 'it is not a file' : 'it is not there');
        }
        $handle = @fopen($path, 'rb');
        if ($handle === false) {
            throw SourceGone::file($path, file_exists($path) ? 'permission is missing' : 'it is gone');
        }
        stream_set_read_buffer($handle, 0);

        return new self($handle, $size ?? (int) (fstat($handle)['size'] ?? 0), $path);
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
            throw SourceGone::file($this->path, 'it broke off while being read');
        }
        // never more than there is, so that a whole read is one call
        $length = min($length, $this->size - $offset);
        $bytes = '';
        while ($length > 0) {
            $more = @fread($this->handle, min($length, 1 << 20));
            if ($more === false) {
                throw SourceGone::file($this->path, 'it broke off while being read');
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
