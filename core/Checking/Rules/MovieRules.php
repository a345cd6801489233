<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** What movies, scenes that make them, and sound alone tell: scan, codec, bit rate, keyframes, B-frames, index, sound. */
final readonly class MovieRules implements Rule
{
    private const IDS = [
        RequirementId::PICTURE_SCAN,
        RequirementId::FORMAT_CODEC,
        RequirementId::FORMAT_BIT_RATE,
        RequirementId::FORMAT_KEYFRAME_INTERVAL,
        RequirementId::FORMAT_B_FRAMES,
        RequirementId::FORMAT_INDEX,
        RequirementId::AUDIO_PRESENCE, RequirementId::AUDIO_SAMPLE_RATE, RequirementId::AUDIO_BIT_DEPTH,
        RequirementId::AUDIO_CHANNELS,
    ];

    public function answers(string $id): bool
    {
        return in_array($id, self::IDS, true);
    }

    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        $id = $requirement->id();
        if (
            str_starts_with($id, 'audio.')
            && $id !== RequirementId::AUDIO_PRESENCE
            && $subject->scene?->get(RequirementId::AUDIO_PRESENCE) === 'none'
        ) {
            // where there is no sound, there is nothing of it to compare, or it is all missing
            return $subject->part->find(RequirementId::AUDIO_PRESENCE) === null ? Cell::when(false, 'none') : null;
        }
        if ($id === RequirementId::FORMAT_KEYFRAME_INTERVAL) {
            return KeyframeIntervalRule::ofScene($requirement, $subject);
        }

        return (new SettingRule)->compared($requirement, $subject);
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        return FactSurvey::cell($subject, static function (MediaFacts $facts) use ($requirement): ?array {
            if ($facts->sound !== null && str_starts_with($requirement->id(), 'audio.')) {
                return self::ofSound($requirement, $facts->sound);
            }
            if ($facts->kind?->isMovie() !== true) {
                return null;
            }
            $codec = $requirement->id() === RequirementId::FORMAT_CODEC ? $facts->encoding->codec : null;

            return [$codec, $codec !== null && in_array($codec, $requirement->value->values, true)];
        });
    }

    /**
     * @param  array<string, mixed>  $sound  sample_rate, channels, bit_depth
     * @return array{string, bool}|null compressed sound has no depth
     */
    private static function ofSound(Requirement $requirement, array $sound): ?array
    {
        $id = $requirement->id();
        if ($id === RequirementId::AUDIO_PRESENCE) {
            return ['required', $requirement->value->values === ['required']];
        }
        $found = $sound[substr($id, strlen('audio.'))] ?? null;

        return is_int($found) ? [(string) $found, $requirement->value->admitsNumber((string) $found)] : null;
    }
}
