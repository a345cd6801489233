<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\ByteSource;

/** A JPEG with other tags (ITU-T T.81, B.1.1.3; T.871): segments before its tables are written anew, the rest as it is. */
final readonly class JpegCopy
{
    private const PIECE = 1 << 20;

    private const MOST_SEGMENTS = 10_000;

    private const LARGEST = 65_533;

    private const FIRST_APPLICATION = 0xE0;

    private const LAST_APPLICATION = 0xEF;

    private const COMMENT = 0xFE;

    /** How colours are kept is told there. */
    private const COLOURS = 0xEE;

    /**
     * @return \Generator<int, string>
     *
     * @throws TagRefused
     */
    public static function of(ByteSource $source, Tags $tags, int $width, int $height): \Generator
    {
        if ($tags->timecode !== null || $tags->indexFirst || $tags->encoding !== null) {
            throw TagRefused::because('', 'a JPEG has no place for that');
        }
        [$segments, $at] = self::before($source);
        if ($tags->pixelAspect !== null || $tags->density !== null) {
            $segments = self::withDensity($segments, $tags);
        }
        if ($tags->projection !== null) {
            $segments = self::withPacket($segments, $tags->projection, $width, $height);
        }

        return self::pieces($source, $segments, $at);
    }

    /**
     * @return array{list<array{int, string}>, int} marker and data of each of what applications and people wrote, and
     *   where the first other segment begins
     *
     * @throws TagRefused
     */
    private static function before(ByteSource $source): array
    {
        $segments = [];
        for ($at = 2; count($segments) < self::MOST_SEGMENTS; $at += 2 + $length) {
            $lead = str_pad($source->read($at, 4), 4, "\0");
            $marker = ord($lead[1]);
            $isNote = $marker === self::COMMENT
                || ($marker >= self::FIRST_APPLICATION && $marker <= self::LAST_APPLICATION);
            if ($lead[0] !== "\xFF") {
                throw TagRefused::because('', 'its segments are not built as they should be');
            }
            if (! $isNote) {
                return [$segments, $at];
            }
            $length = ByteOrder::Big->u16($lead, 2);
            if ($length < 2) {
                break;
            }
            $segments[] = [$marker, $source->read($at + 4, $length - 2)];
        }
        throw TagRefused::because('', 'its segments are not built as they should be');
    }

    /**
     * @param  list<array{int, string}>  $segments
     * @return list<array{int, string}>
     *
     * @throws TagRefused
     */
    private static function withDensity(array $segments, Tags $tags): array
    {
        $aspect = $tags->pixelAspect;
        if ($aspect !== null && ! $aspect->isEqualTo(1) && $tags->density !== null) {
            throw TagRefused::because('', 'a JPEG tells either a density or the shape of its pixels');
        }
        $isSquare = $aspect === null || $aspect->isEqualTo(1);
        [$unit, $across, $down] = match (true) {
            $tags->density !== null => [1, $tags->density, $tags->density],
            $isSquare => [0, 1, 1],
            default => [0, $aspect->getNumerator()->toInt(), $aspect->getDenominator()->toInt()],
        };
        if (max($across, $down) > 65_535) {
            throw TagRefused::because('', 'a JPEG cannot tell so fine a shape');
        }
        $told = pack('Cnn', $unit, $across, $down);
        if (array_filter($segments, self::isHead(...)) === []) {
            if (array_filter($segments, static fn (array $s): bool => $s[0] === self::COLOURS) !== []) {
                // with such a head its colours would be taken for others
                throw TagRefused::because('', 'it has no place for that which leaves its colours as they are');
            }

            return [[self::FIRST_APPLICATION, "JFIF\0\1\2".$told."\0\0"], ...$segments];
        }
        $new = [];
        foreach ($segments as [$marker, $data]) {
            $new[] = [$marker, self::isHead([$marker, $data]) ? substr_replace($data, $told, 7, 5) : $data];
        }

        return $new;
    }

    /**
     * @param  list<array{int, string}>  $segments
     * @return list<array{int, string}>
     *
     * @throws TagRefused
     */
    private static function withPacket(array $segments, string $projection, int $width, int $height): array
    {
        $marker = self::FIRST_APPLICATION + 1;
        $there = array_values(array_filter($segments, self::isPacket(...)))[0][1] ?? Packet::IN_JPEG;
        $packet = Packet::with(substr($there, strlen(Packet::IN_JPEG)), $projection, $width, $height);
        if (strlen(Packet::IN_JPEG.$packet) > self::LARGEST) {
            throw TagRefused::because('', 'its metadata leave no room');
        }
        // behind what readers look for first
        $lead = array_values(array_filter($segments, static fn (array $s): bool => $s[0] === $marker - 1));
        $rest = array_filter($segments, static fn (array $s): bool => $s[0] !== $marker - 1 && ! self::isPacket($s));

        return [...$lead, [$marker, Packet::IN_JPEG.$packet], ...array_values($rest)];
    }

    /** @param  array{int, string}  $segment */
    private static function isHead(array $segment): bool
    {
        return $segment[0] === self::FIRST_APPLICATION
            && str_starts_with($segment[1], "JFIF\0")
            && strlen($segment[1]) >= 14;
    }

    /** @param  array{int, string}  $segment */
    private static function isPacket(array $segment): bool
    {
        return $segment[0] === self::FIRST_APPLICATION + 1 && str_starts_with($segment[1], Packet::IN_JPEG);
    }

    /**
     * @param  list<array{int, string}>  $segments
     * @return \Generator<int, string>
     */
    private static function pieces(ByteSource $source, array $segments, int $rest): \Generator
    {
        yield "\xFF\xD8";
        foreach ($segments as [$marker, $data]) {
            yield "\xFF".chr($marker).pack('n', strlen($data) + 2).$data;
        }
        for ($at = $rest, $size = $source->size(); $at < $size; $at += self::PIECE) {
            yield $source->read($at, self::PIECE);
        }
    }
}
