<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\LenientValue;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\Spellings;
use PlainLedger\Core\Specification\Values\Scalar;
use PlainLedger\Core\Specification\ValueType;
use PlainLedger\Core\Specification\Vocabulary;
use PlainLedger\Core\Text\Text;

/** Settings under the ids of requirements, with values as whoever wrote them wrote them. */
final readonly class RawSettings
{
    private const LONGEST_LIST = 10_000;

    /**
     * @param  array<string, mixed>  $scene  file, saved, project_folder and part
     * @param  array<string, mixed>  $settings  by id
     * @param  list<string>  $strange  what was not understood before
     * @param  list<UnknownSetting>  $unknown  names that stand for nothing known
     * @param  array<string, string>  $names  by id, how the setting was called where it came from
     */
    public function __construct(
        private array $scene,
        private array $settings,
        private array $strange = [],
        private array $unknown = [],
        private array $names = [],
    ) {}

    /** @return array{scene: array<string, mixed>, settings: array<string, mixed>} as it was told, as a scene document has it */
    public function plain(): array
    {
        return ['scene' => $this->scene, 'settings' => $this->settings];
    }

    /** This with what another tells besides; the other goes before. */
    public function with(self $other): self
    {
        return new self(
            $other->scene + $this->scene,
            $other->settings + $this->settings,
            [...$this->strange, ...$other->strange],
            [...$this->unknown, ...$other->unknown],
            $other->names + $this->names,
        );
    }

    /** Each value by its type; what is no value of its type is told as not understood. */
    public function understood(): SceneSettings
    {
        $scene = $this->scene;
        $given = $this->settings;
        $strange = $this->strange;
        $catalogue = Catalogue::standard();
        $settings = [];
        $lists = [];
        $timeline = null;
        $unknown = $this->unknown;
        $facts = [];
        foreach ($given as $key => $value) {
            if ($value === null) {
                continue;
            }
            $key = (string) $key;
            try {
                if ($key === 'time.timeline') {
                    $timeline = FrameRange::parse(Scalar::text($value));
                } elseif (
                    in_array(
                        $key,
                        ['camera.chosen', 'camera.all', 'camera.views', 'passes', RequirementId::SCENE_LINKS],
                        true,
                    )
                ) {
                    $lists[$key] = $value;
                } elseif (in_array($key, SceneSettings::FACTS, true)) {
                    $facts[$key] = mb_strcut(
                        trim(
                            (string) preg_replace(
                                '~\s+~',
                                ' ',
                                is_array($value) ? (string) json_encode($value) : Scalar::text($value),
                            ),
                        ),
                        0,
                        1000,
                    );
                } elseif (in_array($key, SceneFileNames::KEYS, true)) {
                    $settings[$key] = trim(Scalar::text($value));
                } elseif ($key === 'time.animation_rate') {
                    $rate = $this->setting(
                        $catalogue->find(RequirementId::TIME_RATE) ?? throw new \LogicException('There is a rate.'),
                        $value,
                    );
                    $settings += $rate === null ? [] : [$key => $rate];
                } elseif (
                    ($descriptor = $catalogue->find($key)) !== null
                    && ($descriptor->inScene() || $key === RequirementId::TIME_HANDLES)
                ) {
                    $setting = $this->setting($descriptor, $value);
                    if ($setting !== null) {
                        $settings[$key] = $setting;
                    }
                    if ($setting !== null && ! Vocabulary::has($descriptor, $setting)) {
                        $strange[] = Text::shown($key).': “'.self::brief($value).'” is no word known here for it.';
                        $unknown[] = new UnknownSetting(
                            $this->names[$key] ?? Text::shown($key),
                            self::brief($value),
                            $key,
                        );
                    }
                } else {
                    $strange[] = Text::shown($key);
                    $unknown[] = new UnknownSetting(Text::shown($key), self::brief($value), null);
                }
            } catch (NotUnderstood|PatternRefused $refused) {
                $strange[] = Text::shown($key).': '.$refused->getMessage();
                $unknown[] = new UnknownSetting(
                    $this->names[$key] ?? Text::shown($key),
                    self::brief($value),
                    $key,
                    $refused->getMessage(),
                );
            }
        }
        $settings = SceneFileNames::joined(
            SceneDepth::perChannel(
                $settings,
                $given[RequirementId::FORMAT_BIT_DEPTH] ?? null,
                $this->names,
                $strange,
                $unknown,
            ),
        );
        $names = fn (string $key): ?array => isset($lists[$key]) ? $this->names($lists[$key], $key, $strange) : null;
        $chosen = $names('camera.chosen');
        $all = $names('camera.all');
        $views = $names('camera.views');
        $passes = isset($lists['passes']) ? $this->passes($lists['passes'], $strange, $unknown) : null;
        $links = isset($lists[RequirementId::SCENE_LINKS])
            ? $this->links($lists[RequirementId::SCENE_LINKS], $strange, $unknown)
            : null;
        $saved = $this->truth(
            $scene['saved'] ?? $settings[RequirementId::SCENE_SAVED] ?? null,
            RequirementId::SCENE_SAVED,
            $strange,
            $unknown,
        );

        return new SceneSettings(
            $this->text($scene['file'] ?? null, 'scene.file', $strange),
            $saved,
            $this->text($scene['project_folder'] ?? null, 'scene.project_folder', $strange),
            $settings, $timeline, $chosen, $all, $views, $passes, $links, $strange, array_slice($unknown, 0, 1000),
            $facts,
            $this->text($scene['part'] ?? null, 'scene.part', $strange),
        );
    }

    private static function brief(mixed $value): string
    {
        return mb_strimwidth(
            Text::shown(
                is_string($value)
                    ? $value
                    : (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
            ),
            0,
            200,
            '…',
        );
    }

    /**
     * The canonical text; null where the field is there and empty, so that nothing is told.
     *
     * @throws NotUnderstood|PatternRefused
     */
    private function setting(Descriptor $descriptor, mixed $value): ?string
    {
        $type = $descriptor->type;
        // two numbers where one text of two is usual
        if (
            is_array($value)
            && array_is_list($value)
            && count($value) === 2
            && is_int($value[0])
            && is_int($value[1])
        ) {
            $value = match ($type) {
                ValueType::Resolution => "{$value[0]}x{$value[1]}",
                ValueType::Range => "{$value[0]}-{$value[1]}",
                default => $value,
            };
        }
        if ($type !== ValueType::Pattern && is_string($value) && trim($value) === '') {
            return null;
        }
        if ($type === ValueType::Pattern) {
            $text = trim(Scalar::text($value));

            // an empty folder is an answer too: none is set
            return $text === ''
                ? ''
                : (
                    $descriptor->id === RequirementId::NAMING_PATTERN
                        ? (string) NamePattern::parseSceneName($text)
                        : $text
                );
        }
        if ($type === ValueType::Channels || $type === ValueType::Handles) {
            return (string) RequirementValue::read($descriptor, $value);
        }
        if ($type === ValueType::Word && $descriptor->id !== RequirementId::TIME_EXTENT) {
            // a word not on our list is a value all the same, it will just not be equal
            $told = LenientValue::word($descriptor, Scalar::text($value));
            if (
                $descriptor->id === RequirementId::FORMAT_COMPRESSION
                && preg_match('~^\d+(?:\.\d+)?\s*%?$~', $told) === 1
            ) {
                throw NotUnderstood::because("“{$told}” says how much is compressed, and not how.");
            }
            $word = strtolower(trim(Spellings::usual($descriptor->id, $told)));

            // that there is alpha does not say of which kind it is
            return $descriptor->id === RequirementId::FORMAT_ALPHA && $word === 'any' ? 'alpha' : $word;
        }
        if ($type === ValueType::Kind) {
            $text = trim(LenientValue::word($descriptor, Scalar::text($value)));

            return \PlainLedger\Core\Media\Kind::fromWord($text)->value ?? strtolower($text);
        }
        if ($type === ValueType::Passes || $type->format()->isFreeText()) {
            return is_array($value)
                ? implode(' | ', array_map(Scalar::text(...), $value))
                : trim(Spellings::usual($descriptor->id, Scalar::text($value)));
        }

        $readings = LenientValue::readings($descriptor, Scalar::text($value));
        foreach ($readings as $reading) {
            try {
                return $descriptor->canonical($reading);
            } catch (NotUnderstood) {
                // the next reading may do
            }
        }

        return $descriptor->canonical(Scalar::text($value));
    }

    /**
     * @param  list<string>  $strange
     * @return list<string>|null
     */
    private function names(mixed $value, string $key, array &$strange): ?array
    {
        $list = is_array($value) && array_is_list($value) ? $value : [$value];
        $names = [];
        foreach (array_slice($list, 0, self::LONGEST_LIST) as $item) {
            if (is_array($item)) {
                $item = $item['name'] ?? null;
            }
            if (! is_string($item) && ! is_int($item)) {
                $strange[] = "{$key}: a list of names is expected, and ".JsonDocument::typeOf($item).' stands there.';

                return null;
            }
            if (trim((string) $item) !== '') {
                $names[] = (string) $item;
            }
        }

        return array_values(array_unique($names));
    }

    /**
     * @param  list<string>  $strange
     * @param  list<UnknownSetting>  $unknown
     * @return list<array{name: string, saved: bool|null}>|null
     */
    private function passes(mixed $value, array &$strange, array &$unknown): ?array
    {
        $passes = [];
        foreach (is_array($value) && array_is_list($value) ? array_slice(
            $value,
            0,
            self::LONGEST_LIST,
        ) : [$value] as $item) {
            $name = is_array($item) ? $item['name'] ?? null : $item;
            if (! is_string($name)) {
                $strange[] = 'passes: a list of passes with names is expected, and '
                    .JsonDocument::typeOf($item)
                    .' stands there.';

                return null;
            }
            $passes[] = [
                'name' => $name,
                'saved' => is_array($item) ? $this->truth($item['saved'] ?? null, 'passes', $strange, $unknown) : null,
            ];
        }

        return $passes;
    }

    /**
     * @param  list<string>  $strange
     * @param  list<UnknownSetting>  $unknown
     * @return list<array{path: string, present: bool|null}>|null
     */
    private function links(mixed $value, array &$strange, array &$unknown): ?array
    {
        $links = [];
        foreach (is_array($value) && array_is_list($value) ? array_slice(
            $value,
            0,
            self::LONGEST_LIST,
        ) : [$value] as $item) {
            $path = is_array($item) ? $item['path'] ?? null : null;
            if (! is_array($item) || ! is_string($path)) {
                $strange[] = 'scene.links: a list of paths, each with "present", is expected, and '
                    .JsonDocument::typeOf($item)
                    .' stands there.';

                return null;
            }
            $links[] = [
                'path' => $path,
                'present' => $this->truth($item['present'] ?? null, RequirementId::SCENE_LINKS, $strange, $unknown),
            ];
        }

        return $links;
    }

    /**
     * @param  list<string>  $strange
     * @param  list<UnknownSetting>  $unknown
     */
    private function truth(mixed $value, string $key, array &$strange, array &$unknown): ?bool
    {
        if ($value === null) {
            return null;
        }
        try {
            return Spellings::truth(Scalar::text($value))
                ?? throw NotUnderstood::as('yes or no', trim(Scalar::text($value)), 'yes');
        } catch (NotUnderstood $refused) {
            $strange[] = "{$key}: {$refused->getMessage()}";
            $unknown[] = new UnknownSetting($key, self::brief($value), $key, $refused->getMessage());

            return null;
        }
    }

    /** @param  list<string>  $strange */
    private function text(mixed $value, string $key, array &$strange): ?string
    {
        if ($value !== null && ! is_string($value)) {
            $strange[] = "{$key}: a text is expected, and ".JsonDocument::typeOf($value).' stands there.';

            return null;
        }

        return $value;
    }
}
