<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\Movie\CodecFacts;
use PlainLedger\Core\Media\Movie\CodecShape;

/** The sequence parameter set of H.264 (ITU-T H.264, 7.3.2.1.1), and the record of it (ISO/IEC 14496-15, 5.3). */
final readonly class H264Parameters
{
    private const PROFILES = [
        44 => 'CAVLC 4:4:4 Intra', 66 => 'Baseline', 77 => 'Main', 88 => 'Extended', 100 => 'High',
        110 => 'High 10', 122 => 'High 4:2:2', 244 => 'High 4:4:4 Predictive',
    ];

    /** Profiles that say how chroma is sampled; all others are 4:2:0 with 8 bits. */
    private const WITH_CHROMA = [44, 83, 86, 100, 110, 118, 122, 128, 134, 135, 138, 139, 244];

    private const CHROMA = ['4:0:0', '4:2:0', '4:2:2', '4:4:4'];

    private const SEQUENCE_SET = 7;

    /** Counts of scaling lists and reference frames beyond these are none. */
    private const MOST = 256;

    /** @param  string  $record  of `avcC`, or what a track keeps as private */
    public static function ofRecord(string $record): CodecFacts
    {
        if (strlen($record) < 8 || (ord($record[5]) & 31) === 0) {
            return new CodecFacts(self::profile(ord($record[1] ?? "\0"), 0));
        }
        $length = ByteOrder::Big->u16($record, 6);

        return self::ofSet(substr($record, 8, $length));
    }

    /** @param  string  $stream  units parted by start codes (annex B) */
    public static function ofStream(string $stream): CodecFacts
    {
        foreach (preg_split('~\0\0\x01~', $stream) ?: [] as $unit) {
            if ($unit !== '' && (ord($unit[0]) & 31) === self::SEQUENCE_SET) {
                return self::ofSet($unit);
            }
        }

        return new CodecFacts;
    }

    /** @param  string  $set  with its leading byte */
    public static function ofSet(string $set): CodecFacts
    {
        if (strlen($set) < 5 || (ord($set[0]) & 31) !== self::SEQUENCE_SET) {
            return new CodecFacts;
        }
        $bits = BitReader::ofUnit(substr($set, 1));
        $profile = $bits->bits(8);
        $constraints = $bits->bits(8);
        $bits->skip(8);
        $bits->golomb();
        [$chroma, $depth, $isLossless] = in_array($profile, self::WITH_CHROMA, true)
            ? self::chroma($bits)
            : [1, 8, false];
        self::skipOrder($bits);
        [$width, $height, $isProgressive] = self::size($bits, $chroma);
        $usability = $bits->flag() ? UsabilityInfo::read($bits) : UsabilityInfo::none();

        return new CodecFacts(
            self::profile($profile, $constraints),
            $depth,
            $chroma === 0 ? null : self::CHROMA[$chroma] ?? null,
            $chroma === 0 ? ['Y'] : ['R', 'G', 'B'],
            $isProgressive ? 'progressive' : 'interlaced',
            $usability->codePoints,
            new CodecShape($width, $height, $usability->pixelAspect, $isLossless),
        );
    }

    private static function profile(int $profile, int $constraints): ?string
    {
        $name = self::PROFILES[$profile] ?? null;
        if ($profile === 66 && ($constraints & 0x40) !== 0) {
            return 'Constrained Baseline';
        }
        $isIntra = ($constraints & 0x10) !== 0 && in_array($profile, [100, 110, 122, 244], true);

        return $name !== null && $isIntra ? "{$name} Intra" : $name;
    }

    /** @return array{int, int, bool} how chroma is sampled, bits, and whether every bit can be kept */
    private static function chroma(BitReader $bits): array
    {
        $chroma = $bits->golomb();
        if ($chroma === 3) {
            $bits->skip(1);
        }
        $depth = 8 + $bits->golomb();
        $bits->golomb();
        $isLossless = $bits->flag();
        if ($bits->flag()) {
            for ($i = 0; $i < ($chroma === 3 ? 12 : 8); $i++) {
                if ($bits->flag()) {
                    self::skipScaling($bits, $i < 6 ? 16 : 64);
                }
            }
        }

        return [$chroma, $depth, $isLossless];
    }

    private static function skipScaling(BitReader $bits, int $count): void
    {
        $next = 8;
        for ($i = 0; $i < $count && $next !== 0; $i++) {
            $next = ($next + $bits->signedGolomb() + 256) % 256;
        }
    }

    private static function skipOrder(BitReader $bits): void
    {
        $bits->golomb();
        $kind = $bits->golomb();
        if ($kind === 0) {
            $bits->golomb();
        } elseif ($kind === 1) {
            $bits->skip(1);
            $bits->signedGolomb();
            $bits->signedGolomb();
            for ($i = min(self::MOST, $bits->golomb()); $i > 0; $i--) {
                $bits->signedGolomb();
            }
        }
        $bits->golomb();
        $bits->skip(1);
    }

    /** @return array{int, int, bool} width and height without what is cropped; whether there are whole frames only */
    private static function size(BitReader $bits, int $chroma): array
    {
        $width = 16 * ($bits->golomb() + 1);
        $units = $bits->golomb() + 1;
        $isProgressive = $bits->flag();
        if (! $isProgressive) {
            $bits->skip(1);
        }
        $bits->skip(1);
        $height = 16 * $units * ($isProgressive ? 1 : 2);
        if ($bits->flag()) {
            $across = $chroma === 1 || $chroma === 2 ? 2 : 1;
            $down = ($chroma === 1 ? 2 : 1) * ($isProgressive ? 1 : 2);
            $width -= $across * ($bits->golomb() + $bits->golomb());
            $height -= $down * ($bits->golomb() + $bits->golomb());
        }

        return [max(0, $width), max(0, $height), $isProgressive];
    }
}
