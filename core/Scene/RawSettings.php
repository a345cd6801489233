<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Values\Scalar;
use PlainLedger\Core\Specification\Vocabulary;
use PlainLedger\Core\Text\Text;

/** Settings under the ids of requirements, with values as whoever wrote them wrote them. */
final readonly class RawSettings
{
    private const LISTS = [
        'camera.chosen',
        'camera.all',
        'camera.views',
        RequirementId::PASSES,
        RequirementId::SCENE_LINKS,
    ];

    /**
     * @param  array<string, mixed>  $scene  file, saved, project_folder and part
     * @param  array<string, mixed>  $settings  by id
     * @param  Misread  $misread  what was not understood before
     * @param  array<string, string>  $names  by id, how the setting was called where it came from
     */
    public function __construct(
        private array $scene,
        private array $settings,
        private Misread $misread = new Misread,
        private array $names = [],
    ) {}

    /**
     * @return array{scene: array<string, mixed>, settings: array<string, mixed>} as it was told, as a scene document
     *   has it
     */
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
            $this->misread->and($other->misread),
            $other->names + $this->names,
        );
    }

    /** Each value by its type; what is no value of its type is told as not understood. */
    public function understood(): SceneSettings
    {
        $read = new Understood($this->misread);
        $given = array_filter($this->settings, static fn (mixed $value): bool => $value !== null);
        $settings = $this->texts($given, $read);
        $timeline = $settings['time.timeline'] ?? null;
        $facts = array_intersect_key($settings, array_flip(SceneSettings::FACTS));
        $settings = array_diff_key($settings, $facts, ['time.timeline' => true]);
        $depth = $given[RequirementId::FORMAT_BIT_DEPTH] ?? null;
        $settings = SceneFileNames::joined(SceneDepth::perChannel($settings, $depth, $this->names, $read));
        $names = static fn (string $key): ?array => isset($given[$key]) ? $read->names($given[$key], $key) : null;
        $cameras = new CameraSetup($names('camera.chosen'), $names('camera.all'), $names('camera.views'), $facts);
        $passes = isset($given[RequirementId::PASSES]) ? $read->passes($given[RequirementId::PASSES]) : null;
        $source = $this->source($given, $settings, $read);

        return new SceneSettings(
            $source,
            $settings,
            $timeline === null ? null : FrameRange::parse($timeline),
            $cameras,
            $passes,
            $read->misread(),
        );
    }

    /**
     * @param  array<string, mixed>  $given
     * @param  array<string, string>  $settings
     */
    private function source(array $given, array $settings, Understood $read): SceneSource
    {
        $links = isset($given[RequirementId::SCENE_LINKS]) ? $read->links($given[RequirementId::SCENE_LINKS]) : null;
        $saved = $this->scene['saved'] ?? $settings[RequirementId::SCENE_SAVED] ?? null;
        $saved = $read->truth($saved, RequirementId::SCENE_SAVED);

        return new SceneSource(
            $read->text($this->scene['file'] ?? null, 'scene.file'),
            $saved,
            $read->text($this->scene['project_folder'] ?? null, 'scene.project_folder'),
            $read->text($this->scene['part'] ?? null, 'scene.part'),
            $links,
        );
    }

    /**
     * Every setting that is one text.
     *
     * @param  array<string, mixed>  $given
     * @return array<string, string>
     */
    private function texts(array $given, Understood $read): array
    {
        $texts = [];
        foreach (array_diff_key($given, array_flip(self::LISTS)) as $key => $value) {
            $key = (string) $key;
            $name = $this->names[$key] ?? Text::shown($key);
            try {
                $text = $this->text($key, $value, $read);
                $texts += $text === null ? [] : [$key => $text];
            } catch (NotUnderstood|PatternRefused $refused) {
                $why = $refused->getMessage();
                $unknown = new UnknownSetting($name, Understood::brief($value), $key, $why);
                $read->note(Text::shown($key).": {$why}", $unknown);
            }
        }

        return $texts;
    }

    private function text(string $key, mixed $value, Understood $read): ?string
    {
        return match (true) {
            $key === 'time.timeline' => (string) FrameRange::parse(Scalar::text($value)),
            in_array($key, SceneSettings::FACTS, true) => self::fact($value),
            in_array($key, SceneFileNames::KEYS, true) => trim(Scalar::text($value)),
            $key === 'time.animation_rate' => SettingReader::read(self::descriptor(RequirementId::TIME_RATE), $value),
            default => $this->setting($key, $value, $read),
        };
    }

    private static function descriptor(string $id): Descriptor
    {
        return Catalogue::standard()->find($id) ?? throw new \LogicException("There is {$id}.");
    }

    private static function fact(mixed $value): string
    {
        $text = is_array($value) ? (string) json_encode($value) : Scalar::text($value);

        return mb_strcut(trim((string) preg_replace('~\s+~', ' ', $text)), 0, 1000);
    }

    private function setting(string $key, mixed $value, Understood $read): ?string
    {
        $descriptor = Catalogue::standard()->find($key);
        if ($descriptor === null || (! $descriptor->inScene() && $key !== RequirementId::TIME_HANDLES)) {
            $read->note(Text::shown($key), new UnknownSetting(Text::shown($key), Understood::brief($value), null));

            return null;
        }
        $setting = SettingReader::read($descriptor, $value);
        if ($setting !== null && ! Vocabulary::has($descriptor, $setting)) {
            $brief = Understood::brief($value);
            $unknown = new UnknownSetting($this->names[$key] ?? Text::shown($key), $brief, $key);
            $read->note(Text::shown($key).": “{$brief}” is no word known here for it.", $unknown);
        }

        return $setting;
    }
}
