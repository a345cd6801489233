<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Movie\SoundTrack;
use PlainLedger\Core\Media\Readers\Codecs\BitReader;
use PlainLedger\Core\Media\Readers\Codecs\CodecCode;

/** How the sound of a track is kept, in all three versions of its entry (ISO/IEC 14496-12, 12.2.3). */
final readonly class SoundEntry
{
    private const READ = 512;

    /** Sample rates by their number (ISO/IEC 14496-3, table 1.18). */
    private const RATES = [
        96000, 88200, 64000, 48000, 44100, 32000, 24000, 22050, 16000, 12000, 11025, 8000, 7350,
    ];

    /** Channels by the number of their arrangement (ISO/IEC 14496-3, table 1.19). */
    private const CHANNELS = [1 => 1, 2, 3, 4, 5, 6, 8];

    private const DEPTHS = ['in24' => 24, 'in32' => 32, 'fl32' => 32, 'fl64' => 64];

    public static function read(FileEnds $file, Box $entry): SoundTrack
    {
        $bytes = str_pad($file->read($entry->body, min(self::READ, $entry->length())), 64, "\0");
        $code = $entry->type;
        [$channels, $bits] = [ByteOrder::Big->u16($bytes, 16), ByteOrder::Big->u16($bytes, 18)];
        $rate = ByteOrder::Big->u32($bytes, 24) >> 16;
        $codec = CodecCode::sound($code);
        if (ByteOrder::Big->u16($bytes, 8) === 2) {
            [$rate, $channels, $bits] = self::second($bytes);
            $codec = $code === 'lpcm' && (ByteOrder::Big->u32($bytes, 52) & 1) === 1 ? 'pcm float' : $codec;
        }
        if ($code === 'mp4a') {
            [$codec, $rate, $channels] = self::streamed($bytes, $rate, $channels);
        }
        if (($at = strpos($bytes, 'pcmC')) !== false) {
            $bits = ord($bytes[$at + 9] ?? "\0");
        }
        $known = static fn (int $number): ?int => $number > 0 ? $number : null;
        $depth = self::DEPTHS[$code] ?? $known($bits);

        return new SoundTrack($known($rate), $known($channels), str_starts_with($codec, 'pcm') ? $depth : null, $codec);
    }

    /** @return array{int, int, int} rate, channels and bits of the entry's second version */
    private static function second(string $bytes): array
    {
        /** @var array{1: float} $rate */
        $rate = unpack('E', $bytes, 32);
        $whole = is_finite($rate[1]) && $rate[1] > 0 && $rate[1] < 10_000_000 ? (int) round($rate[1]) : 0;

        return [$whole, ByteOrder::Big->u32($bytes, 40), ByteOrder::Big->u32($bytes, 48)];
    }

    /** @return array{string, int, int} codec, rate and channels, as the stream's own configuration has them */
    private static function streamed(string $bytes, int $rate, int $channels): array
    {
        $at = strpos($bytes, 'esds');
        if ($at === false) {
            return ['aac', $rate, $channels];
        }
        $descriptor = substr($bytes, $at + 8);
        $type = SampleEntry::objectType($descriptor);
        if (in_array($type, [0x69, 0x6B], true)) {
            return ['mp3', $rate, $channels];
        }
        // the configuration follows its own tag, and a length of one to four bytes
        if (preg_match('~\x05(?:[\x80-\xFF]{0,3})[\x00-\x7F](.{2})~s', substr($descriptor, 18), $m) !== 1) {
            return ['aac', $rate, $channels];
        }
        $bits = new BitReader(substr($descriptor, (int) strpos($descriptor, $m[1]), 8));
        $object = $bits->bits(5);
        $bits->skip($object === 31 ? 6 : 0);
        $number = $bits->bits(4);
        $told = $number === 15 ? $bits->bits(24) : self::RATES[$number] ?? 0;
        $many = $bits->bits(4);

        return ['aac', $told > 0 ? $told : $rate, self::CHANNELS[$many] ?? $channels];
    }
}
