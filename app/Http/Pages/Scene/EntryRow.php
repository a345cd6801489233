<?php

declare(strict_types=1);

namespace App\Http\Pages\Scene;

use PlainLedger\Core\Scene\SettingHints;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Group;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\ValueType;

/** One line of the sheet: what is asked, and how it is typed. */
final readonly class EntryRow
{
    /** Which line a field is told for. */
    private const LINE = [
        RequirementId::PICTURE_SCALE => RequirementId::PICTURE_RESOLUTION,
        RequirementId::TIME_EXTENT => RequirementId::TIME_RANGE,
        RequirementId::TIME_STEP => RequirementId::TIME_RANGE,
        'time.timeline' => RequirementId::TIME_RANGE,
        'camera.chosen' => RequirementId::CAMERA_NAME,
        'camera.all' => RequirementId::CAMERA_SINGLE,
        'camera.views' => RequirementId::CAMERA_SINGLE,
    ];

    private const EXAMPLES = [
        'camera.chosen' => 'cam_quay',
        'camera.all' => 'cam_quay, cam_wide',
        'camera.views' => 'top, working',
        'time.timeline' => '990-1110',
        'passes' => 'beauty=yes, mist=no',
        RequirementId::SCENE_SAVED => 'yes',
        'scene.file' => 'TC_010_light_v003',
        'scene.project_folder' => 'tide_clock',
        RequirementId::NAMING_PATTERN => 'TC_010_v003.####.exr',
        RequirementId::OUTPUT_FOLDER => 'renders/TC_010',
    ];

    public string $field;

    public string $line;

    public string $label;

    public ?Group $group;

    public ?string $required;

    public ?Level $level;

    public string $example;

    /** @var list<string> what it can be, where that is a matter of a few words */
    public array $words;

    public ?string $where;

    /** @param  array<string, Requirement>  $requirements  by id */
    public function __construct(string $field, ?string $label, array $requirements)
    {
        $line = isset($requirements[$field]) ? $field : self::LINE[$field] ?? $field;
        $requirement = $requirements[$line] ?? null;
        $descriptor = Catalogue::standard()->find($field);
        $isOwn = $line === $field || $field === 'camera.chosen';
        $this->field = $field;
        $this->line = $line;
        $this->required = $isOwn ? $requirement?->required() : null;
        $this->level = $requirement?->level;
        $this->words = self::words($field, $descriptor, $requirement);
        $this->label = $label ?? $descriptor->label ?? $field;
        $this->group = self::group($descriptor, $requirement);
        $this->example = self::example($field, $descriptor);
        $this->where = $descriptor === null ? null : SettingHints::of($descriptor);
    }

    private static function group(?Descriptor $descriptor, ?Requirement $requirement): ?Group
    {
        return $descriptor->group ?? $requirement->descriptor->group ?? null;
    }

    private static function example(string $field, ?Descriptor $descriptor): string
    {
        return self::EXAMPLES[$field] ?? $descriptor->accepts->example ?? '';
    }

    /** @return list<string> */
    private static function words(string $field, ?Descriptor $descriptor, ?Requirement $requirement): array
    {
        return match (true) {
            $field === RequirementId::SCENE_SAVED => ['yes', 'no'],
            $descriptor === null => [],
            $descriptor->type === ValueType::OnOff => ['on', 'off'],
            $descriptor->type === ValueType::YesNo => ['yes', 'no'],
            $descriptor->type === ValueType::Word => array_slice($descriptor->accepts->words, 0, 20),
            $descriptor->type === ValueType::Passes
                && $requirement !== null => [
                    implode(', ', array_map(static fn (string $p): string => "{$p}=yes", $requirement->value->values)),
                ],
            default => [],
        };
    }
}
