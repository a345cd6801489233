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
        $setup = $scene->cameraSetup;
        $names = ['camera.chosen' => $setup->chosen, 'camera.all' => $setup->all, 'camera.views' => $setup->views];
        $lists = array_map(
            static fn (array $list): string => implode(', ', $list),
            array_filter($names, is_array(...)),
        );
        $saved = $scene->source->saved === null ? null : ['no', 'yes'][(int) $scene->source->saved];
        $more = [
            'camera.chosen' => $scene->get(RequirementId::CAMERA_NAME),
            RequirementId::SCENE_SAVED => $saved,
            'scene.file' => $scene->source->file,
            'scene.project_folder' => $scene->source->projectFolder,
            'time.timeline' => $scene->timeline === null ? null : (string) $scene->timeline,
        ];

        return $lists + self::passes($scene) + $scene->all() + array_filter($more, is_string(...));
    }

    /** @return array<string, string> */
    private static function passes(SceneSettings $scene): array
    {
        $mark = static fn (?bool $saved): string => match ($saved) {
            true => '=yes',
            false => '=no',
            null => '',
        };
        $passes = array_map(
            static fn (array $pass): string => $pass['name'].$mark($pass['saved']),
            $scene->passes ?? [],
        );

        return $scene->passes === null ? [] : [RequirementId::PASSES => implode(', ', $passes)];
    }
}
