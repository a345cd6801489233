<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\Letterbox;
use PlainLedger\Core\Measure\NamedShape;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Measure\Timecode;
use PlainLedger\Core\Media\Channels;

/** What one part implies, computed from what is asked: count, running time, timecode, shape, names, bytes. */
final readonly class Consequences
{
    /** How the line is called that tells what a picture takes before it is compressed. */
    public const UNCOMPRESSED = 'one frame, uncompressed';

    /**
     * @param  list<array{label: string, value: string}>  $lines
     * @param  array{width: int, height: int, aspect: string, spoken: string}|null  $shape as it is shown: pixels made
     *   square
     * @param  array{cut: array{int, int}, delivered: array{int, int}, head: int, tail: int}|null  $ruler
     */
    private function __construct(
        public array $lines,
        public ?array $shape,
        public ?array $ruler,
        public ?ExampleNames $names,
    ) {}

    public static function of(Specification $specification, Part $part): self
    {
        $expected = PartLength::expected($part);
        $expected = $expected === null || $expected->isEmpty() ? null : $expected;
        $rate = PartLength::rate($part);
        $sizes = $part->values(RequirementId::PICTURE_RESOLUTION);
        $resolution = $sizes === [] ? null : Resolution::parse($sizes[0]);
        $pixels = Fraction::parse($part->single(RequirementId::PICTURE_PIXEL_ASPECT) ?? '1');
        $names = ExampleNames::of($specification, $part);
        $lines = [
            ...self::time($specification, $part, $expected, $rate),
            ...($resolution === null ? [] : self::shape($resolution, $pixels)),
            ...self::bytes($specification, $part, $resolution, $expected, $rate),
            ...self::digits($part, $expected),
        ];

        return new self(
            $lines,
            $resolution === null ? null : self::outline($resolution, $pixels),
            self::ruler($part, $expected),
            $names,
        );
    }

    /** @return list<array{label: string, value: string}> */
    private static function time(
        Specification $specification,
        Part $part,
        ?FrameRange $expected,
        ?FrameRate $rate,
    ): array {
        $frames = $expected === null ? PartLength::leastFrames($specification, $part)[0] ?? null : count($expected);
        $cut = (string) count($part->cutRange() ?? $expected ?? FrameRange::none());
        $keyframes = $rate !== null && $part->delivers->isMovie();

        return [
            ...($frames === null ? [] : [self::line('frames', (string) $frames)]),
            ...($expected === null || $part->handles() === [0, 0] ? [] : [
                self::line('of them in the cut', $cut),
                self::line('delivered range', (string) $expected),
            ]),
            ...($rate === null || $frames === null ? [] : [self::line('running time', $rate->runningTime($frames))]),
            ...($rate === null || $expected === null ? [] : self::timecodes($part, $expected, $rate)),
            ...($keyframes ? [self::line('keyframe every 2 s', (2 * $rate->nominalWhole()).' frames')] : []),
        ];
    }

    /** @return list<array{label: string, value: string}> */
    private static function timecodes(Part $part, FrameRange $expected, FrameRate $rate): array
    {
        $start = $part->single(RequirementId::TIME_START_TIMECODE);
        $length = $expected->last() - $expected->first();
        $lines = [];
        try {
            if ($start !== null) {
                $from = Timecode::parse($start, $rate);

                return [self::line('timecode', "{$from} – {$from->plus($length)}")];
            }
            foreach ($rate->hasDropFrame() ? [false, true] : [false] as $drop) {
                $from = Timecode::fromFrames($expected->first(), $rate, $drop);
                $lines[] = self::line(
                    match (true) {
                        ! $rate->hasDropFrame() => 'timecode',
                        $drop => 'timecode, drop-frame',
                        default => 'timecode, non-drop',
                    },
                    "{$from} – {$from->plus($length)}",
                );
            }
        } catch (NotUnderstood) {
            // a timecode that cannot be is the proofreader's matter
        }

        return $lines;
    }

    /** @return list<array{label: string, value: string}> */
    private static function shape(Resolution $size, BigRational $pixels): array
    {
        $aspect = $size->displayAspect($pixels);
        $named = NamedShape::nearest($size, $pixels);
        $exact = $named->shape()->holdsFor($size, $pixels);
        $lines = [
            self::line(
                'shape on screen',
                Fraction::decimal($aspect).' to 1, '.($exact ? $named->spoken() : "nearest {$named->value}"),
            ),
        ];
        $box = Letterbox::of($aspect, Resolution::of(1920, 1080));
        if ($named !== NamedShape::Wide || ! $exact) {
            $lines[] = self::line('in 1920 × 1080', $box->spoken());
        }

        return $lines;
    }

    /** @return list<array{label: string, value: string}> */
    private static function bytes(
        Specification $specification,
        Part $part,
        ?Resolution $size,
        ?FrameRange $expected,
        ?FrameRate $rate,
    ): array {
        $cap = $part->find(RequirementId::FORMAT_FILE_SIZE)->value->max ?? null;
        $length = PartLength::leastSeconds($specification, $part);
        $lines = $size === null ? [] : self::uncompressed($part, $size, $expected);
        if ($cap === null || $length === null || ! $part->delivers->isMovie()) {
            return $lines;
        }
        $most = ByteSize::of((int) $cap);
        $fits = BitRate::thatFits($most, $length[0]);

        return [...$lines, self::line("bit rate that fits {$most}", $fits === null ? 'none' : (string) $fits)];
    }

    /** @return list<array{label: string, value: string}> */
    private static function uncompressed(Part $part, Resolution $size, ?FrameRange $expected): array
    {
        $bits = $part->single(RequirementId::FORMAT_BIT_DEPTH);
        $channels = $part->single(RequirementId::FORMAT_CHANNELS);
        if ($bits === null || $channels === null) {
            return [];
        }
        // bits a picture, rounded up to whole bytes
        $bytes = intdiv($size->pixels() * (int) $bits * count(Channels::parse($channels)) + 7, 8);
        $one = self::line(self::UNCOMPRESSED, (string) ByteSize::of($bytes));
        if ($expected === null) {
            return [$one];
        }
        $passes = max(1, count($part->passes()));
        $all = ByteSize::of($bytes * count($expected) * $passes).($passes > 1 ? " in {$passes} passes" : '');

        return [$one, self::line('all frames, uncompressed', $all)];
    }

    /** @return list<array{label: string, value: string}> */
    private static function digits(Part $part, ?FrameRange $expected): array
    {
        $source = $part->single(RequirementId::NAMING_PATTERN);
        $piece = $source === null ? null : \PlainLedger\Core\Naming\NamePattern::parse($source)->piece('frame');
        if ($piece === null || $expected === null) {
            return [];
        }
        $most = strlen((string) max(abs($expected->first()), abs($expected->last())));

        return [self::line('digits needed', $most.' of '.($piece->digits ?? 1))];
    }

    /** @return array{label: string, value: string} */
    private static function line(string $label, string $value): array
    {
        return ['label' => $label, 'value' => $value];
    }

    /** @return array{width: int, height: int, aspect: string, spoken: string} */
    private static function outline(Resolution $size, BigRational $pixels): array
    {
        $named = NamedShape::nearest($size, $pixels);
        $width = BigRational::of($size->width)->multipliedBy($pixels)
            ->toScale(0, \Brick\Math\RoundingMode::HALF_UP)
            ->toInt();

        return [
            'width' => max(1, $width),
            'height' => $size->height,
            'aspect' => Fraction::decimal($size->displayAspect($pixels)),
            'spoken' => ($named->shape()->holdsFor($size, $pixels) ? '' : 'near ').$named->value,
        ];
    }

    /** @return array{cut: array{int, int}, delivered: array{int, int}, head: int, tail: int}|null */
    private static function ruler(Part $part, ?FrameRange $expected): ?array
    {
        $cut = $part->cutRange();
        if ($expected === null || $cut === null || $cut->isEmpty()) {
            return null;
        }
        [$head, $tail] = $part->handles();

        return [
            'cut' => [$cut->first(), $cut->last()],
            'delivered' => [$expected->first(), $expected->last()],
            'head' => $head,
            'tail' => $tail,
        ];
    }
}
