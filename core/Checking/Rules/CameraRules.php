<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `camera.name` and `camera.single`. */
final readonly class CameraRules implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::CAMERA_NAME || $id === RequirementId::CAMERA_SINGLE;
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $scene = $subject->scene;
        $chosen = $scene?->chosen();
        if ($scene === null || $chosen === null) {
            return Cell::unknown();
        }
        if ($requirement->id() === RequirementId::CAMERA_NAME) {
            $others = array_filter(
                $chosen,
                static fn (string $camera): bool => ! self::isAsked($requirement, $scene, $camera),
            );

            return Cell::when($chosen !== [] && $others === [], $chosen === [] ? 'none' : implode(' | ', $chosen));
        }
        $yes = $requirement->value->single() === 'yes';
        if (count($chosen) !== 1) {
            return Cell::when(! $yes, $chosen === [] ? 'none' : count($chosen).' chosen');
        }
        $isCamera = self::isCamera($scene, $chosen[0]);

        return Cell::when($isCamera === $yes, $isCamera ? 'yes' : "no camera: {$chosen[0]}");
    }

    /** Whichever camera is asked, a working view is none. */
    private static function isAsked(Requirement $requirement, SceneSettings $scene, string $camera): bool
    {
        return self::matches($requirement, $camera)
            && ($requirement->value->values !== ['*'] || self::isCamera($scene, $camera));
    }

    private static function isCamera(SceneSettings $scene, string $name): bool
    {
        return ! in_array($name, $scene->cameraSetup->views ?? [], true)
            && ($scene->cameraSetup->all === null || in_array($name, $scene->cameraSetup->all, true));
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        if ($requirement->id() === RequirementId::CAMERA_SINGLE) {
            return null;
        }

        return FactSurvey::cell(
            $subject,
            static fn (MediaFacts $facts): ?array => $facts->labels->camera === null
                ? null
                : [$facts->labels->camera, self::matches($requirement, $facts->labels->camera)],
        );
    }

    /** Exactly, but for `*` and `?`. */
    public static function matches(Requirement $requirement, string $camera): bool
    {
        foreach ($requirement->value->values as $asked) {
            $expression = strtr(preg_quote($asked, '~'), ['\*' => '.*', '\?' => '.']);
            if ($asked === $camera || preg_match("~^{$expression}\$~su", $camera) === 1) {
                return true;
            }
        }

        return false;
    }
}
