<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\SettableValue;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** `no-camera`, `several-cameras`, `working-view-rendered`, `another-camera`. */
final readonly class CameraCauses implements CauseFamily
{
    private const TOUCHES = [RequirementId::CAMERA_NAME, RequirementId::CAMERA_SINGLE];

    public function find(Situation $situation): iterable
    {
        if (! $situation->isUnequal(...self::TOUCHES)) {
            return;
        }
        $part = $situation->part();
        $camera = (new SettableValue($situation->subject))->camera(
            $situation->entry(RequirementId::CAMERA_NAME)?->requirement,
        );
        $asked = $situation->entry(RequirementId::CAMERA_NAME)->required ?? '';
        $scene = $situation->scene();
        if ($situation->inFiles(RequirementId::CAMERA_NAME) && ! $situation->inScene(RequirementId::CAMERA_SINGLE)) {
            $found = $situation->found(RequirementId::CAMERA_NAME) ?? '';
            if (($situation->entry(RequirementId::CAMERA_NAME)->files->runs ?? []) === []) {
                $view = in_array($found, $scene->views ?? [], true);
                yield Finding::of(
                    $view ? CauseId::WorkingViewRendered : CauseId::AnotherCamera,
                    Side::Files,
                    $view
                        ? "The frames were rendered through the working view {$found}, and {$asked} is asked."
                        : "The frames were rendered through {$found}, and {$asked} is asked.",
                    ["the files name the camera {$found}"],
                    self::TOUCHES,
                    [self::choose($part, RequirementId::CAMERA_NAME, $found, $camera, $asked)],
                )->rendering();
            }

            return;
        }
        $chosen = $scene?->chosen();
        if ($scene === null || $chosen === null) {
            return;
        }
        $names = Text::series($chosen);
        $fix = [self::choose($part, 'camera.chosen', $names, $camera, $asked)];
        $render = $situation->inFiles(RequirementId::CAMERA_NAME);
        if ($chosen === []) {
            yield Finding::of(
                CauseId::NoCamera,
                Side::Scene,
                'No camera is chosen in the scene'.($asked === '' ? '.' : "; {$asked} is asked."),
                ['camera.chosen is empty'],
                self::TOUCHES,
                $fix,
            )->rendering($render);
        } elseif (count($chosen) > 1) {
            yield Finding::of(
                CauseId::SeveralCameras,
                Side::Scene,
                count($chosen)." cameras are chosen, {$names}, where one is asked.",
                ["camera.chosen is {$names}"],
                self::TOUCHES,
                $fix,
            )->rendering($render);
        } elseif (
            in_array($chosen[0], $scene->views ?? [], true)
            || ($scene->cameras !== null && ! in_array($chosen[0], $scene->cameras, true))
        ) {
            yield Finding::of(
                CauseId::WorkingViewRendered,
                Side::Scene,
                "The scene is set to render {$names}, a working view and no camera of the scene."
                    .($asked === '' ? '' : " {$asked} is asked."),
                [
                    "chosen is {$names}",
                    ...(
                        $scene->cameras === null
                            ? []
                            : [
                                'cameras of the scene: '
                                    .($scene->cameras === [] ? 'none' : implode(', ', $scene->cameras)),
                            ]
                    ),
                ],
                self::TOUCHES,
                $fix,
            )->rendering($render);
        } elseif ($situation->isUnequal(RequirementId::CAMERA_NAME)) {
            yield Finding::of(
                CauseId::AnotherCamera,
                Side::Scene,
                "The scene is set to render {$names}, and {$asked} is asked.",
                ["chosen is {$names}"],
                self::TOUCHES,
                $fix,
            )->rendering($render);
        }
    }

    /** The camera to choose, by its name where that is known. */
    private static function choose(string $part, string $id, string $found, ?string $camera, string $asked): Fix
    {
        if ($camera !== null) {
            return Fix::set(
                $part,
                $id,
                'the camera',
                $found,
                $camera,
                "Choose the camera {$camera} alone".($found === '' ? '.' : "; it is {$found}."),
            );
        }

        return Fix::set(
            $part,
            $id,
            'the camera',
            $found,
            $asked,
            $asked === '' || $asked === '*'
                ? 'Choose one camera of the scene.'
                : "Choose one camera of the scene whose name fits {$asked}.",
        );
    }
}
