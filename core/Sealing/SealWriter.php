<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

/** Writes lists of sums beside the files they are of. None is seen half written, and none is written through a link. */
final readonly class SealWriter
{
    private const PART = '.being-written';

    /** @param  string  $folder  an existing one */
    public function __construct(private string $folder) {}

    /**
     * @param  string  $path  below the folder
     * @param  iterable<string>  $pieces
     *
     * @throws SealRefused
     */
    public function write(string $path, iterable $pieces, bool $mayReplace = false): void
    {
        $target = "{$this->folder}/{$path}";
        $this->makeFolder($path, dirname($target));
        if (is_link($target) || (! $mayReplace && file_exists($target))) {
            throw SealRefused::because($path, 'is there already, and nothing is written over');
        }
        $part = $target.self::PART;
        // whatever an earlier try left
        is_file($part) && ! is_link($part) && @unlink($part);
        try {
            self::fill($path, $part, $pieces);
            if (! @rename($part, $target)) {
                throw SealRefused::because($path, 'could not be put in its place');
            }
        } finally {
            is_file($part) && @unlink($part);
        }
    }

    /** @throws SealRefused */
    private function makeFolder(string $path, string $folder): void
    {
        if (is_link($folder) && $folder !== $this->folder) {
            throw SealRefused::because(dirname($path), 'is a link, and nothing is written through links');
        }
        if (! is_dir($folder) && ! @mkdir($folder) && ! is_dir($folder)) {
            throw SealRefused::because(dirname($path), 'could not be made: permission is missing');
        }
    }

    /**
     * @param  iterable<string>  $pieces
     *
     * @throws SealRefused
     */
    private static function fill(string $path, string $part, iterable $pieces): void
    {
        $out = @fopen($part, 'xb');
        if ($out === false) {
            throw SealRefused::because($path, 'could not be written: permission is missing');
        }
        try {
            foreach ($pieces as $piece) {
                if (@fwrite($out, $piece) !== strlen($piece)) {
                    throw SealRefused::because($path, 'could not be written: the disk may be full');
                }
            }
            if (! fflush($out) || ! fsync($out)) {
                throw SealRefused::because($path, 'could not be written: the disk may be full');
            }
        } finally {
            fclose($out);
        }
    }
}
