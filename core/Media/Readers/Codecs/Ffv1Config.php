<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use PlainLedger\Core\Media\Movie\CodecFacts;
use PlainLedger\Core\Media\Movie\CodecShape;

/** The configuration record of FFV1, which is coded by ranges itself (RFC 9043, 3.8.1 and 4.2). */
final class Ffv1Config
{
    private const STATES = 32;

    /** By how often colour is halved, across and down. */
    private const CHROMA = [[0 => '4:4:4', 1 => '4:4:0'], [0 => '4:2:2', 1 => '4:2:0'], [0 => '4:1:1', 2 => '4:1:0']];

    private int $low;

    private int $range = 0xFF00;

    private int $at = 2;

    /** @var array<int, int> */
    private array $states;

    /** @var array{array<int, int>, array<int, int>} what a state becomes after a 0 and after a 1 */
    private array $next;

    private function __construct(private readonly string $bytes)
    {
        $this->low = (ord($bytes[0]) << 8) | ord($bytes[1]);
        $this->states = array_fill(0, self::STATES, 128);
        $this->next = self::transitions();
    }

    /** @param  string  $record  as kept beside the track; of a frame of an older version its beginning */
    public static function read(string $record): CodecFacts
    {
        $plain = new CodecFacts(scan: 'progressive', shape: new CodecShape(isLossless: true));

        return strlen($record) < 3 ? $plain : (new self($record))->record()->or($plain);
    }

    /** Of a version that keeps no record, at the head of each keyframe. @param  string  $frame  of the first picture */
    public static function ofFrame(string $frame): CodecFacts
    {
        $plain = new CodecFacts(scan: 'progressive', shape: new CodecShape(isLossless: true));
        if (strlen($frame) < 3) {
            return $plain;
        }
        $header = new self($frame);
        // whether it is a keyframe has a state of its own
        $isKeyframe = $header->bit(0) === 1;
        $header->states[0] = 128;

        return $isKeyframe ? $header->record()->or($plain) : $plain;
    }

    private function record(): CodecFacts
    {
        $version = $this->symbol();
        if ($version > 4) {
            return new CodecFacts;
        }
        if ($version > 2) {
            $this->symbol();
        }
        for ($i = $this->symbol() > 1 ? 1 : 256; $i < 256; $i++) {
            $this->signedSymbol();
        }
        $isColour = $this->symbol() === 1;
        $bits = $version > 0 ? $this->symbol() : 8;

        return $this->planes($isColour, new CodecFacts("version {$version}", $bits === 0 ? 8 : min(32, $bits)));
    }

    /** @param  bool  $isColour  red, green and blue, instead of light and colour difference */
    private function planes(bool $isColour, CodecFacts $told): CodecFacts
    {
        $hasChroma = $this->bit(0) === 1;
        [$across, $down] = [$this->symbol(), $this->symbol()];
        $alpha = $this->bit(0) === 1 ? ['A'] : [];
        if ($isColour) {
            [$hasChroma, $across, $down] = [true, 0, 0];
        }

        return (new CodecFacts(
            chroma: $hasChroma ? self::CHROMA[$across][$down] ?? null : null,
            channels: [...($hasChroma ? ['R', 'G', 'B'] : ['Y']), ...$alpha],
        ))->or($told);
    }

    /** @return array{array<int, int>, array<int, int>} (RFC 9043, 3.8.1.3 and 3.8.1.4) */
    private static function transitions(): array
    {
        $one = array_fill(0, 256, 0);
        $last = 0;
        // factor 0.05 of 2^32, as the format fixes it
        $factor = 214748364;
        $max = 256 - 8;
        $p = 1 << 31;
        for ($i = 0; $i < 128; $i++) {
            $p8 = (256 * $p + (1 << 31)) >> 32;
            $p8 = $p8 <= $last ? $last + 1 : $p8;
            if ($last > 0 && $last < 256 && $p8 <= $max) {
                $one[$last] = $p8;
            }
            $p += ((1 << 32) - $p) * $factor + (1 << 31) >> 32;
            $last = $p8;
        }
        for ($i = 256 - $max; $i <= $max; $i++) {
            if ($one[$i] === 0) {
                $p = ($i * (1 << 32) + 128) >> 8;
                $p += ((1 << 32) - $p) * $factor + (1 << 31) >> 32;
                $p8 = (256 * $p + (1 << 31)) >> 32;
                $one[$i] = min($max, $p8 <= $i ? $i + 1 : $p8);
            }
        }
        $zero = array_fill(0, 256, 0);
        for ($i = 1; $i < 255; $i++) {
            $zero[$i] = (256 - $one[256 - $i]) & 255;
        }

        return [$zero, $one];
    }

    private function bit(int $state): int
    {
        $part = $this->range * $this->states[$state] >> 8;
        $this->range -= $part;
        if ($this->low < $this->range) {
            $this->states[$state] = $this->next[0][$this->states[$state]];
            $this->refill();

            return 0;
        }
        $this->low -= $this->range;
        $this->states[$state] = $this->next[1][$this->states[$state]];
        $this->range = $part;
        $this->refill();

        return 1;
    }

    private function refill(): void
    {
        if ($this->range < 0x100) {
            $this->range <<= 8;
            $this->low = ($this->low << 8) + ord($this->bytes[$this->at] ?? "\0");
            $this->at++;
        }
    }

    private function symbol(): int
    {
        if ($this->bit(0) === 1) {
            return 0;
        }
        $length = 0;
        while ($length < 31 && $this->bit(1 + min($length, 9)) === 1) {
            $length++;
        }
        $number = 1;
        for ($i = $length - 1; $i >= 0; $i--) {
            $number = $number << 1 | $this->bit(22 + min($i, 9));
        }

        return $number;
    }

    private function signedSymbol(): void
    {
        if ($this->bit(0) === 1) {
            return;
        }
        $length = 0;
        while ($length < 31 && $this->bit(1 + min($length, 9)) === 1) {
            $length++;
        }
        for ($i = $length - 1; $i >= 0; $i--) {
            $this->bit(22 + min($i, 9));
        }
        $this->bit(11 + min($length, 10));
    }
}
