<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Measure\Text;
use PlainLedger\Core\Media\Kind;

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
        $asked = $part->single('time.rate');
        $rate = $asked === null ? null : FrameRate::parse($asked);
        $what = match ($part->delivers) {
            Delivers::Frames => 'frames',
            Delivers::Still => 'A single picture',
            Delivers::Movie => 'A movie',
            Delivers::File => 'A file',
        };
        if ($expected === null) {
            $open = $part->single('time.range') === 'timeline' ? ', the animation’s own range' : '';

            return ucfirst($what).$open.($rate === null ? '' : " at {$rate->spoken()} a second").'.';
        }
        $says = Text::count(count($expected), 'frame').($expected->isOneRun() ? ", {$expected->first()} to {$expected->last()}" : ", {$expected}");
        if ($rate !== null) {
            $whole = count($expected) % $rate->nominalWhole() === 0 && (string) $rate === (string) $rate->nominalWhole();
            $says .= ", at {$rate->spoken()} a second: ".($whole ? 'exactly ' : '').$rate->runningTime(count($expected));
        }

        return "{$says}.";
    }

    private static function picture(Part $part): string
    {
        $says = [];
        $size = $part->single('picture.resolution');
        if ($size !== null) {
            $square = in_array($part->single('picture.pixel_aspect'), ['1/1', null], true);
            $says[] = Resolution::parse($size)->spoken().($part->find('picture.pixel_aspect') === null ? '' : ($square ? ' with square pixels' : ' with pixels '.$part->single('picture.pixel_aspect')));
        }
        $camera = $part->find('camera.name')?->required();
        if ($camera !== null) {
            $says[] = "seen through {$camera}";
        }
        $kind = self::format($part);
        if ($kind !== '') {
            $says[] = $kind;
        }

        return $says === [] ? '' : 'Each is '.implode(', ', $says).'.';
    }

    private static function format(Part $part): string
    {
        $kinds = $part->kinds();
        $bits = $part->single('format.bit_depth');
        $details = array_filter([$bits === null ? null : "{$bits}-bit", $part->single('format.sample') === 'float' ? 'float' : null, $part->single('format.channels')]);
        $compression = $part->find('format.compression')?->ask->values ?? [];
        $says = $kinds === [] ? '' : Text::series(array_map(static fn (Kind $k): string => $k->spoken(), $kinds), 'or');
        $says .= $details === [] ? '' : ($says === '' ? '' : ' of ').implode(' ', $details);

        return $says.($compression === [] ? '' : ', '.Text::series($compression, 'or'));
    }
}
