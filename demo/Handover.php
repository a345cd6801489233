<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

/** Files that come otherwise than a render leaves them: several deliverables in one tree, and a learner's archive. */
final readonly class Handover
{
    /** Frames of the dome that were copied before somebody went home. */
    private const COPIED = 40;

    /** Frames that nobody asked for. */
    private const DAILIES = 12;

    /**
     * @param  string  $shots  where the shots were rendered to
     * @param  string  $to  a folder that is made anew
     */
    public static function tree(string $shots, string $to): void
    {
        self::copies("{$shots}/TC_STILL/v003", "{$to}/TC_STILL", PHP_INT_MAX);
        self::copies("{$shots}/TC_060/v003", "{$to}/TC_060/v003", self::COPIED);
        self::copies("{$shots}/TC_070/v003", "{$to}/TC_070/v003", PHP_INT_MAX);
        self::copies(
            "{$shots}/TC_060/v003",
            "{$to}/dailies",
            self::DAILIES,
            static fn (string $name): string => str_replace('TC_060_dome', 'dailies', $name),
        );
    }

    /** @param  (\Closure(string): string)|null  $called */
    private static function copies(string $from, string $to, int $most, ?\Closure $called = null): void
    {
        $files = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator($from, \FilesystemIterator::SKIP_DOTS),
        );
        $paths = array_map(strval(...), iterator_to_array($files, false));
        sort($paths);
        foreach (array_slice($paths, 0, $most) as $path) {
            $below = substr($path, strlen($from) + 1);
            $target = "{$to}/".($called === null ? $below : $called($below));
            is_dir(dirname($target)) || mkdir(dirname($target), 0o755, true);
            copy($path, $target);
            touch($target, (int) filemtime($path));
        }
    }

    /** A folder as a learner packs it. */
    public static function archive(string $from, string $to): void
    {
        $zip = new \ZipArchive;
        if ($zip->open($to, \ZipArchive::CREATE | \ZipArchive::OVERWRITE) !== true) {
            throw new \RuntimeException("“{$to}” could not be written.");
        }
        foreach (glob("{$from}/*") ?: [] as $path) {
            $name = basename($from).'/'.basename($path);
            $zip->addFile($path, $name);
            $zip->setMtimeName($name, (int) filemtime($path));
        }
        $zip->close();
    }
}
