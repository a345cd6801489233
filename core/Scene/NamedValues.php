<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use Brick\Math\BigDecimal;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Spellings;
use PlainLedger\Core\Text\Text;

/** Values under whatever names people and programs give them, brought under the ids of requirements. */
final class NamedValues
{
    /** Fields that are lists of names. */
    private const LISTS = ['camera.chosen', 'camera.all', 'camera.views', RequirementId::PASSES];

    /** Fields that come to a setting only together with others. */
    private const TOGETHER = [
        'rate base', 'width', 'height', 'first', 'last', 'path', 'old length', 'new length', 'region.on', 'region.left',
        'region.right', 'region.top', 'region.bottom', 'region.x', 'region.y', 'region.width', 'region.height',
        'scene.file', RequirementId::SCENE_SAVED, 'scene.unsaved', 'scene.project_folder', 'scene.part',
    ];

    /** “1280 x 720 at 50 %” is a size and its scale. */
    private const SIZE_AT_SCALE = '~^(.*?\d)\D{0,4}[\s,]*(?:@|at|[(,;])\s*'
        .'(\d{1,4}(?:[.,]\d+)?\s*%)\)?(?:\s*scale)?\s*$~iu';

    private const LONE_NUMBER = '~^\d{2,4}(?:\.\d+)?(?:\s*(?:dpi|ppi))?$~i';

    private const FACTOR = '~^(?:[x×]\s*)?(?:[0-3]?\.\d+|[0-3]|[0-4]\.0*|4)\s*[x×]?$~iu';

    private const PASS_AND_MARK = '~^(.+?)\s*[=:]\s*(yes|no|on|off|true|false|1|0|enabled|disabled)$~i';

    /** @var array<string, array{string, string}> name and value by field */
    private array $fields = [];

    /** @var list<string> each with whether it is saved */
    private array $passes = [];

    /** @var list<string> */
    private array $strange = [];

    /** @var list<UnknownSetting> */
    private array $unknown = [];

    private function __construct(private readonly ?FieldMap $map) {}

    /**
     * @param  list<array{string, string}>  $told  names and values, in their order; of one told twice the last counts
     * @param  list<string>  $strange  what was not understood before
     */
    public static function understood(array $told, array $strange = [], ?FieldMap $map = null): RawSettings
    {
        $values = new self($map);
        $values->strange = $strange;
        foreach ($told as [$name, $value]) {
            $values->add($name, $value);
        }

        return $values->settings();
    }

    private function add(string $name, string $value): void
    {
        $pass = $this->map?->of($name) === null ? FieldNames::passIn($name) : null;
        $saved = $pass === null ? null : Spellings::truth(trim($value));
        if ($saved !== null) {
            // each of a list of passes is switched on or off by its name, whatever else that is called elsewhere
            $this->passes[] = $pass.($saved ? '=yes' : '=no');

            return;
        }
        $read = NamedValue::read($name, $value, $this->map);
        if ($read->field === null) {
            $this->note($name, $read->value);
        } elseif ($read->field !== '' && $read->tells()) {
            $float = $read->tellsFloat() && $this->map?->of($name) === null;
            $this->fields += $float ? [RequirementId::FORMAT_SAMPLE => [$name, 'float']] : [];
            $this->fields[$read->field] = [$name, $read->value];
        }
    }

    private function note(string $name, string $value): void
    {
        $brief = static fn (string $text, int $most): string => Text::shown(mb_strimwidth($text, 0, $most, '…'));
        $this->strange[] = $brief($name, 80);
        $this->unknown[] = new UnknownSetting($brief($name, 200), $brief($value, 200), null);
    }

