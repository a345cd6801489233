<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;

/** What only movies, and scenes that make them, tell: scan, codec, bit rate, keyframes, B-frames, index and sound. */
final readonly class MovieRules implements Rule
{
    private const IDS = [
        'picture.scan', 'format.codec', 'format.bit_rate', 'format.keyframe_interval', 'format.b_frames', 'format.index',
        'audio.presence', 'audio.sample_rate', 'audio.bit_depth', 'audio.channels',
    ];

    public function answers(string $id): bool
    {
        return in_array($id, self::IDS, true);
    }

    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        $id = $requirement->id();
        if (str_starts_with($id, 'audio.') && $id !== 'audio.presence' && $subject->scene?->get('audio.presence') === 'none') {
            // where there is no sound, there is nothing of it to compare, or it is all missing
            return $subject->part->find('audio.presence') === null ? Cell::when(false, 'none') : null;
        }
        if ($id === 'format.keyframe_interval') {
            return KeyframeIntervalRule::ofScene($requirement, $subject);
        }

        return (new SettingRule)->compared($requirement, $subject);
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        return FactSurvey::cell($subject, static function (MediaFacts $facts) use ($requirement): ?array {
            if ($facts->kind?->isMovie() !== true) {
                return null;
            }
            $codec = $requirement->id() === 'format.codec' ? $facts->codec : null;

            return [$codec, $codec !== null && in_array($codec, $requirement->value->values, true)];
        });
    }
}
