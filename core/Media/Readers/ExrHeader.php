<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Text\Text;

/** The headers of an OpenEXR file, one a part, and where they end. */
final readonly class ExrHeader
{
    /** Longer headers are a lie; previews and manifests fit. */
    private const LARGEST = 16 << 20;

    private const MOST_PARTS = 512;

    private const MOST_CHANNELS = 4096;

    /** @param  non-empty-list<ExrPart>  $parts */
    private function __construct(public array $parts, public bool $multiPart, public int $end) {}

    /** @throws FileDamaged */
    public static function read(ByteSource $source, string $head): self
    {
        $size = $source->size();
        if ($size < 8) {
            throw FileDamaged::cutShort("the file ends inside its header, after {$size} bytes");
        }
        $version = self::int($head, 4);
        $multiPart = ($version & 0x1000) !== 0;
        if (($version & 0xFF) !== 2 || ($version & ~0x1EFF) !== 0) {
            throw FileDamaged::header('the version field '.$version.' is not one of OpenEXR 2');
        }
        $bytes = new HeaderBytes($source, $head, self::LARGEST);
        $at = 8;
        $parts = [];
        do {
            if (count($parts) >= self::MOST_PARTS) {
                throw FileDamaged::header('it names more than '.self::MOST_PARTS.' parts');
            }
            [$attributes, $at] = self::attributes($bytes, $at);
            $parts[] = self::part($attributes, $version);
            $more = $multiPart && $bytes->take($at, 1) !== "\0";
        } while ($more);

        return new self($parts, $multiPart, $multiPart ? $at + 1 : $at);
    }

    /** @return array{array<array-key, array{string, string}>, int} name to type and bytes; where the header ends */
    private static function attributes(HeaderBytes $bytes, int $at): array
    {
        $attributes = [];
        while (true) {
            [$name, $at] = $bytes->text($at);
            if ($name === '') {
                return [$attributes, $at];
            }
            [$type, $at] = $bytes->text($at);
            $length = self::int($bytes->take($at, 4), 0);
            if ($length < 0) {
                throw FileDamaged::header('the attribute “'.Text::shown($name).'” names an impossible length');
            }
            // large ones (previews, manifests) are skipped without being read
            $attributes[$name] = [$type, $length <= 65536 ? $bytes->take($at + 4, $length) : ''];
            $bytes->skip($at + 4, $length);
            $at += 4 + $length;
            if (count($attributes) > 5000) {
                throw FileDamaged::header('it has more than 5000 attributes');
            }
        }
    }

    /** @param  array<array-key, array{string, string}>  $attributes */
    private static function part(array $attributes, int $version): ExrPart
    {
        foreach (['channels', 'compression', 'dataWindow', 'displayWindow'] as $needed) {
            if (! isset($attributes[$needed])) {
                throw FileDamaged::header("the header lacks “{$needed}”");
            }
        }
        [$channels, $sampling] = self::channels($attributes['channels'][1]);
        $type = $attributes['type'][1] ?? '';
        $tiles = null;
        if (isset($attributes['tiles']) && strlen($attributes['tiles'][1]) >= 9) {
            $tiles = [
                self::int($attributes['tiles'][1], 0),
                self::int($attributes['tiles'][1], 4),
                ord($attributes['tiles'][1][8]),
            ];
            if ($tiles[0] < 1 || $tiles[1] < 1 || ($tiles[2] & 15) > 2) {
                throw FileDamaged::header('the header names impossible tiles');
            }
        }
        $tiled = str_starts_with($type, 'tiled') || $type === 'deeptile' || ($type === '' && ($version & 0x200) !== 0);
        $texts = [];
        $latin = false;
        foreach ($attributes as $name => [$kind, $value]) {
            if ($kind === 'string' && $name !== 'type' && count($texts) < 60) {
                $latin = $latin || ! mb_check_encoding($value, 'UTF-8');
                $texts[Text::named((string) $name)] = mb_strcut(Text::named($value), 0, 400);
            }
        }
        $texts += $latin ? ['texts' => 'no UTF-8, read as Latin-1'] : [];
        $compression = ord($attributes['compression'][1][0] ?? "\xFF");
        if ($compression > 11) {
            throw FileDamaged::header("the compression {$compression} is not one of OpenEXR");
        }
        $rate = $attributes['framesPerSecond'][1] ?? '';
        $fps = strlen($rate) === 8 ? [self::int($rate, 0), self::int($rate, 4) & 0xFFFFFFFF] : null;
        $count = $attributes['chunkCount'][1] ?? '';
        $aspect = unpack('g', ($attributes['pixelAspectRatio'][1] ?? '')."\0\0\0\0")[1] ?? 1.0;

        return new ExrPart(
            $channels, $sampling, $compression,
            self::box($attributes['dataWindow'][1], 'data window'),
            self::box($attributes['displayWindow'][1], 'display window'),
            is_float($aspect) && is_finite($aspect) ? $aspect : 1.0,
            $tiled ? $tiles ?? throw FileDamaged::header('a tiled file without a description of its tiles') : null,
            str_starts_with($type, 'deep') || ($type === '' && ($version & 0x800) !== 0),
            strlen($count) === 4 ? self::int($count, 0) : null,
            isset($attributes['name']) ? Text::named($attributes['name'][1]) : null,
            $fps !== null && $fps[0] > 0 && $fps[1] > 0 ? $fps : null,
            $texts,
            self::density($attributes['xDensity'][1] ?? ''),
            isset($attributes['envmap'])
                ? (ord($attributes['envmap'][1][0] ?? "\0") === 0 ? 'lat-long' : 'cube')
                : null,
            self::frameNumber($attributes),
            self::timecode($attributes['timeCode'][1] ?? ''),
        );
    }

    /**
     * No standard names it; writers keep it as a number or as text.
     *
     * @param  array<array-key, array{string, string}>  $attributes
     */
    private static function frameNumber(array $attributes): ?int
    {
        foreach ($attributes as $name => [$kind, $value]) {
            if (
                ! in_array(
                    strtolower((string) preg_replace('~[^A-Za-z]~', '', (string) $name)),
                    ['frame', 'framenumber', 'imageframe'],
                    true,
                )
            ) {
                continue;
            }
            if ($kind === 'int' && strlen($value) === 4) {
                return self::int($value, 0);
            }
            if ($kind === 'string' && preg_match('~^\s*(-?\d{1,9})\s*$~', $value, $m) === 1) {
                return (int) $m[1];
            }
        }

        return null;
    }

    /** Two words, the first in binary-coded decimals: frames, seconds, minutes, hours, and bit 6 for drop-frame (SMPTE ST 12-1, table 6). */
    private static function timecode(string $bytes): ?string
    {
        if (strlen($bytes) !== 8) {
            return null;
        }
        $word = self::int($bytes, 0) & 0xFFFFFFFF;
        $digits = static fn (int $shift, int $tens): int => 10 * ($word >> $shift + 4 & $tens) + ($word >> $shift & 15);
        [$frames, $seconds, $minutes, $hours] = [$digits(0, 3), $digits(8, 7), $digits(16, 7), $digits(24, 3)];
        if ($seconds > 59 || $minutes > 59 || $hours > 23) {
            return null;
        }

        return sprintf('%02d:%02d:%02d%s%02d', $hours, $minutes, $seconds, ($word >> 6 & 1) === 1 ? ';' : ':', $frames);
    }

    /** Pixels an inch, stored as a float. */
    private static function density(string $bytes): ?int
    {
        $value = strlen($bytes) === 4 ? unpack('g', $bytes)[1] ?? 0.0 : 0.0;

        return is_float($value) && is_finite($value) && $value >= 1 && $value < 1e6 ? (int) round($value) : null;
    }

    /** @return array{array<array-key, int>, array<array-key, array{int, int}>} */
    private static function channels(string $list): array
    {
        $channels = [];
        $sampling = [];
        $at = 0;
        while ($at < strlen($list) && $list[$at] !== "\0") {
            $end = strpos($list, "\0", $at);
            if (
                $end === false
                || $end - $at > 255
                || $end + 17 > strlen($list)
                || count($channels) >= self::MOST_CHANNELS
            ) {
                throw FileDamaged::header('the list of channels breaks off');
            }
            $name = Text::named(substr($list, $at, $end - $at));
            $type = self::int($list, $end + 1);
            if ($type < 0 || $type > 2) {
                throw FileDamaged::header("the channel “{$name}” has a pixel type that OpenEXR does not have");
            }
            $channels[$name] = $type;
            $sampling[$name] = [self::int($list, $end + 9), self::int($list, $end + 13)];
            $at = $end + 17;
        }
        if ($channels === []) {
            throw FileDamaged::header('it has no channels');
        }

        return [$channels, $sampling];
    }

    /** @return array{int, int, int, int} */
    private static function box(string $bytes, string $what): array
    {
        if (strlen($bytes) < 16) {
            throw FileDamaged::header("the {$what} breaks off");
        }
        $box = [self::int($bytes, 0), self::int($bytes, 4), self::int($bytes, 8), self::int($bytes, 12)];
        if (
            $box[2] < $box[0]
            || $box[3] < $box[1]
            || $box[2] - $box[0] >= Resolution::LARGEST
            || $box[3] - $box[1] >= Resolution::LARGEST
        ) {
            throw FileDamaged::header("the {$what} is impossible");
        }

        return $box;
    }

    /** A signed 32-bit integer, little-endian. */
    public static function int(string $bytes, int $at): int
    {
        $value = ord($bytes[$at] ?? "\0") | ord(
            $bytes[$at + 1] ?? "\0",
        ) << 8 | ord($bytes[$at + 2] ?? "\0") << 16 | ord($bytes[$at + 3] ?? "\0") << 24;

        return $value >= 0x80000000 ? $value - 0x100000000 : $value;
    }
}