    private function settings(): RawSettings
    {
        $this->fields += $this->passes === []
            ? []
            : [RequirementId::PASSES => ['passes', implode(', ', $this->passes)]];
        $this->fields = FormatDetails::spread($this->sizeAndScale());
        $this->noteLoneEnd('first', 'last');
        $this->noteLoneEnd('last', 'first');
        $values = array_map(static fn (array $field): string => $field[1], $this->fields);
        $together = JoinedFields::of($values);
        $size = $values[RequirementId::PICTURE_RESOLUTION] ?? '';
        if (isset($together[RequirementId::PICTURE_RESOLUTION]) && preg_match(self::LONE_NUMBER, $size) === 1) {
            // a lone number beside width and height is how many pixels an inch has
            $together += [RequirementId::PICTURE_DENSITY => $size];
        }
        // width and height, first and last, are plainer than one word for both
        $plainer = array_intersect_key($together, array_flip(JoinedFields::PLAINER));

        return new RawSettings(
            self::scene($values),
            $plainer + $this->alone($values) + $together,
            new Misread($this->strange, $this->unknown),
            array_map(static fn (array $field): string => $field[0], $this->fields),
        );
    }

    /** @return array<string, array{string, string}> */
    private function sizeAndScale(): array
    {
        [$name, $value] = $this->fields[RequirementId::PICTURE_RESOLUTION] ?? ['', ''];

        return preg_match(self::SIZE_AT_SCALE, $value, $m) === 1
            ? [RequirementId::PICTURE_RESOLUTION => [$name, $m[1]]]
                + $this->fields
                + [RequirementId::PICTURE_SCALE => [$name, $m[2]]]
            : $this->fields;
    }

    /** One end alone is no range, and is not passed over. */
    private function noteLoneEnd(string $end, string $other): void
    {
        $told = [$other => 1, RequirementId::TIME_RANGE => 1, RequirementId::TIME_COUNT => 1];
        if (! isset($this->fields[$end]) || array_intersect_key($this->fields, $told) !== []) {
            return;
        }
        [$name, $value] = array_map(Text::shown(...), $this->fields[$end]);
        $why = 'The other end of the range is not told.';
        $this->strange[] = "{$name}: ".lcfirst($why);
        $this->unknown[] = new UnknownSetting($name, $value, RequirementId::TIME_RANGE, $why);
    }

    /**
     * @param  array<string, string>  $values
     * @return array<string, string>
     */
    private static function scene(array $values): array
    {
        $unsaved = isset($values['scene.unsaved']) ? Spellings::truth($values['scene.unsaved']) !== false : null;
        $saved = $unsaved === null ? null : ['yes', 'no'][(int) $unsaved];
        $told = [
            'part' => $values['scene.part'] ?? null,
            'file' => $values['scene.file'] ?? null,
            'saved' => $values[RequirementId::SCENE_SAVED] ?? $saved,
            'project_folder' => $values['scene.project_folder'] ?? null,
        ];

        return array_filter($told, is_string(...));
    }

    /**
     * @param  array<string, string>  $values
     * @return array<string, mixed> those that stand for themselves
     */
    private function alone(array $values): array
    {
        $settings = array_diff_key($values, array_flip(self::TOGETHER));
        foreach (array_intersect_key($settings, array_flip(self::LISTS)) as $field => $value) {
            $settings[$field] = self::names($field, $value);
        }
        $id = RequirementId::PICTURE_SCALE;
        if (isset($values[$id]) && $this->map?->of($this->fields[$id][0])?->unit === null) {
            $settings[$id] = self::percent($values[$id], $this->fields[$id][0]);
        }

        return $settings;
    }

    /**
     * A half is written as 0.5, and as 50 with or without its sign. Nobody renders at two percent: small numbers are
     * factors.
     */
    private static function percent(string $value, string $name): string
    {
        if (preg_match(self::FACTOR, $value) !== 1 || stripos($name, 'percent') !== false) {
            return $value;
        }
        $factor = (string) preg_replace('~[x×\s]~iu', '', $value);

        return (string) BigDecimal::of($factor)->multipliedBy(100)->stripTrailingZeros();
    }

    /** @return list<string|array{name: string, saved: string}> */
    private static function names(string $field, string $value): array
    {
        $names = preg_split('~\s*[,;|]\s*~', trim($value, "[]() \t"), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $names = array_map(static fn (string $name): string => trim($name, "\"' "), $names);
        $pass = static fn (string $name): string|array => preg_match(self::PASS_AND_MARK, $name, $m) === 1
            ? ['name' => $m[1], 'saved' => $m[2]]
            : $name;

        return $field === RequirementId::PASSES ? array_map($pass, $names) : $names;
    }
}
