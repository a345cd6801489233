<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Specification\RequirementId;

/** Settings as one would type them, field by field. */
final readonly class TypedSettings
{
    /** @return array<string, string> by field */
    public static function of(SceneSettings $scene): array
    {
        $told = $scene->all();
        foreach ([
            'camera.chosen' => $scene->chosenCameras,
            'camera.all' => $scene->cameras,
            'camera.views' => $scene->views,
        ] as $field => $names) {
            if ($names !== null) {
                $told[$field] = implode(', ', $names);
            }
        }
        if ($scene->chosenCameras === null && isset($told[RequirementId::CAMERA_NAME])) {
            $told['camera.chosen'] = $told[RequirementId::CAMERA_NAME];
        }
        if ($scene->passes !== null) {
            $told['passes'] = implode(', ', array_map(static fn (array $p): string => $p['name'].match ($p['saved']) {
                true => '=yes', false => '=no', null => '',
            }, $scene->passes));
        }

        return $told + array_filter(
            [
                RequirementId::SCENE_SAVED => $scene->saved === null ? null : ($scene->saved ? 'yes' : 'no'),
                'scene.file' => $scene->file,
                'scene.project_folder' => $scene->projectFolder,
                'time.timeline' => $scene->timeline === null ? null : (string) $scene->timeline,
            ],
            is_string(...),
        );
    }
}
