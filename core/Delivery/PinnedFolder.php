<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\FileState;

/**
 * A folder held open, so that what is told of its files is told of that very folder, even where its path has come to
 * lead elsewhere meanwhile.
 */
final class PinnedFolder
{
    /** Where this process finds its open files, each as a link to its real place. */
    private const OPEN = '/proc/self/fd';

    /** Files that are asked of in one go. */
    private const TOGETHER = 500;

    /** @var resource|null */
    private $handle;

    /** @param  resource  $handle */
    private function __construct($handle, private readonly string $way)
    {
        $this->handle = $handle;
    }

    /** @param  string  $path  its real place; null where the folder may not be opened, or lies elsewhere by now */
    public static function at(string $path): ?self
    {
        $handle = @opendir($path);
        if ($handle === false) {
            return null;
        }
        $way = self::wayTo($path);
        if ($way === null) {
            closedir($handle);

            return null;
        }

        return new self($handle, $way);
    }

    private static function wayTo(string $path): ?string
    {
        $open = @scandir(self::OPEN);
        if ($open === false) {
            // a system without that place: the path itself, as far as it leads there by no link
            clearstatcache(true);

            return realpath($path) === $path ? $path : null;
        }
        foreach ($open as $number) {
            if (@readlink(self::OPEN."/{$number}") === $path) {
                return self::OPEN."/{$number}";
            }
        }

        return null;
    }

    /** @return \Generator<int, string> names of all that is in it, folders too */
    public function names(): \Generator
    {
        while ($this->handle !== null && ($name = readdir($this->handle)) !== false) {
            if ($name !== '.' && $name !== '..') {
                yield $name;
            }
        }
    }

    /** @return \Generator<array-key, FileState> of all that is in it, by name */
    public function states(): \Generator
    {
        foreach ($this->stats() as $stats) {
            foreach ($stats as $name => $stat) {
                yield $name => FileState::of($stat);
            }
        }
    }

    /**
     * The same as the system tells it, some hundreds at a time: from within the folder itself, which is the quickest
     * way to ask of many.
     *
     * @return \Generator<int, array<array-key, array<array-key, int>>> by name; a name that is a number becomes one
     */
    public function stats(): \Generator
    {
        $names = [];
        foreach ($this->names() as $name) {
            $names[] = $name;
            if (count($names) === self::TOGETHER) {
                yield $this->statsOf($names);
                $names = [];
            }
        }
        yield $this->statsOf($names);
    }

    /**
     * @param  list<string>  $names
     * @return array<array-key, array<array-key, int>>
     */
    private function statsOf(array $names): array
    {
        $stats = [];
        $before = getcwd();
        if ($names === [] || ! @chdir($this->way)) {
            return $stats;
        }
        try {
            clearstatcache(true);
            foreach ($names as $name) {
                $stat = @lstat($name);
                if ($stat !== false) {
                    $stats[$name] = $stat;
                }
            }
        } finally {
            chdir($before === false ? '/' : $before);
        }

        return $stats;
    }

    /** Null where nothing of that name is there. */
    public function state(string $name): ?FileState
    {
        $stat = $name === '' || str_contains($name, '/') || str_contains($name, "\0")
            ? false
            : @lstat("{$this->way}/{$name}");

        return $stat === false ? null : FileState::of($stat);
    }

    public function __destruct()
    {
        if ($this->handle !== null) {
            closedir($this->handle);
            $this->handle = null;
        }
    }
}
