<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Media\Kind;

/** JSON Schemas (draft 2020-12) and TypeScript types of what can be asked, written from the descriptors. */
final readonly class SchemaWriter
{
    private const DRAFT = 'https://json-schema.org/draft/2020-12/schema';

    public function __construct(private Catalogue $catalogue) {}

    /** @return array<string, mixed> the schema of `plain-ledger/specification`, version 1 */
    public function specification(): array
    {
        $require = [
            'type' => 'object',
            'properties' => [],
            'patternProperties' => ['^other\\.[A-Za-z0-9_-]{1,60}$' => true],
        ];
        foreach ($this->catalogue->all() as $descriptor) {
            $require['properties'][$descriptor->id] = [
                'title' => $descriptor->label,
                'description' => str_replace('%s', '…', $descriptor->wording->sentence),
                'anyOf' => [
                    ['type' => 'null'], ...$this->plain($descriptor), $this->bounded($descriptor),
                ],
            ];
        }
        $delivers = ['enum' => array_map(static fn (Delivers $d): string => $d->value, Delivers::cases())];

        return [
            '$schema' => self::DRAFT,
            '$id' => 'urn:plain-ledger:specification:1',
            'title' => 'What a deliverable must be',
            'type' => 'object',
            'required' => ['format', 'version'],
            'properties' => [
                'format' => ['const' => Specification::FORMAT],
                'version' => ['const' => 1],
                'title' => ['type' => 'string'],
                'delivers' => $delivers,
                'values' => [
                    'type' => 'object',
                    'additionalProperties' => ['type' => ['string', 'number', 'boolean', 'null']],
                ],
                'require' => ['$ref' => '#/$defs/require'],
                'parts' => ['type' => 'array', 'items' => [
                    'type' => 'object', 'required' => ['name', 'delivers'],
                    'properties' => [
                        'name' => ['type' => 'string', 'minLength' => 1],
                        'delivers' => $delivers,
                        'made_from' => ['type' => 'string'],
                        'require' => ['$ref' => '#/$defs/require'],
                    ],
                ]],
                'starting_values' => ['type' => 'object'],
            ],
            '$defs' => ['require' => $require],
        ];
    }

    /** @return array<string, mixed> the schema of `plain-ledger/scene`, version 1 */
    public function scene(): array
    {
        $scalar = ['type' => ['string', 'number', 'boolean', 'null']];
        $names = ['type' => 'array', 'items' => ['type' => 'string']];
        $settings = [
            'time.timeline' => $scalar,
            'time.animation_rate' => $scalar,
            'naming.adds_digits' => $scalar,
            'naming.prefix' => $scalar,
            'naming.order' => $scalar,
            'naming.digits' => $scalar,
            'camera.chosen' => $names,
            'camera.all' => $names,
            'camera.views' => $names,
            'camera.placement' => ['type' => ['string', 'array', 'number']],
            'camera.lens' => ['type' => ['string', 'array', 'number']],
            'passes' => [
                'type' => 'array',
                'items' => [
                    'anyOf' => [
                        ['type' => 'string'],
                        [
                            'type' => 'object',
                            'required' => ['name'],
                            'properties' => [
                                'name' => ['type' => 'string'],
                                'saved' => ['type' => ['boolean', 'null']],
                            ],
                        ],
                    ],
                ],
            ],
            RequirementId::SCENE_LINKS => [
                'type' => 'array',
                'items' => [
                    'type' => 'object',
                    'required' => ['path'],
                    'properties' => ['path' => ['type' => 'string'], 'present' => ['type' => ['boolean', 'null']]],
                ],
            ],
        ];
        foreach ($this->catalogue->all() as $descriptor) {
            if ($descriptor->inScene()) {
                $settings[$descriptor->id] ??= [
                    'title' => $descriptor->label,
                    'type' => ['string', 'number', 'boolean', 'null', 'array'],
                ];
            }
        }

        return [
            '$schema' => self::DRAFT,
            '$id' => 'urn:plain-ledger:scene:1',
            'title' => 'What a scene is set to produce',
            'type' => 'object',
            'required' => ['format', 'version'],
            'properties' => [
                'format' => ['const' => 'plain-ledger/scene'],
                'version' => ['const' => 1],
                'scene' => [
                    'type' => 'object',
                    'properties' => [
                        'file' => ['type' => 'string'],
                        'saved' => ['type' => ['boolean', 'string', 'number']],
                        'project_folder' => ['type' => 'string'],
                        'part' => ['type' => 'string'],
                    ],
                ],
                'outputs' => [
                    'type' => 'array',
                    'items' => [
                        'type' => 'object',
                        'properties' => [
                            'part' => ['type' => 'string'],
                            'settings' => ['type' => 'object', 'properties' => $settings],
                        ],
                    ],
                ],
                'settings' => ['type' => 'object', 'properties' => $settings],
            ],
        ];
    }

    /** @return list<array<string, mixed>> a value written plainly, or as a list */
    private function plain(Descriptor $descriptor): array
    {
        $one = match ($descriptor->type) {
            ValueType::Word => ['enum' => $descriptor->accepts->words],
            ValueType::Kind => [
                'type' => 'string',
                'examples' => array_map(static fn (Kind $k): string => $k->value, Kind::cases()),
            ],
            ValueType::YesNo, ValueType::OnOff => [
                'enum' => ['yes', 'no', 'on', 'off', true, false, 1, 0, 'true', 'false', '1', '0'],
            ],
            ValueType::Passes => ['type' => 'string'],
            ValueType::Reference => ['type' => ['string', 'object']],
            default => ['type' => ['string', 'number']] + (
                $descriptor->accepts->example === '' ? [] : ['examples' => [$descriptor->accepts->example]]
            ),
        };

        return [
            $one,
            [
                'type' => 'array',
                'minItems' => 1,
                'items' => $descriptor->type === ValueType::Passes ? ['type' => ['string', 'object']] : $one,
            ],
        ];
    }

    /** @return array<string, mixed> a value as an object, with its level and reason */
    private function bounded(Descriptor $descriptor): array
    {
        $number = ['type' => ['string', 'number']];
        $properties = ['value' => true, 'level' => ['enum' => ['must', 'should']], 'why' => ['type' => 'string']];
        if ($descriptor->accepts->bounds) {
            $properties += ['min' => $number, 'max' => $number];
        }
        if ($descriptor->type === ValueType::Handles || $descriptor->type === ValueType::Hold) {
            $properties += [
                'head' => ['type' => 'integer', 'minimum' => 0],
                'tail' => ['type' => 'integer', 'minimum' => 0],
            ];
        }

        $properties += match ($descriptor->type) {
            ValueType::Hold => ['tolerance' => $number],
            ValueType::Black => ['threshold' => $number, 'dark_share' => $number],
            ValueType::Reference => ['frame' => $number, 'picture' => ['type' => 'string'], 'tolerance' => $number],
            default => [],
        };

        return ['type' => 'object', 'properties' => $properties];
    }

    /** TypeScript: the ids of requirements, and their groups. */
    public function types(): string
    {
        $lines = ["/* Written by bin/generate from the descriptors; changes here are lost. */\n"];
        $ids = array_map(static fn (Descriptor $d): string => "    | '{$d->id}'", $this->catalogue->all());
        $lines[] = "export type RequirementId =\n".implode("\n", $ids)."\n    | `other.\${string}`;\n";
        $groups = array_map(static fn (Group $g): string => "'{$g->value}'", Group::cases());
        $lines[] = "export type Group =\n    | ".implode("\n    | ", $groups).";\n";

        return implode("\n", $lines);
    }
}
