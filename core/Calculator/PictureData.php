<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Media\Channels;

/** How much room pictures take unpacked. */
final readonly class PictureData implements Calculation
{
    public function word(): string
    {
        return 'picture-data';
    }

    public function title(): string
    {
        return 'Room for pictures, uncompressed';
    }

    public function fields(): array
    {
        return [
            new Field('size', 'Size', '1280x720', '1280x720'),
            new Field('channels', 'Channels', 'RGB', 'RGB'),
            new Field('bits', 'Bits a channel', '8', '8'),
            new Field('frames', 'Frames', '240 or 1001-1240', '240'),
            new Field('passes', 'Passes', '1', '1'),
            new Field('rate', 'Frames a second', '24', '24'),
        ];
    }

    public function work(Inputs $given): array
    {
        $size = $given->size('size');
        $channels = $given->text('channels');
        $bits = $given->whole('bits', 1, 128);
        if ($size === null || $channels === null || $bits === null) {
            return [];
        }
        $count = preg_match('~^\d{1,3}$~', $channels) === 1 ? (int) $channels : count(Channels::parse($channels));
        if ($count < 1) {
            throw NotUnderstood::as('channels', $channels, 'RGB or RGBA');
        }
        // bits a picture, rounded up to whole bytes
        $bytes = BigRational::nd($size->pixels() * $count * $bits, 8)->toScale(0, RoundingMode::UP)->toInt();
        $formula = "{$size->width} × {$size->height} × {$count} × {$bits} ÷ 8";

        return array_values(array_filter([
            new Result('one frame', self::bytes($bytes), $formula),
            self::allFrames($bytes, $given->frames('frames'), $given->whole('passes', 1, 10_000) ?? 1),
            self::playing($bytes, $given->rate('rate')),
        ]));
    }

    private static function allFrames(int $bytes, ?int $frames, int $passes): ?Result
    {
        if ($frames === null) {
            return null;
        }
        $all = BigRational::of($bytes)->multipliedBy($frames)->multipliedBy($passes);
        if ($all->isGreaterThan(PHP_INT_MAX)) {
            throw NotUnderstood::because('That is more than any disk holds.');
        }
        $formula = "one frame × {$frames}".($passes > 1 ? " × {$passes} passes" : '');

        return new Result('all frames', self::bytes($all->toBigInteger()->toInt()), $formula);
    }

    private static function playing(int $bytes, ?FrameRate $rate): ?Result
    {
        if ($rate === null) {
            return null;
        }
        $bits = BigRational::of($bytes)->multipliedBy(8)->multipliedBy($rate->value)->toScale(0, RoundingMode::HALF_UP);
        $text = $bits->isGreaterThan(1_000_000_000_000)
            ? 'more than 1 Tbit/s'
            : (string) BitRate::of(max(1, $bits->toInt()));

        return new Result('to play it', $text, "one frame × 8 × {$rate}");
    }

    private static function bytes(int $bytes): string
    {
        return number_format($bytes).' bytes'.($bytes < 1000 ? '' : ' ('.ByteSize::of($bytes).')');
    }
}
