<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Readers\Boxes\Box;

/**
 * A movie of boxes (MP4, MOV) with other tags: its index is written anew, with every place that it tells moved along;
 * what it indexes is taken over byte by byte.
 */
final readonly class MovieCopy
{
    private const PIECE = 1 << 20;

    private const PICTURES = 'vide';

    private const LEAD = 8;

    /**
     * @return \Generator<int, string> the bytes of the copy, piece by piece
     *
     * @throws TagRefused before the first piece, where it cannot be done
     */
    public static function of(ByteSource $source, MediaFacts $facts, Tags $tags): \Generator
    {
        $layout = MovieLayout::of($source);
        $index = BoxNode::all(
            $source->read($layout->index->start, $layout->index->end - $layout->index->start),
        )[0] ?? null;
        if ($index === null || $index->type !== 'moov') {
            throw TagRefused::because('', 'its index is not built as it should be');
        }
        $sample = self::tag($index, $facts, $tags);
        $order = $layout->order($tags->indexFirst || $layout->isIndexFirst);
        $bytes = self::moved($index, $order, $sample);

        return self::pieces($source, $order, $bytes, $sample);
    }

    /**
     * @return string the sample of a new track of time addresses; `""` where there is none
     *
     * @throws TagRefused
     */
    private static function tag(BoxNode $index, MediaFacts $facts, Tags $tags): string
    {
        $pictures = self::pictures($index);
        PictureEntry::tag($pictures, $tags, $facts->kind ?? Kind::Mp4);
        [$rate, $count] = [$facts->timing->rate, $facts->timing->frameCount];
        if ($tags->rate !== null && $rate !== null) {
            RateTag::write($index, $pictures, $rate, $tags->rate);
        }
        $rate = $tags->rate ?? $rate;
        if ($tags->timecode === null) {
            return '';
        }
        if ($rate === null || $count === null) {
            throw TagRefused::because('', 'its rate is not told, which a timecode takes');
        }

        return TimecodeTrack::add($index, $pictures, $tags->timecode, $rate, $count);
    }

    /** @throws TagRefused */
    private static function pictures(BoxNode $index): BoxNode
    {
        foreach ($index->allOf('trak') as $track) {
            if (substr($track->find('mdia', 'hdlr')->data ?? '', 8, 4) === self::PICTURES) {
                return $track;
            }
        }
        throw TagRefused::because('', 'it has no pictures');
    }

    /**
     * The index as it is written once everything lies where it will.
     *
     * @param  list<Box|null>  $order
     *
     * @throws TagRefused
     */
    private static function moved(BoxNode $index, array $order, string $sample): string
    {
        $tables = self::tables($index);
        $places = array_map(static fn (BoxNode $table): array => self::places($table), $tables);
        // wider places make a longer index, which moves all that is behind it
        for ($isWide = false; ; $isWide = true) {
            [$starts, $end] = self::starts($order, strlen($index->write()));
            $highest = 0;
            foreach ($tables as $at => $table) {
                $now = TimecodeTrack::isOne(self::trackOf($index, $table)) && $sample !== ''
                    ? [$end + self::LEAD]
                    : self::shifted($places[$at], $order, $starts);
                $highest = max($highest, ...[0, ...$now]);
                self::rewrite($index, $table, $now, $isWide);
            }
            [, $after] = self::starts($order, strlen($index->write()));
            if ($after === $end && ($isWide || $highest <= 0xFFFFFFFF)) {
                return $index->write();
            }
        }
    }

    /** @return list<BoxNode> of places, one a track */
    private static function tables(BoxNode $index): array
    {
        $tables = [];
        foreach ($index->allOf('trak') as $track) {
            $table = $track->find('mdia', 'minf', 'stbl');
            $tables = [...$tables, ...($table === null ? [] : [$table])];
        }

        return $tables;
    }

    /** @throws TagRefused */
    private static function trackOf(BoxNode $index, BoxNode $table): BoxNode
    {
        foreach ($index->allOf('trak') as $track) {
            if ($track->find('mdia', 'minf', 'stbl') === $table) {
                return $track;
            }
        }
        throw TagRefused::because('', 'its index is not built as it should be');
    }

    /**
     * @return list<int>
     *
     * @throws TagRefused
     */
    private static function places(BoxNode $table): array
    {
        $wide = $table->find('co64');
        $data = ($wide ?? $table->find('stco'))->data ?? '';
        $many = ByteOrder::Big->u32($data, 4);
        if (strlen($data) < 8 + $many * ($wide === null ? 4 : 8)) {
            throw TagRefused::because('', 'its index is cut short');
        }
        /** @var array<int, int> $places */
        $places = $many === 0 ? [] : unpack(($wide === null ? 'N' : 'J').$many, $data, 8);

        return array_values($places);
    }

    /**
     * Where each box begins in the copy, and where the last ends.
     *
     * @param  list<Box|null>  $order
     * @return array{list<int>, int}
     */
    private static function starts(array $order, int $index): array
    {
        [$starts, $at] = [[], 0];
        foreach ($order as $box) {
            $starts[] = $at;
            $at += $box === null ? $index : $box->end - $box->start;
        }

        return [$starts, $at];
    }

    /**
     * @param  list<int>  $places
     * @param  list<Box|null>  $order
     * @param  list<int>  $starts
     * @return list<int>
     *
     * @throws TagRefused where a place lies in nothing that is kept
     */
    private static function shifted(array $places, array $order, array $starts): array
    {
        $moved = [];
        [$box, $by] = [null, 0];
        foreach ($places as $place) {
            if ($box === null || $place < $box->start || $place >= $box->end) {
                [$box, $by] = self::holder($place, $order, $starts);
            }
            $moved[] = $place + $by;
        }

        return $moved;
    }

    /**
     * @param  list<Box|null>  $order
     * @param  list<int>  $starts
     * @return array{Box, int} and by how much it moves
     *
     * @throws TagRefused
     */
    private static function holder(int $place, array $order, array $starts): array
    {
        foreach ($order as $at => $box) {
            if ($box !== null && $place >= $box->start && $place < $box->end) {
                return [$box, $starts[$at] - $box->start];
            }
        }
        throw TagRefused::because('', 'its index points to where there is nothing');
    }

    /** @param  list<int>  $places */
    private static function rewrite(BoxNode $index, BoxNode $table, array $places, bool $isWide): void
    {
        $was = $table->find('co64') ?? $table->find('stco');
        if ($was === null) {
            return;
        }
        $wide = $isWide || $was->type === 'co64';
        $data = substr($was->data, 0, 4).pack('N', count($places));
        foreach (array_chunk($places, 8192) as $some) {
            $data .= $wide ? pack('J*', ...$some) : pack('N*', ...$some);
        }
        $new = BoxNode::of($wide ? 'co64' : 'stco', $data);
        $table->children = array_map(
            static fn (BoxNode $each): BoxNode => $each === $was ? $new : $each,
            $table->children ?? [],
        );
    }

    /**
     * @param  list<Box|null>  $order
     * @return \Generator<int, string>
     */
    private static function pieces(ByteSource $source, array $order, string $index, string $sample): \Generator
    {
        foreach ($order as $box) {
            if ($box === null) {
                yield $index;

                continue;
            }
            yield self::lead($source, $box);
            for ($at = $box->body; $at < $box->end; $at += self::PIECE) {
                yield $source->read($at, min(self::PIECE, $box->end - $at));
            }
        }
        if ($sample !== '') {
            yield BoxNode::of('mdat', $sample)->write();
        }
    }

    /**
     * Its length and type. One that says no length reaches to the end of the file, where it may not stand any more.
     *
     * @throws TagRefused
     */
    private static function lead(ByteSource $source, Box $box): string
    {
        $lead = $source->read($box->start, $box->body - $box->start);
        if (! str_starts_with($lead, "\0\0\0\0")) {
            return $lead;
        }

        return $box->end - $box->start <= 0xFFFFFFFF
            ? pack('N', $box->end - $box->start).substr($lead, 4)
            : throw TagRefused::because('', 'it has a box of no told length, which is too long');
    }
}
