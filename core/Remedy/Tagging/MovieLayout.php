<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Readers\Boxes\Box;
use PlainLedger\Core\Media\Readers\Boxes\Boxes;

/** The boxes of a movie's file in their order, and where each lies once the index has changed its place or its size. */
final readonly class MovieLayout
{
    private const LARGEST_INDEX = 64 << 20;

    /** What holds places of its own, so that nothing in the file may be moved. */
    private const FIXED = ['moof', 'mfra', 'sidx', 'meta', 'ssix'];

    private const FILLING = ['free', 'skip', 'wide'];

    /** @param  list<Box>  $boxes  all but the index */
    private function __construct(public array $boxes, public Box $index, public bool $isIndexFirst) {}

    /** @throws TagRefused */
    public static function of(ByteSource $source): self
    {
        [$boxes, $index, $isFirst] = [[], null, true];
        try {
            foreach (Boxes::in(FileEnds::of($source), 0, $source->size()) as $box) {
                if ($box->end > $source->size() || in_array($box->type, self::FIXED, true)) {
                    throw TagRefused::because('', $box->end > $source->size()
                        ? 'it is cut short'
                        : 'it is written in pieces with places of their own');
                }
                if ($box->type !== 'moov') {
                    $boxes[] = $box;
                    $isFirst = $isFirst && ($index !== null || $box->type !== 'mdat');

                    continue;
                }
                $index = $index === null ? $box : throw TagRefused::because('', 'it has two indexes');
            }
        } catch (FileDamaged $damaged) {
            throw TagRefused::because('', $damaged->reason, $damaged);
        }
        if ($index === null || $index->length() > self::LARGEST_INDEX) {
            throw TagRefused::because('', $index === null ? 'it has no index' : 'its index is too large');
        }

        return new self($boxes, $index, $isFirst);
    }

    /**
     * What stands in the copy: boxes as they are, and null in the index's place.
     *
     * @return list<Box|null>
     */
    public function order(bool $indexFirst): array
    {
        $before = [];
        $after = [];
        foreach ($this->boxes as $box) {
            // what only fills room is not needed; but in its own place what stands behind an index keeps its
            if (in_array($box->type, self::FILLING, true)) {
                continue;
            }
            $isBefore = $indexFirst ? $box->type === 'ftyp' : $box->start < $this->index->start;
            $isBefore ? $before[] = $box : $after[] = $box;
        }

        return [...$before, null, ...$after];
    }
}
