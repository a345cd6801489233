<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\SettableValue;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Scene\SceneSettings;
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
        $byFiles = $situation->inFiles(RequirementId::CAMERA_NAME)
            && ! $situation->inScene(RequirementId::CAMERA_SINGLE);
        yield from $byFiles ? $this->fromFiles($situation) : $this->fromScene($situation);
    }

    /** @return iterable<Finding> */
    private function fromFiles(Situation $situation): iterable
    {
        if (($situation->entry(RequirementId::CAMERA_NAME)->files->runs ?? []) !== []) {
            return;
        }
        $found = $situation->found(RequirementId::CAMERA_NAME) ?? '';
        $asked = $situation->asked(RequirementId::CAMERA_NAME);
        $view = in_array($found, $situation->scene()->cameraSetup->views ?? [], true);
        yield Finding::of(
            $view ? CauseId::WorkingViewRendered : CauseId::AnotherCamera,
            Side::Files,
            'The frames were rendered through '.($view ? 'the working view ' : '')."{$found}, and {$asked} is asked.",
            ["the files name the camera {$found}"],
            self::TOUCHES,
            [$this->choose($situation, RequirementId::CAMERA_NAME, $found)],
        )->rendering();
    }

    /** @return iterable<Finding> */
    private function fromScene(Situation $situation): iterable
    {
        $scene = $situation->scene();
        $chosen = $scene?->chosen();
        if ($scene === null || $chosen === null) {
            return;
        }
        $id = match (true) {
            $chosen === [] => CauseId::NoCamera,
            count($chosen) > 1 => CauseId::SeveralCameras,
            self::isNoCamera($scene, $chosen[0]) => CauseId::WorkingViewRendered,
            default => $situation->isUnequal(RequirementId::CAMERA_NAME) ? CauseId::AnotherCamera : null,
        };
        if ($id === null) {
            return;
        }
        $names = Text::series($chosen);
        yield Finding::of(
            $id,
            Side::Scene,
            $this->says($id, $chosen, $situation->asked(RequirementId::CAMERA_NAME)),
            $this->evidence($id, $names, $scene),
            self::TOUCHES,
            [$this->choose($situation, 'camera.chosen', $names)],
        )->rendering($situation->inFiles(RequirementId::CAMERA_NAME));
    }

    private static function isNoCamera(SceneSettings $scene, string $name): bool
    {
        return in_array($name, $scene->cameraSetup->views ?? [], true)
            || ($scene->cameraSetup->all !== null && ! in_array($name, $scene->cameraSetup->all, true));
    }

    /** @param  list<string>  $chosen */
    private function says(CauseId $id, array $chosen, string $asked): string
    {
        $names = Text::series($chosen);

        return match ($id) {
            CauseId::NoCamera => 'No camera is chosen in the scene'.($asked === '' ? '.' : "; {$asked} is asked."),
            CauseId::SeveralCameras => count($chosen)." cameras are chosen, {$names}, where one is asked.",
            CauseId::WorkingViewRendered => "The scene is set to render {$names}, a working view and no camera of the "
                .'scene.'.($asked === '' ? '' : " {$asked} is asked."),
            default => "The scene is set to render {$names}, and {$asked} is asked.",
        };
    }

    /** @return list<string> */
    private function evidence(CauseId $id, string $names, SceneSettings $scene): array
    {
        $known = $scene->cameraSetup->all === [] ? 'none' : implode(', ', $scene->cameraSetup->all ?? []);

        return match ($id) {
            CauseId::NoCamera => ['camera.chosen is empty'],
            CauseId::SeveralCameras => ["camera.chosen is {$names}"],
            CauseId::WorkingViewRendered => [
                "chosen is {$names}",
                ...($scene->cameraSetup->all === null ? [] : ["cameras of the scene: {$known}"]),
            ],
            default => ["chosen is {$names}"],
        };
    }

    /** The camera to choose, by its name where that is known. */
    private function choose(Situation $situation, string $id, string $found): Fix
    {
        $camera = (new SettableValue($situation->subject))->camera(
            $situation->entry(RequirementId::CAMERA_NAME)?->requirement,
        );
        $asked = $situation->asked(RequirementId::CAMERA_NAME);
        $says = match (true) {
            $camera !== null => "Choose the camera {$camera} alone".($found === '' ? '.' : "; it is {$found}."),
            in_array($asked, ['', '*'], true) => 'Choose one camera of the scene.',
            default => "Choose one camera of the scene whose name fits {$asked}.",
        };

        return Fix::set($situation->part(), $id, 'the camera', $found, $camera ?? $asked, $says);
    }
}
