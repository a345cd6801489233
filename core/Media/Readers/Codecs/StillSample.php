<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\Movie\CodecFacts;
use PlainLedger\Core\Media\Movie\CodecShape;
use PlainLedger\Core\Media\Readers\JpegFrame;
use PlainLedger\Core\Media\Readers\PngHeader;

/** Codecs whose every picture is a still of its own: PNG and JPEG, by the header of one. */
final readonly class StillSample
{
    private const MOST_SEGMENTS = 64;

    public static function png(string $sample): CodecFacts
    {
        try {
            $header = PngHeader::read($sample);
        } catch (FileDamaged) {
            return new CodecFacts(scan: 'progressive', shape: new CodecShape(isLossless: true));
        }
        $channels = $header->channels(false);

        return new CodecFacts(
            null,
            $header->depth,
            in_array('R', $channels, true) ? '4:4:4' : null,
            $channels,
            'progressive',
            shape: new CodecShape($header->width, $header->height, isLossless: true),
        );
    }

    public static function jpeg(string $sample): CodecFacts
    {
        $at = 2;
        $scan = 'progressive';
        for ($i = 0; $i < self::MOST_SEGMENTS && $at + 4 <= strlen($sample) && $sample[$at] === "\xFF"; $i++) {
            $marker = ord($sample[$at + 1]);
            $length = ord($sample[$at + 2]) << 8 | ord($sample[$at + 3]);
            $data = substr($sample, $at + 4, max(0, $length - 2));
            if (JpegFrame::isHeadedBy($marker)) {
                return self::frame($data, $marker, $scan);
            }
            // two fields in one sample are marked so by writers of AVI
            if ($marker === 0xE0 && str_starts_with($data, 'AVI1') && ord($data[4] ?? "\0") > 0) {
                $scan = 'interlaced';
            }
            $at += 2 + $length;
        }

        return new CodecFacts;
    }

    private static function frame(string $data, int $marker, string $scan): CodecFacts
    {
        try {
            $frame = JpegFrame::read($data, $marker);
        } catch (FileDamaged) {
            return new CodecFacts;
        }

        return new CodecFacts(
            null,
            $frame->bits,
            $frame->chroma(),
            $frame->channels(),
            $scan,
            shape: new CodecShape($frame->width, $frame->height),
        );
    }
}
