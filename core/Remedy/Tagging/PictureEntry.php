<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\Kind;

/** The entry that describes a movie's pictures, with what stands in it (ISO/IEC 14496-12, 12.1). */
final readonly class PictureEntry
{
    /** Of the table: version, flags, count; then of the entry: length, type, and what all have. */
    private const BEFORE = 8;

    private const FIXED = 8 + 78;

    /** Code points by encoding (ITU-T H.273): primaries, transfer, matrix. */
    private const POINTS = [
        'rec709' => [1, 1, 1], 'srgb' => [1, 13, 1], 'rec601' => [6, 6, 6], 'rec2020' => [9, 14, 9],
        'rec2100-pq' => [9, 16, 9], 'rec2100-hlg' => [9, 18, 9], 'display-p3' => [12, 13, 1],
    ];

    private const MONO = 0;

    private const TOP_BOTTOM = 1;

    private const LEFT_RIGHT = 2;

    /** @throws TagRefused */
    public static function tag(BoxNode $track, Tags $tags, Kind $kind): void
    {
        $table = $track->find('mdia', 'minf', 'stbl', 'stsd');
        $bytes = $table->data ?? '';
        $length = ByteOrder::Big->u32($bytes, self::BEFORE);
        if ($table === null || $length < self::FIXED || strlen($bytes) < self::BEFORE + $length) {
            throw TagRefused::because('', 'its pictures are not described as they should be');
        }
        if (ByteOrder::Big->u32($bytes, 4) !== 1) {
            throw TagRefused::because('', 'its pictures are described in more than one way');
        }
        $entry = substr($bytes, self::BEFORE, $length);
        $inner = BoxNode::holding('    ', ...self::boxes($entry));
        self::pixels($inner, $track, $entry, $tags->pixelAspect);
        self::colour($inner, $tags->encoding, $kind);
        self::projection($inner, $entry, $tags->projection);
        $own = substr($entry, 8, self::FIXED - 8);
        $within = implode('', array_map(static fn (BoxNode $box): string => $box->write(), $inner->children ?? []));
        $new = pack('N', self::FIXED + strlen($within)).substr($entry, 4, 4).$own.$within;
        $table->data = substr($bytes, 0, self::BEFORE).$new.substr($bytes, self::BEFORE + $length);
    }

    /**
     * What some writers put behind the boxes is no box: it is left out only where it is nothing.
     *
     * @return list<BoxNode>
     *
     * @throws TagRefused
     */
    private static function boxes(string $entry): array
    {
        $within = substr($entry, self::FIXED);
        $rest = strlen($within) < 8 ? $within : '';

        return trim($rest, "\0") === '' ? BoxNode::all(self::withoutEnd($within)) : [];
    }

    /** Four empty bytes close the list in older files. */
    private static function withoutEnd(string $within): string
    {
        $at = 0;
        while ($at + 8 <= strlen($within) && ByteOrder::Big->u32($within, $at) >= 8) {
            $at += ByteOrder::Big->u32($within, $at);
        }

        return substr($within, 0, min($at, strlen($within)));
    }

    private static function pixels(BoxNode $inner, BoxNode $track, string $entry, ?BigRational $aspect): void
    {
        if ($aspect === null) {
            return;
        }
        $inner->put(BoxNode::of(
            'pasp',
            pack('NN', $aspect->getNumerator()->toInt(), $aspect->getDenominator()->toInt()),
        ));
        $header = $track->find('tkhd');
        if ($header !== null && strlen($header->data) >= 84) {
            // how large it is shown, in 16.16
            $width = $aspect->multipliedBy(ByteOrder::Big->u16($entry, 32))->multipliedBy(65536)
                ->toScale(0, RoundingMode::HALF_UP)
                ->toInt();
            $shown = pack('NN', $width, ByteOrder::Big->u16($entry, 34) << 16);
            $header->data = substr($header->data, 0, -8).$shown;
        }
    }

    /** @throws TagRefused */
    private static function colour(BoxNode $inner, ?string $encoding, Kind $kind): void
    {
        if ($encoding === null) {
            return;
        }
        $points = self::POINTS[$encoding]
            ?? throw TagRefused::because('', "{$encoding} has no code points that could be written");
        $before = $inner->find('colr')->data ?? '';
        $isTold = in_array(substr($before, 0, 4), ['nclx', 'nclc'], true);
        $range = str_starts_with($before, 'nclx') ? $before[10] ?? "\0" : "\0";
        if ($isTold) {
            // how colours were turned into luma and chroma is the pictures' own affair
            $points[2] = ByteOrder::Big->u16($before, 8);
        }
        $type = $kind === Kind::Mov ? 'nclc' : 'nclx';
        $inner->put(BoxNode::of('colr', $type.pack('nnn', ...$points).($type === 'nclx' ? $range : '')));
    }

    /** @throws TagRefused */
    private static function projection(BoxNode $inner, string $entry, ?string $projection): void
    {
        if ($projection === null) {
            return;
        }
        [$width, $height] = [ByteOrder::Big->u16($entry, 32), ByteOrder::Big->u16($entry, 34)];
        $mode = match (true) {
            $projection === 'lat-long' => self::MONO,
            $projection === 'lat-long stereo' && $width === $height => self::TOP_BOTTOM,
            $projection === 'lat-long stereo' && $width === 4 * $height => self::LEFT_RIGHT,
            default => throw TagRefused::because('', "{$projection} cannot be written for {$width} × {$height} pixels"),
        };
        $full = "\0\0\0\0";
        $inner->put(BoxNode::of('st3d', $full.chr($mode)));
        $inner->put(BoxNode::holding(
            'sv3d',
            BoxNode::of('svhd', "{$full}plain-ledger\0"),
            BoxNode::holding(
                'proj',
                BoxNode::of('prhd', $full.str_repeat("\0", 12)),
                BoxNode::of('equi', $full.str_repeat("\0", 16)),
            ),
        ));
    }
}
