<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Media\CodecName;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Movie\MovieFacts;
use PlainLedger\Core\Media\Movie\SoundTrack;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** What movies, scenes that make them, and sound alone tell: scan, codec, bit rate, keyframes, B-frames, index. */
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
        return FactSurvey::cell($subject, static function (MediaFacts $facts) use ($requirement, $subject): ?array {
            $isOfSound = str_starts_with($requirement->id(), 'audio.');

            return match (true) {
                $facts->movie === null => null,
                $isOfSound => self::ofSound($requirement, $facts->movie->sound, $subject),
                $facts->kind?->isMovie() === true => self::ofPicture($requirement, $facts, $facts->movie, $subject),
                default => null,
            };
        });
    }

    /** @return array{string|null, bool}|null */
    private static function ofPicture(
        Requirement $requirement,
        MediaFacts $facts,
        MovieFacts $movie,
        Subject $subject,
    ): ?array {
        $picture = $movie->picture;

        return match ($requirement->id()) {
            RequirementId::PICTURE_SCAN => self::scan($requirement, $facts, $picture->scan),
            RequirementId::FORMAT_CODEC => self::codec($requirement, $facts->encoding->codec, $picture->profile),
            RequirementId::FORMAT_BIT_RATE => self::number($requirement, $picture->bitRate),
            RequirementId::FORMAT_KEYFRAME_INTERVAL => KeyframeIntervalRule::ofMovie($requirement, $facts, $subject),
            RequirementId::FORMAT_B_FRAMES => self::bFrames($requirement, $picture->order->mostBFrames),
            // only some containers have an index that can stand first
            default => $movie->index === null
                ? null
                : [$movie->index, in_array($movie->index, $requirement->value->values, true)],
        };
    }

    /** @return array{string|null, bool}|null raw pictures say nothing of fields unless their file does */
    private static function scan(Requirement $requirement, MediaFacts $facts, ?string $scan): ?array
    {
        if ($scan === null && $facts->encoding->codec === 'raw') {
            return null;
        }

        return [$scan, $scan !== null && in_array($scan, $requirement->value->values, true)];
    }

    /** @return array{string|null, bool} a family of codecs answers by any of its profiles */
    private static function codec(Requirement $requirement, ?string $codec, ?string $profile): array
    {
        if ($codec === null) {
            return [null, false];
        }
        $full = CodecName::canonical(trim("{$codec} {$profile}"));
        $asked = $requirement->value->values;
        $isKnownByForm = $codec === 'raw' && $profile !== null && in_array(strtolower($profile), $asked, true);

        return [
            $codec === 'prores' && $asked !== [$codec] ? $full : $codec,
            $isKnownByForm || in_array($codec, $asked, true) || in_array($full, $asked, true),
        ];
    }

    /** @return array{string|null, bool} */
    private static function number(Requirement $requirement, ?int $found): array
    {
        return [
            $found === null ? null : (string) $found,
            $found !== null && $requirement->value->admitsNumber((string) $found),
        ];
    }

    /** @return array{string|null, bool} */
    private static function bFrames(Requirement $requirement, ?int $most): array
    {
        if ($most === null) {
            return [null, false];
        }
        $asked = $requirement->value;
        $isRight = $asked->values === [] ? $asked->admitsNumber((string) $most) : $most <= (int) $asked->values[0];

        return [$most === 0 ? 'none' : (string) $most, $isRight];
    }

    /**
     * @param  list<SoundTrack>  $tracks
     * @return array{string, bool}|null sound that is compressed has no depth
     */
    private static function ofSound(Requirement $requirement, array $tracks, Subject $subject): ?array
    {
        $id = $requirement->id();
        if ($id === RequirementId::AUDIO_PRESENCE) {
            $found = $tracks === [] ? 'none' : 'required';

            return [$found, in_array($found, $requirement->value->values, true)];
        }
        if ($tracks === []) {
            // where there is none, it is told once
            return $subject->part->find(RequirementId::AUDIO_PRESENCE) === null ? ['none', false] : null;
        }
        $found = array_filter(array_map(static fn (SoundTrack $t): ?int => match ($id) {
            RequirementId::AUDIO_SAMPLE_RATE => $t->sampleRate,
            RequirementId::AUDIO_BIT_DEPTH => $t->bitDepth,
            default => $t->channels,
        }, $tracks), is_int(...));
        $wrong = array_filter($found, static fn (int $n): bool => ! $requirement->value->admitsNumber((string) $n));
        if ($found === []) {
            return null;
        }

        return $wrong === []
            ? [(string) array_values($found)[0], true]
            : [(string) array_values($wrong)[0], false];
    }
}
