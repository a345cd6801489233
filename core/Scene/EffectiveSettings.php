<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\Text;

/** What a scene's settings come to when it is rendered, where that takes more than reading one of them. */
final readonly class EffectiveSettings
{
    /** @return list<array{id: string, label: string, says: string}> */
    public static function of(SceneSettings $scene, Specification $specification, Part $part): array
    {
        $lines = [
            [RequirementId::PICTURE_RESOLUTION, 'Each picture', self::size($scene)],
            [RequirementId::TIME_RANGE, 'Frames', self::frames($scene)],
            [RequirementId::CAMERA_NAME, 'Seen through', self::camera($scene)],
            [RequirementId::NAMING_PATTERN, 'First and last name', self::names($scene, $specification, $part)],
        ];

        return array_values(array_map(
            static fn (array $line): array => [
                'id' => $line[0],
                'label' => $line[1],
                'says' => Text::shown((string) $line[2]),
            ],
            array_filter($lines, static fn (array $line): bool => $line[2] !== null),
        ));
    }

    private static function size(SceneSettings $scene): ?string
    {
        $size = $scene->size();
        if ($size === null) {
            return null;
        }
        $rendered = $scene->renderedSizes()[0];
        $scale = $scene->scale();

        return $scale->isEqualTo(100)
            ? "{$size} pixels"
            : "{$size} at ".Fraction::decimal($scale, 2)." %: {$rendered} pixels";
    }

    private static function frames(SceneSettings $scene): ?string
    {
        $frames = $scene->frames();
        if ($frames === null || $frames->isEmpty()) {
            return null;
        }
        $rate = $scene->get(RequirementId::TIME_RATE);
        try {
            $seconds = $rate === null
                ? null
                : Fraction::decimal(
                    \Brick\Math\BigRational::of(count($frames))->dividedBy(FrameRate::parse($rate)->value),
                    3,
                );
        } catch (NotUnderstood) {
            $seconds = null;
        }
        $why = match ($scene->get(RequirementId::TIME_EXTENT)) {
            'one' => ', since one frame alone is set',
            'whole' => ', the whole timeline',
            default => $scene->step() > 1 ? ', every '.Text::ordinal($scene->step()).' alone' : '',
        };

        return "{$frames}: "
            .Text::count(count($frames), 'frame')
            .$why
            .($seconds === null ? '' : ", {$seconds} s at {$rate}");
    }

    private static function camera(SceneSettings $scene): ?string
    {
        $chosen = $scene->chosen();
        if ($chosen === null || $scene->cameraSetup->all === null) {
            return null;
        }
        $others = array_values(array_diff($scene->cameraSetup->all, $chosen));
        $views = array_values(array_intersect($chosen, $scene->cameraSetup->views ?? []));

        return ($chosen === [] ? 'no camera' : Text::series($chosen))
            .($views === [] ? '' : ', a working view')
            .(
                $others === []
                    ? ''
                    : '; not '.Text::series(array_slice($others, 0, 4), 'or').(count($others) > 4 ? ' …' : '')
            );
    }

    private static function names(SceneSettings $scene, Specification $specification, Part $part): ?string
    {
        $name = $scene->get(RequirementId::NAMING_PATTERN);
        $frames = $scene->frames();
        if ($name === null || $name === '') {
            return null;
        }
        $values = $specification->pieceValues($part);
        try {
            $pattern = NamePattern::parse(basename(strtr($name, '\\', '/')));
        } catch (PatternRefused) {
            return null;
        }
        if (! $pattern->has('frame') || $frames === null || $frames->isEmpty()) {
            return $pattern->make($values);
        }
        $folder = $scene->get(RequirementId::OUTPUT_FOLDER);

        return ($folder === null || $folder === '' ? '' : rtrim(strtr($folder, '\\', '/'), '/').'/')
            .$pattern->make($values, $frames->first())
            .(count($frames) === 1 ? '' : ' … '.$pattern->make($values, $frames->last()));
    }
}
