<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\ByteOrder;

/**
 * Has the same pictures of a movie stand for another time each (ISO/IEC 14496-12, 8.4.2, 8.6): its clock, what it says
 * of them in that clock, and how long all of it lasts. Only where each stands for the very same time, and nothing else
 * runs beside them.
 */
final readonly class RateTag
{
    /** Ticks a second that a clock has at least. */
    private const LEAST_TICKS = 10_000;

    private const MOST = 0xFFFFFFFF;

    private function __construct(private int $was, private int $is, private FrameRate $from, private FrameRate $to) {}

    /** @throws TagRefused */
    public static function write(BoxNode $movie, BoxNode $pictures, FrameRate $from, FrameRate $to): void
    {
        if (count($movie->allOf('trak')) > 1) {
            throw TagRefused::because('', 'sound or a timecode runs beside the pictures and would part from them');
        }
        [$over, $under] = [$to->value->getNumerator()->toInt(), $to->value->getDenominator()->toInt()];
        for ($each = 1; $each * $over < self::LEAST_TICKS; $each *= 2) {
            continue;
        }
        $table = $pictures->find('mdia', 'minf', 'stbl');
        $was = self::lasting($table?->find('stts')->data ?? '');
        if ($over * $each > self::MOST || $table === null) {
            throw TagRefused::because('', "its clock cannot tell {$to}");
        }
        (new self($was, $under * $each, $from, $to))->rewrite($movie, $pictures, $table, $over * $each);
    }

    /** @throws TagRefused */
    private function rewrite(BoxNode $movie, BoxNode $pictures, BoxNode $table, int $ticks): void
    {
        $this->everySecondOf($table->find('stts'));
        $this->everySecondOf($table->find('ctts'));
        $this->media($pictures->find('mdia', 'mdhd'), $ticks);
        $this->lasts($movie->find('mvhd'), 24, 16);
        $this->lasts($pictures->find('tkhd'), 28, 20);
        $edits = $pictures->find('edts');
        if ($edits !== null) {
            $edits->data = implode('', array_map(
                fn (BoxNode $each): string => $this->edited($each)->write(),
                BoxNode::all($edits->data),
            ));
        }
    }

    /**
     * How many ticks each picture stands for.
     *
     * @throws TagRefused where they do not all stand for as many
     */
    private static function lasting(string $stts): int
    {
        /** @var array<int, int> $fields */
        $fields = strlen($stts) < 16 ? [] : unpack('N*', $stts, 8);
        $lasts = [];
        for ($i = 2, $many = count($fields); $i <= $many; $i += 2) {
            $lasts[$fields[$i]] = true;
        }
        $each = array_key_first($lasts);

        return count($lasts) === 1 && $each > 0
            ? $each
            : throw TagRefused::because('', 'its pictures do not all stand for the same time');
    }

    /** Of a table of pairs the second of each, in the new clock. */
    private function everySecondOf(?BoxNode $table): void
    {
        if ($table === null || strlen($table->data) < 8) {
            return;
        }
        /** @var array<int, int> $fields */
        $fields = strlen($table->data) < 12 ? [] : unpack('N*', $table->data, 8);
        $isSigned = ord($table->data[0]) === 1;
        $data = substr($table->data, 0, 8);
        foreach ($fields as $i => $field) {
            $own = $isSigned && $field > 0x7FFFFFFF ? $field - self::MOST - 1 : $field;
            $data .= pack('N', $i % 2 === 1 ? $field : $this->ticks($own) & self::MOST);
        }
        $table->data = $data;
    }

    /** @throws TagRefused where that is no whole number of pictures */
    private function ticks(int $before): int
    {
        return $before % $this->was === 0
            ? intdiv($before, $this->was) * $this->is
            : throw TagRefused::because('', 'its clock does not count in whole pictures');
    }

    /** @throws TagRefused */
    private function media(?BoxNode $head, int $ticks): void
    {
        $isWide = ord($head->data[0] ?? "\0") === 1;
        if ($head === null || strlen($head->data) < ($isWide ? 32 : 20)) {
            throw TagRefused::because('', 'its index has no head');
        }
        $at = $isWide ? 20 : 12;
        $lasts = $isWide ? ByteOrder::Big->u64($head->data, 24) : ByteOrder::Big->u32($head->data, 16);
        $now = $this->ticks($lasts - $lasts % $this->was);
        $head->data = substr_replace($head->data, pack('N', $ticks), $at, 4);
        $head->data = substr_replace($head->data, pack($isWide ? 'J' : 'N', $now), $at + 4, $isWide ? 8 : 4);
    }

    /** A length in the movie's own clock, which stays. */
    private function lasts(?BoxNode $head, int $wideAt, int $at): void
    {
        $isWide = ord($head->data[0] ?? "\0") === 1;
        if ($head === null || strlen($head->data) < ($isWide ? $wideAt + 8 : $at + 4)) {
            return;
        }
        $was = $isWide ? ByteOrder::Big->u64($head->data, $wideAt) : ByteOrder::Big->u32($head->data, $at);
        $head->data = substr_replace(
            $head->data,
            pack($isWide ? 'J' : 'N', $this->length($was)),
            $isWide ? $wideAt : $at,
            $isWide ? 8 : 4,
        );
    }

    /** Rounded up, so that no picture is cut off. */
    private function length(int $before): int
    {
        $exact = $this->from->value->multipliedBy($before)->dividedBy($this->to->value);

        return $exact->toScale(0, RoundingMode::CEILING)->toInt();
    }

    private function edited(BoxNode $list): BoxNode
    {
        $isWide = ord($list->data[0] ?? "\0") === 1;
        $each = $isWide ? 20 : 12;
        $data = substr($list->data, 0, 8);
        for ($at = 8; $list->type === 'elst' && $at + $each <= strlen($list->data); $at += $each) {
            /** @var array{lasts: int, from: int} $row */
            $row = unpack($isWide ? 'Jlasts/Jfrom' : 'Nlasts/Nfrom', $list->data, $at);
            // one that begins at −1 shows nothing for a while
            $isEmpty = $row['from'] === ($isWide ? -1 : self::MOST);
            $data .= pack(
                $isWide ? 'JJ' : 'NN',
                $this->length($row['lasts']),
                $isEmpty ? $row['from'] : $this->ticks($row['from']),
            ).substr($list->data, $at + $each - 4, 4);
        }

        return $list->type === 'elst' ? BoxNode::of('elst', $data) : $list;
    }
}
