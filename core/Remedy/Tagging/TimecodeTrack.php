<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Timecode;
use PlainLedger\Core\Media\ByteOrder;

/** A track with one time address, at which a movie begins (timecode media of the movie file format). */
final readonly class TimecodeTrack
{
    private const UNITY = "\0\1\0\0\0\0\0\0\0\0\0\0\0\0\0\0\0\1\0\0\0\0\0\0\0\0\0\0\0\0\0\0\x40\0\0\0";

    private const DROPS = 1;

    private const WRAPS_AT_A_DAY = 2;

    private const TIMECODE = 'tmcd';

    /**
     * Takes out what is there of them, and adds one for the track of the pictures.
     *
     * @return string what its only sample holds
     *
     * @throws TagRefused
     */
    public static function add(BoxNode $movie, BoxNode $pictures, string $text, FrameRate $rate, int $count): string
    {
        try {
            $timecode = Timecode::parse($text, $rate);
        } catch (NotUnderstood $not) {
            throw TagRefused::because('', "{$text} is no timecode at {$rate}", $not);
        }
        $header = $movie->find('mvhd') ?? throw TagRefused::because('', 'its index has no head');
        $movie->children = array_values(array_filter(
            $movie->children ?? [],
            static fn (BoxNode $box): bool => ! self::isOne($box),
        ));
        $id = max(1, ByteOrder::Big->u32(substr($header->data, -4)));
        $header->data = substr($header->data, 0, -4).pack('N', $id + 1);
        $pictures->put(BoxNode::holding('tref', BoxNode::of(self::TIMECODE, pack('N', $id))));
        $movie->add(self::track($id, $timecode, $rate, $count, self::shown($pictures)));

        return pack('N', $timecode->frames);
    }

    public static function isOne(BoxNode $box): bool
    {
        return $box->type === 'trak' && substr($box->find('mdia', 'hdlr')->data ?? '', 8, 4) === self::TIMECODE;
    }

    /** How long the pictures are shown, in the movie's own units, as their head tells it. */
    private static function shown(BoxNode $pictures): int
    {
        $head = $pictures->find('tkhd')->data ?? '';

        return ord($head[0] ?? "\0") === 1 ? ByteOrder::Big->u64($head, 28) : ByteOrder::Big->u32($head, 20);
    }

    private static function track(int $id, Timecode $timecode, FrameRate $rate, int $count, int $shown): BoxNode
    {
        [$scale, $each] = [$rate->value->getNumerator()->toInt(), $rate->value->getDenominator()->toInt()];
        $flags = self::WRAPS_AT_A_DAY | ($timecode->dropFrame ? self::DROPS : 0);
        $entry = str_repeat("\0", 6)."\0\1".pack('NNNN', 0, $flags, $scale, $each)
            .chr(min(255, $rate->nominalWhole()))."\0";
        $full = "\0\0\0\0";
        $name = pack('nnnn', 0, 0, 12, 0).str_repeat("\0", 6).str_repeat("\xFF", 6)."\0";

        return BoxNode::holding(
            'trak',
            BoxNode::of('tkhd', "\0\0\0\x0F".pack('NNNNN', 0, 0, $id, 0, min($shown, 0xFFFFFFFF))
                .str_repeat("\0", 16).self::UNITY.pack('NN', 0, 0)),
            BoxNode::holding(
                'mdia',
                BoxNode::of('mdhd', $full.pack('NNNNnn', 0, 0, $scale, min($count * $each, 0xFFFFFFFF), 0x55C4, 0)),
                BoxNode::of('hdlr', $full.'mhlr'.self::TIMECODE.str_repeat("\0", 12)."\0"),
                BoxNode::holding(
                    'minf',
                    BoxNode::of('gmhd', BoxNode::of('gmin', $full.pack('nnnnnn', 0x40, 0x8000, 0x8000, 0x8000, 0, 0))
                        ->write().BoxNode::of(self::TIMECODE, BoxNode::of('tcmi', $full.$name)->write())->write()),
                    BoxNode::of('dinf', BoxNode::of('dref', $full.pack('N', 1)
                        .BoxNode::of('url ', "\0\0\0\1")->write())->write()),
                    BoxNode::holding(
                        'stbl',
                        BoxNode::of('stsd', $full.pack('N', 1).BoxNode::of(self::TIMECODE, $entry)->write()),
                        BoxNode::of('stts', $full.pack('NNN', 1, 1, min($count * $each, 0xFFFFFFFF))),
                        BoxNode::of('stsc', $full.pack('NNNN', 1, 1, 1, 1)),
                        BoxNode::of('stsz', $full.pack('NN', 4, 1)),
                        BoxNode::of('stco', $full.pack('NN', 1, 0)),
                    ),
                ),
            ),
        );
    }
}
