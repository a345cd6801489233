<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers;

use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\StringSource;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\Misread;
use PlainLedger\Core\Scene\RawSettings;
use PlainLedger\Core\Scene\Readers\Usd\UsdRenderSettings;
use PlainLedger\Core\Scene\Readers\Usd\UsdStage;
use PlainLedger\Core\Scene\Readers\Usd\UsdStageReader;
use PlainLedger\Core\Scene\Readers\Usd\UsdText;
use PlainLedger\Core\Scene\Readers\Usd\UsdTime;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Text\Text;

/**
 * A scene, or its render settings, in the text form of USD: the stage's rate and range, cameras, and RenderSettings,
 * RenderProduct and RenderVar prims (UsdRender and UsdGeom schemas).
 */
final readonly class UsdScene implements SceneReader
{
    public function read(string $text, string $label, ?FieldMap $map = null): SceneSettings
    {
        return self::from(new StringSource($text), $label);
    }

    /** @throws JsonRefused */
    public static function from(ByteSource $source, string $label): SceneSettings
    {
        $label = Text::shown($label);
        $text = new UsdText($source, $label);
        $stage = UsdStageReader::read($text, $label);
        if ($stage->isEmpty()) {
            throw JsonRefused::because(
                $label,
                'there is neither a frame rate or range of the stage in it, nor a camera, nor render settings.',
            );
        }

        return self::told($stage, $text->wasLatin() ? [DetectingReader::LATIN] : [])->understood();
    }

    /** @param  list<string>  $strange  what was not understood before */
    private static function told(UsdStage $stage, array $strange): RawSettings
    {
        $time = new UsdTime($stage);
        $cameras = array_map($stage->nameOf(...), $stage->ofType('Camera'));
        $chosen = self::chosenSettings($stage);
        $settings = $chosen === null ? null : new UsdRenderSettings($stage, $chosen);
        $several = $chosen === null ? self::undecided($stage) : null;
        $faults = array_filter([$time->fault(), $several], is_string(...));

        return new RawSettings(
            [],
            $time->settings() + ($cameras === [] ? [] : ['camera.all' => $cameras]) + ($settings?->settings() ?? []),
            new Misread([...$strange, ...array_values($faults), ...$settings?->faults() ?? []]),
        );
    }

    /** The settings that the stage names, else the only ones there are. */
    private static function chosenSettings(UsdStage $stage): ?string
    {
        $all = $stage->ofType('RenderSettings');
        $named = $stage->metadata['renderSettingsPrimPath'] ?? null;
        if (is_string($named) && in_array($named, $all, true)) {
            return $named;
        }

        return count($all) === 1 ? $all[0] : null;
    }

    private static function undecided(UsdStage $stage): ?string
    {
        $all = $stage->ofType('RenderSettings');

        return $all === []
            ? null
            : 'several render settings, and the stage does not say which hold: '.implode(', ', array_slice($all, 0, 5));
    }
}
