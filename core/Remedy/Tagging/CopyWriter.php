<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SourceUnreadable;

/** Writes copies below a folder. None takes a place before it was read again and says what it should. */
final readonly class CopyWriter
{
    private const PART = '.being-written';

    public function __construct(private string $into) {}

    /**
     * @param  string  $path  of the copy, below the folder; nothing may be there
     *
     * @throws TagRefused
     */
    public function write(ByteSource $source, string $path, Tags $tags): void
    {
        $target = $this->place($path);
        $part = $target.self::PART;
        try {
            $before = Probe::exact()->read($source);
            self::fill($part, TaggedCopy::of($source, $before, $tags));
            $this->expectRight($part, $before, $tags);
            // a link cannot be made over a file that has come meanwhile
            if (! @link($part, $target)) {
                throw TagRefused::because('', 'its copy could not be put in its place');
            }
        } catch (TagRefused|SourceUnreadable $refused) {
            throw TagRefused::because($path, $refused->reason(), $refused);
        } finally {
            is_file($part) && unlink($part);
        }
    }

    /** @throws TagRefused */
    private function place(string $path): string
    {
        $names = explode('/', $path);
        if ($path === '' || str_contains($path, "\0") || array_intersect($names, ['', '.', '..']) !== []) {
            throw TagRefused::because($path, 'leads elsewhere');
        }
        $target = "{$this->into}/{$path}";
        if (file_exists($target) || is_link($target) || file_exists($target.self::PART)) {
            throw TagRefused::because($path, 'is there already, and nothing is written over');
        }
        $folder = dirname($target);
        if (! is_dir($folder) && ! @mkdir($folder, 0o777, true) && ! is_dir($folder)) {
            throw TagRefused::because($path, 'has no folder that could be made');
        }

        return $target;
    }

    /**
     * @param  iterable<string>  $pieces
     *
     * @throws TagRefused
     */
    private static function fill(string $part, iterable $pieces): void
    {
        $out = @fopen($part, 'xb');
        if ($out === false) {
            throw TagRefused::because('', 'its copy could not be begun: permission is missing');
        }
        try {
            foreach ($pieces as $piece) {
                if (@fwrite($out, $piece) !== strlen($piece)) {
                    throw TagRefused::because('', 'its copy could not be written: the disk may be full');
                }
            }
            if (! fflush($out) || ! fsync($out)) {
                throw TagRefused::because('', 'its copy could not be written: the disk may be full');
            }
        } finally {
            fclose($out);
        }
    }

    /** @throws TagRefused */
    private function expectRight(string $part, MediaFacts $before, Tags $tags): void
    {
        $after = Probe::exact()->read(FileSource::open($part));
        $faults = TaggedCopy::faults($after, $before, $tags);
        if ($faults !== []) {
            throw TagRefused::because('', 'the copy does not tell the '.implode(', ', $faults).' as it should');
        }
    }
}
