<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\ByteSource;

/** A PNG with other tags (ISO/IEC 15948, 11.3): chunks before the picture are written anew, all else as it is. */
final readonly class PngCopy
{
    private const SIGNATURE = 8;

    private const PIECE = 1 << 20;

    /** Before the picture there is no more than that. */
    private const LARGEST_LEAD = 16 << 20;

    private const TEXT = 'iTXt';

    /**
     * @return \Generator<int, string>
     *
     * @throws TagRefused
     */
    public static function of(ByteSource $source, Tags $tags): \Generator
    {
        if ($tags->timecode !== null || $tags->indexFirst || ! in_array($tags->encoding, [null, 'srgb'], true)) {
            throw TagRefused::because('', 'a PNG has no place for that');
        }
        [$chunks, $at] = self::before($source);
        $header = $chunks[0][1];
        $new = self::added($chunks, $tags, ByteOrder::Big->u32($header), ByteOrder::Big->u32($header, 4));

        return self::pieces($source, $new, $at);
    }

    /**
     * @return array{non-empty-list<array{string, string}>, int} type and data of each, and where the picture begins
     *
     * @throws TagRefused
     */
    private static function before(ByteSource $source): array
    {
        $chunks = [];
        for ($at = self::SIGNATURE; $at < min($source->size(), self::LARGEST_LEAD); $at += 12 + $length) {
            $lead = str_pad($source->read($at, 8), 8, "\0");
            $length = ByteOrder::Big->u32($lead);
            $type = substr($lead, 4);
            if ($type === 'IDAT' && $chunks !== []) {
                return [$chunks, $at];
            }
            if ($length > self::LARGEST_LEAD) {
                break;
            }
            $chunks[] = [$type, $source->read($at + 8, $length)];
        }
        throw TagRefused::because('', 'it has no picture');
    }

    /**
     * @param  non-empty-list<array{string, string}>  $chunks
     * @return list<array{string, string}>
     *
     * @throws TagRefused
     */
    private static function added(array $chunks, Tags $tags, int $width, int $height): array
    {
        $new = [];
        if ($tags->pixelAspect !== null || $tags->density !== null) {
            $new['pHYs'] = self::density($chunks, $tags);
        }
        if ($tags->encoding === 'srgb') {
            $new['sRGB'] = "\0";
        }
        $packet = self::packet($chunks);
        if ($tags->projection !== null) {
            $text = Packet::with($packet ?? '', $tags->projection, $width, $height);
            $new[self::TEXT] = Packet::IN_PNG."\0\0\0\0\0".$text;
        }
        $kept = array_filter($chunks, static fn (array $chunk): bool => match ($chunk[0]) {
            self::TEXT => ! isset($new[self::TEXT]) || ! str_starts_with($chunk[1], Packet::IN_PNG),
            // what is written anew, and what would say otherwise
            'pHYs', 'sRGB' => ! isset($new[$chunk[0]]),
            'iCCP', 'gAMA', 'cHRM', 'cICP' => ! isset($new['sRGB']),
            default => true,
        });
        $first = array_shift($kept);
        $added = array_map(static fn (string $type, string $data): array => [$type, $data], array_keys($new), $new);

        return [...($first === null ? [] : [$first]), ...$added, ...array_values($kept)];
    }

    /** @param  list<array{string, string}>  $chunks */
    private static function packet(array $chunks): ?string
    {
        foreach ($chunks as [$type, $data]) {
            if ($type === self::TEXT && str_starts_with($data, Packet::IN_PNG."\0\0")) {
                return preg_match('~^[^\0]+\0\0.[^\0]*\0[^\0]*\0(.*)$~s', $data, $m) === 1 ? $m[1] : null;
            }
        }

        return null;
    }

    /** @param  list<array{string, string}>  $chunks */
    private static function density(array $chunks, Tags $tags): string
    {
        [$across, $down, $unit] = [1, 1, 0];
        foreach ($chunks as [$type, $data]) {
            if ($type === 'pHYs' && strlen($data) === 9) {
                [$across, $down, $unit] = [ByteOrder::Big->u32($data), ByteOrder::Big->u32($data, 4), ord($data[8])];
            }
        }
        $aspect = $tags->pixelAspect ?? ($across > 0 ? BigRational::nd($down, $across) : BigRational::one());
        if ($tags->density === null && $unit === 0) {
            return pack('NNC', $aspect->getDenominator()->toInt(), $aspect->getNumerator()->toInt(), 0);
        }
        // dots a metre, from dots an inch of 0.0254 metres
        $a_metre = $tags->density === null
            ? BigRational::of($across)
            : BigRational::of($tags->density)->multipliedBy(10_000)->dividedBy(254);
        $whole = static fn (BigRational $n): int => $n->toScale(0, RoundingMode::HALF_UP)->toInt();

        return pack('NNC', $whole($a_metre), $whole($a_metre->multipliedBy($aspect)), 1);
    }

    /**
     * @param  list<array{string, string}>  $chunks
     * @return \Generator<int, string>
     */
    private static function pieces(ByteSource $source, array $chunks, int $picture): \Generator
    {
        yield $source->read(0, self::SIGNATURE);
        foreach ($chunks as [$type, $data]) {
            yield pack('N', strlen($data)).$type.$data.hash('crc32b', $type.$data, true);
        }
        for ($at = $picture, $size = $source->size(); $at < $size; $at += self::PIECE) {
            yield $source->read($at, self::PIECE);
        }
    }
}
