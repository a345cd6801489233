<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use PlainLedger\Core\Media\Movie\CodecFacts;

/** The header of a ProRes frame (SMPTE RDD 36, 5.1), and what its four letters say. */
final readonly class ProResFrame
{
    private const PROFILES = [
        'apco' => '422 Proxy', 'apcs' => '422 LT', 'apcn' => '422', 'apch' => '422 HQ',
        'ap4h' => '4444', 'ap4x' => '4444 XQ',
    ];

    /** So many bytes of a frame hold its header. */
    public const LENGTH = 28;

    public static function read(string $code, string $frame): CodecFacts
    {
        $isFull = str_starts_with($code, 'ap4');
        $plain = new CodecFacts(
            self::PROFILES[$code] ?? null,
            $isFull ? 12 : 10,
            $isFull ? '4:4:4' : '4:2:2',
            ['R', 'G', 'B'],
        );
        // some containers leave out the length and the letters
        $frame = substr($frame, 4, 4) === 'icpf' ? $frame : "\0\0\0\0icpf{$frame}";
        if (strlen($frame) < self::LENGTH) {
            return $plain;
        }
        $flags = ord($frame[20]);
        $alpha = ord($frame[25]) & 15;

        return (new CodecFacts(
            chroma: ($flags >> 6) === 3 ? '4:4:4' : '4:2:2',
            channels: $alpha > 0 ? ['R', 'G', 'B', 'A'] : ['R', 'G', 'B'],
            scan: ($flags >> 2 & 3) === 0 ? 'progressive' : 'interlaced',
            codePoints: [ord($frame[22]), ord($frame[23])],
        ))->or($plain);
    }
}
