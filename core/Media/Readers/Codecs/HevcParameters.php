<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\Movie\CodecFacts;
use PlainLedger\Core\Media\Movie\CodecShape;

/** The sequence parameter set of HEVC (ITU-T H.265, 7.3.2.2), and the record it is kept in (ISO/IEC 14496-15, 8.3). */
final readonly class HevcParameters
{
    private const PROFILES = [1 => 'Main', 2 => 'Main 10', 3 => 'Main Still Picture', 4 => 'Format range extensions'];

    private const CHROMA = ['4:0:0', '4:2:0', '4:2:2', '4:4:4'];

    private const SEQUENCE_SET = 33;

    private const FIRST_ARRAY = 22;

    /** Counts beyond these are none. */
    private const MOST = 64;

    /** @param  string  $record  of `hvcC`, or what a track keeps as private */
    public static function ofRecord(string $record): CodecFacts
    {
        if (strlen($record) <= self::FIRST_ARRAY) {
            return new CodecFacts;
        }
        $chroma = ord($record[16]) & 3;
        $told = new CodecFacts(
            self::PROFILES[ord($record[1]) & 31] ?? null,
            8 + (ord($record[17]) & 7),
            $chroma === 0 ? null : self::CHROMA[$chroma],
            $chroma === 0 ? ['Y'] : ['R', 'G', 'B'],
            self::scan(ord($record[6])),
        );
        $set = self::setIn($record);

        return $set === null ? $told : $told->or(self::ofSet($set));
    }

    /** Bits of the general constraints: made of whole frames, of fields (7.4.4). */
    private static function scan(int $flags): ?string
    {
        return match ($flags >> 6) {
            2 => 'progressive',
            1 => 'interlaced',
            default => null,
        };
    }

    private static function setIn(string $record): ?string
    {
        $at = self::FIRST_ARRAY + 1;
        for ($arrays = ord($record[self::FIRST_ARRAY]); $arrays > 0 && $at + 3 <= strlen($record); $arrays--) {
            $type = ord($record[$at]) & 63;
            $many = ByteOrder::Big->u16($record, $at + 1);
            $at += 3;
            for (; $many > 0 && $at + 2 <= strlen($record); $many--) {
                $length = ByteOrder::Big->u16($record, $at);
                if ($type === self::SEQUENCE_SET) {
                    return substr($record, $at + 2, $length);
                }
                $at += 2 + $length;
            }
        }

        return null;
    }

    /** @param  string  $stream  units parted by start codes (annex B) */
    public static function ofStream(string $stream): CodecFacts
    {
        foreach (preg_split('~\0\0\x01~', $stream) ?: [] as $unit) {
            if (strlen($unit) > 2 && (ord($unit[0]) >> 1 & 63) === self::SEQUENCE_SET) {
                return self::ofSet($unit);
            }
        }

        return new CodecFacts;
    }

    /** @param  string  $set  with its two leading bytes */
    public static function ofSet(string $set): CodecFacts
    {
        $bits = BitReader::ofUnit(substr($set, 2));
        $bits->skip(4);
        $layers = $bits->bits(3);
        $bits->skip(1);
        $profile = self::PROFILES[$bits->bits(8) & 31] ?? null;
        $bits->skip(32);
        $scan = self::scan($bits->bits(8));
        $bits->skip(48);
        self::skipSubLayers($bits, $layers);
        $bits->golomb();
        $chroma = $bits->golomb();
        if ($chroma === 3) {
            $bits->skip(1);
        }
        [$width, $height] = self::size($bits, $chroma);
        $depth = 8 + $bits->golomb();
        $usability = self::usability($bits, $layers);

        return new CodecFacts(
            $profile,
            $depth,
            $chroma === 0 ? null : self::CHROMA[$chroma] ?? null,
            $chroma === 0 ? ['Y'] : ['R', 'G', 'B'],
            $scan,
            $usability->codePoints,
            new CodecShape($width, $height, $usability->pixelAspect),
        );
    }

    private static function skipSubLayers(BitReader $bits, int $layers): void
    {
        $present = [];
        for ($i = 0; $i < $layers; $i++) {
            $present[] = [$bits->flag(), $bits->flag()];
        }
        if ($layers > 0) {
            $bits->skip(2 * (8 - $layers));
        }
        foreach ($present as [$profile, $level]) {
            $bits->skip(($profile ? 88 : 0) + ($level ? 8 : 0));
        }
    }

    /** @return array{int, int} */
    private static function size(BitReader $bits, int $chroma): array
    {
        [$width, $height] = [$bits->golomb(), $bits->golomb()];
        if ($bits->flag()) {
            $width -= ($chroma === 1 || $chroma === 2 ? 2 : 1) * ($bits->golomb() + $bits->golomb());
            $height -= ($chroma === 1 ? 2 : 1) * ($bits->golomb() + $bits->golomb());
        }

        return [max(0, $width), max(0, $height)];
    }

    private static function usability(BitReader $bits, int $layers): UsabilityInfo
    {
        $bits->golomb();
        $orderBits = 4 + $bits->golomb();
        for ($i = $bits->flag() ? 0 : $layers; $i <= $layers; $i++) {
            $bits->golomb();
            $bits->golomb();
            $bits->golomb();
        }
        for ($i = 0; $i < 6; $i++) {
            $bits->golomb();
        }
        if ($bits->flag() && $bits->flag()) {
            self::skipScaling($bits);
        }
        $bits->skip(2);
        if ($bits->flag()) {
            $bits->skip(8);
            $bits->golomb();
            $bits->golomb();
            $bits->skip(1);
        }
        self::skipReferences($bits);
        if ($bits->flag()) {
            for ($i = min(self::MOST, $bits->golomb()); $i > 0; $i--) {
                $bits->skip(min(16, $orderBits) + 1);
            }
        }
        $bits->skip(2);

        return $bits->flag() ? UsabilityInfo::read($bits) : UsabilityInfo::none();
    }

    private static function skipScaling(BitReader $bits): void
    {
        for ($size = 0; $size < 4; $size++) {
            for ($list = 0; $list < 6; $list += $size === 3 ? 3 : 1) {
                if (! $bits->flag()) {
                    $bits->golomb();

                    continue;
                }
                if ($size > 1) {
                    $bits->signedGolomb();
                }
                for ($i = min(64, 1 << 4 + 2 * $size); $i > 0; $i--) {
                    $bits->signedGolomb();
                }
            }
        }
    }

    /** Short-term sets of reference pictures (7.3.7). */
    private static function skipReferences(BitReader $bits): void
    {
        $before = 0;
        for ($i = 0, $sets = min(self::MOST, $bits->golomb()); $i < $sets; $i++) {
            $before = $i > 0 && $bits->flag() ? self::skipPredicted($bits, $before) : self::skipListed($bits);
        }
    }

    private static function skipPredicted(BitReader $bits, int $before): int
    {
        $bits->skip(1);
        $bits->golomb();
        $kept = 0;
        for ($i = 0; $i <= $before; $i++) {
            $isUsed = $bits->flag();
            $kept += $isUsed || $bits->flag() ? 1 : 0;
        }

        return min(self::MOST, $kept);
    }

    private static function skipListed(BitReader $bits): int
    {
        $many = min(self::MOST, $bits->golomb()) + min(self::MOST, $bits->golomb());
        for ($i = 0; $i < $many; $i++) {
            $bits->golomb();
            $bits->skip(1);
        }

        return $many;
    }
}
