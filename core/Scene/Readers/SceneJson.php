<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers;

use PlainLedger\Core\JsonDocument;
use PlainLedger\Core\JsonRefused;
use PlainLedger\Core\Measure\Text;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Scene\ToldSettings;

/** The `plain-ledger/scene` document, version 1. */
final readonly class SceneJson implements SceneReader
{
    public const FORMAT = 'plain-ledger/scene';

    private const SCENE_KEYS = ['file', 'saved', 'project_folder'];

    public function read(string $text, string $label): SceneSettings
    {
        return $this->fromDocument(JsonDocument::parse($text, $label, self::FORMAT));
    }

    /** @throws JsonRefused where its structure is not that of a scene document */
    public function fromDocument(JsonDocument $document): SceneSettings
    {
        $scene = $document->object('scene');
        $strange = [];
        foreach (array_keys($document->data) as $key) {
            if (! in_array($key, ['format', 'version', 'scene', 'settings', 'title', 'note'], true)) {
                $strange[] = Text::shown($key);
            }
        }
        foreach (array_keys($scene) as $key) {
            if (! in_array($key, self::SCENE_KEYS, true)) {
                $strange[] = 'scene.'.Text::shown($key);
            }
        }

        return (new ToldSettings($scene, $document->object('settings'), $strange))->understood();
    }
}
