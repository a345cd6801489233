<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\Misread;
use PlainLedger\Core\Scene\NamedValues;
use PlainLedger\Core\Scene\RawSettings;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Text\Text;

/** The `plain-ledger/scene` document, version 1. */
final readonly class SceneJson implements SceneReader
{
    private const KEYS = ['format', 'version', 'scene', 'settings', 'outputs', 'title', 'note'];

    public const FORMAT = 'plain-ledger/scene';

    private const SCENE_KEYS = ['file', 'saved', 'project_folder', 'part'];

    private const MOST_OUTPUTS = 50;

    public function read(string $text, string $label, ?FieldMap $map = null): SceneSettings
    {
        return $this->fromDocument(JsonDocument::parse($text, $label, self::FORMAT), $map);
    }

    /** @throws JsonRefused where its structure is not that of a scene document */
    public function fromDocument(JsonDocument $document, ?FieldMap $map = null): SceneSettings
    {
        $scene = $document->object('scene');
        $strange = [
            ...self::strange($document->data, self::KEYS, ''),
            ...self::strange($scene, self::SCENE_KEYS, 'scene.'),
        ];
        $common = $document->object('settings');
        $whole = self::settings($scene, $common, $strange, $map);
        $made = [];
        foreach (self::outputs($document) as $at => $output) {
            $where = 'output '.($at + 1);
            $output = JsonDocument::asObject($output, $document->label, $where);
            $own = JsonDocument::asObject($output['settings'] ?? [], $document->label, "\"settings\" of {$where}");
            $part = isset($output['part']) && is_string($output['part']) ? ['part' => $output['part']] : [];
            $made[] = self::settings($part + $scene, $own + $common, $strange, $map);
        }

        return $made === [] ? $whole : $whole->withOutputs($made);
    }

    /**
     * @param  array<string, mixed>  $members
     * @param  list<string>  $known
     * @return list<string>
     */
    private static function strange(array $members, array $known, string $before): array
    {
        $strange = array_diff(array_map(strval(...), array_keys($members)), $known);

        return array_values(array_map(static fn (string $key): string => $before.Text::shown($key), $strange));
    }

    /** @return list<mixed> */
    private static function outputs(JsonDocument $document): array
    {
        $outputs = $document->data['outputs'] ?? [];
        if (! is_array($outputs) || ! array_is_list($outputs) || count($outputs) > self::MOST_OUTPUTS) {
            throw JsonRefused::because(
                $document->label,
                '"outputs" is a list of at most '.self::MOST_OUTPUTS.' objects, each with "part" and "settings".',
            );
        }

        return $outputs;
    }

    /**
     * @param  array<string, mixed>  $scene
     * @param  array<string, mixed>  $settings
     * @param  list<string>  $strange
     */
    private static function settings(array $scene, array $settings, array $strange, ?FieldMap $map): SceneSettings
    {
        // names that somebody has said the meaning of; values of the others are typed already
        $mapped = [];
        foreach ($map === null ? [] : $settings as $key => $value) {
            $key = (string) $key;
            if ($map?->of($key) !== null && is_scalar($value)) {
                $mapped[] = [
                    $key,
                    match (true) {
                        $value === true => 'yes',
                        $value === false => 'no',
                        default => (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
                    },
                ];
                unset($settings[$key]);
            }
        }
        $mapped = array_map(
            static fn (array $m): array => [$m[0], is_string($text = json_decode($m[1])) ? $text : $m[1]],
            $mapped,
        );
        $told = new RawSettings($scene, $settings, new Misread($strange));

        return ($mapped === [] ? $told : $told->with(NamedValues::understood($mapped, [], $map)))->understood();
    }
}
