<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Text\Text;

/** A part said in a few plain sentences, as a coordinator would read it out. */
final readonly class Prose
{
    public static function of(Part $part): string
    {
        return trim(self::time($part).' '.self::picture($part));
    }

    private static function time(Part $part): string
    {
        try {
            $expected = $part->expected();
        } catch (NotUnderstood) {
            $expected = null;
        }
        $rates = array_map(FrameRate::parse(...), $part->values(RequirementId::TIME_RATE));
        $spoken = array_map(static fn (FrameRate $rate): string => $rate->spoken(), $rates);
        $speed = $rates === [] ? '' : ' at '.Text::series($spoken, 'or').' a second';
        if ($expected === null) {
            $open = $part->single(RequirementId::TIME_RANGE) === 'timeline' ? ', the animation’s own range' : '';

            return self::what($part).$open.$speed.'.';
        }
        $which = $expected->isOneRun() ? "{$expected->first()} to {$expected->last()}" : (string) $expected;
        $says = Text::count(count($expected), 'frame').", {$which}";
        $lasts = count($rates) === 1 ? ': '.self::lasts($rates[0], count($expected)) : '';

        return $says.($speed === '' ? '' : ",{$speed}{$lasts}").'.';
    }

    private static function what(Part $part): string
    {
        return match ($part->delivers) {
            Delivers::Frames => 'Frames',
            Delivers::Still => 'A single picture',
            Delivers::Movie => 'A movie',
            Delivers::File => 'A file',
        };
    }

    private static function lasts(FrameRate $rate, int $frames): string
    {
        $whole = (string) $rate === (string) $rate->nominalWhole() && $frames % $rate->nominalWhole() === 0;

        return ($whole ? 'exactly ' : '').$rate->runningTime($frames);
    }

    private static function picture(Part $part): string
    {
        $says = [];
        $sizes = $part->values(RequirementId::PICTURE_RESOLUTION);
        if ($sizes !== []) {
            $square = in_array($part->single(RequirementId::PICTURE_PIXEL_ASPECT), ['1/1', null], true);
            $says[] = Text::series(
                array_map(static fn (string $size): string => Resolution::parse($size)->spoken(), $sizes),
                'or',
            ).(
                match (true) {
                    $part->find(RequirementId::PICTURE_PIXEL_ASPECT) === null => '',
                    $square => ' with square pixels',
                    default => ' with pixels '.$part->single(RequirementId::PICTURE_PIXEL_ASPECT),
                }
            );
        }
        $cameras = $part->values(RequirementId::CAMERA_NAME);
        if ($cameras !== []) {
            $says[] = 'seen through '.($cameras === ['*'] ? 'any camera of the scene' : Text::series($cameras, 'or'));
        }
        $kind = self::format($part);
        if ($kind !== '') {
            $says[] = $kind;
        }

        // of frames there are many, of anything else one
        $which = $part->delivers === Delivers::Frames ? 'Each' : 'It';

        return $says === [] ? '' : "{$which} is ".implode(', ', $says).'.';
    }

    private static function format(Part $part): string
    {
        $kinds = $part->kinds();
        $bits = $part->values(RequirementId::FORMAT_BIT_DEPTH);
        $channels = $part->single(RequirementId::FORMAT_CHANNELS);
        // “8- or 16-bit”
        $details = array_filter(
            [
                $bits === []
                    ? null
                    : Text::series(
                        [
                            ...array_map(static fn (string $b): string => "{$b}-", array_slice($bits, 0, -1)),
                            "{$bits[count($bits) - 1]}-bit",
                        ],
                        'or',
                    ),
                ($part->values(RequirementId::FORMAT_SAMPLE)) === ['float'] ? 'float' : null,
                $channels,
            ],
        );
        $compression = $part->values(RequirementId::FORMAT_COMPRESSION);
        $says = $kinds === [] ? '' : Text::series(array_map(static fn (Kind $k): string => $k->spoken(), $kinds), 'or');
        $codecs = $part->values(RequirementId::FORMAT_CODEC);
        $says .= $codecs === [] ? '' : ($says === '' ? 'coded as ' : ', coded as ').Text::series($codecs, 'or');
        if ($details !== []) {
            $says = $says !== '' && $channels !== null
                ? "{$says} of ".implode(' ', $details)
                : trim(implode(' ', $details)." {$says}");
        }

        return $says.($compression === [] ? '' : ', '.Text::series($compression, 'or'));
    }
}
