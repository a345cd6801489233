<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Measure\Timecode;
use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Naming\NamePattern;

/** What one part implies, computed from what is asked: count, running time, timecode, names, bytes. */
final readonly class Consequences
{
    /** @param  list<array{label: string, value: string}>  $lines */
    private function __construct(public array $lines) {}

    public static function of(Specification $specification, Part $part): self
    {
        $lines = [];
        $say = static function (string $label, string|int $value) use (&$lines): void {
            $lines[] = ['label' => $label, 'value' => (string) $value];
        };
        try {
            $expected = $part->expected();
        } catch (NotUnderstood) {
            $expected = null;
        }
        $cut = $part->cutRange();
        $asked = $part->single('time.rate');
        $rate = $asked === null ? null : FrameRate::parse($asked);
        $size = $part->single('picture.resolution');
        $resolution = $size === null ? null : Resolution::parse($size);
        if ($expected !== null) {
            $say('frames', count($expected));
            if ($cut !== null && ! $cut->equals($expected)) {
                $say('of them in the cut', count($cut));
            }
            if ($rate !== null) {
                $say('running time', $rate->runningTime(count($expected)));
                $start = $part->single('time.start_timecode');
                try {
                    $from = $start === null ? Timecode::fromFrames($expected->first(), $rate) : Timecode::parse($start, $rate);
                    $say('timecode, first frame', (string) $from);
                    $say('timecode, last frame', (string) $from->plus($expected->last() - $expected->first()));
                } catch (NotUnderstood) {
                    // a timecode that cannot be is the proofreader's matter
                }
            }
        }
        if ($resolution !== null) {
            $bits = $part->single('format.bit_depth');
            $channels = $part->single('format.channels');
            if ($bits !== null && $channels !== null) {
                // bits a pixel, rounded up to whole bytes a picture
                $bytes = intdiv($resolution->pixels() * (int) $bits * count(Channels::parse($channels)) + 7, 8);
                $say('one frame, unpacked', (string) ByteSize::of($bytes));
                if ($expected !== null) {
                    $say('all frames, unpacked', (string) ByteSize::of($bytes * count($expected)));
                }
            }
        }
        $source = $part->single('naming.pattern');
        if ($source !== null) {
            $pattern = NamePattern::parse($source);
            $values = $specification->pieceValues($part);
            $passes = $part->passes();
            if ($pattern->has('pass') && $passes !== []) {
                $values = $values->with('pass', $passes[0]);
            }
            if ($expected !== null && $pattern->has('frame')) {
                $most = max(strlen((string) abs($expected->first())), strlen((string) abs($expected->last())));
                $say('digits needed', $most.' of '.($pattern->piece('frame')->digits ?? 1));
                $say('first file', $pattern->make($values, $expected->first()));
                $say('last file', $pattern->make($values, $expected->last()));
            } else {
                $say('file', $pattern->make($values));
            }
        }

        return new self($lines);
    }
}
