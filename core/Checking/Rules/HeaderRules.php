<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `picture.density`, `format.quality` and `colour.encoding`: facts that a header may tell and often does not. */
final readonly class HeaderRules implements Rule
{
    public function answers(string $id): bool
    {
        return in_array(
            $id,
            [RequirementId::PICTURE_DENSITY, RequirementId::FORMAT_QUALITY, RequirementId::COLOUR_ENCODING],
            true,
        );
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $found = $subject->scene?->get($requirement->id());
        if ($found === null) {
            return Cell::unknown();
        }
        if ($requirement->id() === RequirementId::COLOUR_ENCODING) {
            return Cell::ofWord($requirement, in_array($found, $requirement->value->values, true), $found);
        }

        return Cell::when($requirement->value->admitsNumber($found), $found);
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $cell = FactSurvey::cell($subject, static fn (MediaFacts $facts): ?array => match ($requirement->id()) {
            RequirementId::PICTURE_DENSITY => self::density($requirement, $facts),
            // only a lossy picture has a quality
            RequirementId::FORMAT_QUALITY => $facts->kind === Kind::Jpeg
                ? self::quality($requirement, $facts->encoding->quality)
                : null,
            // a movie that is not tagged says nothing of its colours
            default => $facts->movie !== null && $facts->picture->colour === null
                ? null
                : self::encoding($requirement, $facts),
        });

        return $cell;
    }

    /** @return array{string|null, bool}|null a movie has none */
    private static function density(Requirement $requirement, MediaFacts $facts): ?array
    {
        $found = $facts->picture->density;
        if ($found === null) {
            return $facts->movie === null ? [null, false] : null;
        }

        return [(string) $found, $requirement->value->admitsNumber((string) $found)];
    }

    /** @return array{string|null, bool} */
    private static function encoding(Requirement $requirement, MediaFacts $facts): array
    {
        // samples stored as floats are linear where nothing else is said
        $found = $facts->picture->colour ?? ($facts->encoding->sample === 'float' ? 'linear' : null);
        $told = $found !== null && $facts->picture->colour === null
            ? 'linear, since it is float and says nothing else'
            : $found;

        return [$told, $found !== null && in_array($found, $requirement->value->values, true)];
    }

    /** @return array{string|null, bool} */
    private static function quality(Requirement $requirement, ?int $quality): array
    {
        return $quality === null
            ? [null, false]
            : [(string) $quality, $requirement->value->admitsNumber((string) $quality)];
    }
}
