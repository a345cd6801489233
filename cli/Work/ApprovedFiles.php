<?php

declare(strict_types=1);

namespace PlainLedger\Cli\Work;

use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Media\ApprovedComparison;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Pixels;
use PlainLedger\Core\Media\SourceUnreadable;

/** Approved pictures, from where they lie. */
final readonly class ApprovedFiles
{
    /**
     * @param  array<int, array{folder: string, name: string}>  $places  by frame
     * @param  list<int>|null  $frames  for which there is one, also where its place is not known; null: those placed
     * @return array<int, Pixels|null> null where it cannot be read
     */
    public static function pictures(array $places, ?array $frames = null): array
    {
        $open = static function (string $frame) use ($places): ByteSource {
            $place = $places[(int) $frame] ?? throw SourceUnreadable::file($frame, 'there is no such file');
            $found = FolderListing::at($place['folder'])->find($place['name'])
                ?? throw SourceUnreadable::file($place['name'], 'there is no such file');

            return FolderListing::at($place['folder'])->open($found);
        };
        $paths = [];
        foreach ($frames ?? array_keys($places) as $frame) {
            $paths[$frame] = (string) $frame;
        }

        return ApprovedComparison::pictures($paths, $open);
    }
}
