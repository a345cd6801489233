<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Scene\Readers\SceneJson;
use PlainLedger\Core\Specification\RequirementId;

/**
 * Settings as the open `plain-ledger/scene` document, version 1: what was told and understood, in its canonical form.
 */
final readonly class SceneDocument
{
    private const FLAGS = JSON_PRETTY_PRINT
        | JSON_UNESCAPED_SLASHES
        | JSON_UNESCAPED_UNICODE
        | JSON_INVALID_UTF8_SUBSTITUTE
        | JSON_THROW_ON_ERROR;

    /**
     * Settings told for several parts, as a document with an output for each; values as they were told.
     *
     * @param  non-empty-array<string, RawSettings>  $told  by part
     */
    public static function ofParts(array $told): string
    {
        $outputs = [];
        $scene = [];
        foreach ($told as $part => $settings) {
            $plain = $settings->plain();
            $scene += $plain['scene'];
            $outputs[] = ['part' => (string) $part, 'settings' => (object) $plain['settings']];
        }

        return json_encode(
            [
                'format' => SceneJson::FORMAT,
                'version' => 1,
                'scene' => (object) $scene,
                'settings' => (object) [],
                'outputs' => $outputs,
            ],
            self::FLAGS,
        );
    }

    public static function write(SceneSettings $scene): string
    {
        $settings = $scene->all() + $scene->cameraSetup->facts;
        $given = [
            'time.timeline' => $scene->timeline === null ? null : (string) $scene->timeline,
            'camera.chosen' => $scene->cameraSetup->chosen,
            'camera.all' => $scene->cameraSetup->all,
            'camera.views' => $scene->cameraSetup->views,
            'passes' => $scene->passes,
            RequirementId::SCENE_LINKS => $scene->source->links,
        ];
        foreach ($given as $id => $value) {
            if ($value !== null) {
                $settings[$id] = $value;
            }
        }
        // its own place is beside the settings
        unset($settings[RequirementId::SCENE_SAVED]);

        return json_encode([
            'format' => SceneJson::FORMAT, 'version' => 1,
            'scene' => (object) array_filter(
                [
                    'file' => $scene->source->file,
                    'saved' => $scene->source->saved,
                    'project_folder' => $scene->source->projectFolder,
                ],
                static fn (mixed $v): bool => $v !== null,
            ),
            'settings' => (object) $settings,
        ], self::FLAGS)
            ."\n";
    }
}
