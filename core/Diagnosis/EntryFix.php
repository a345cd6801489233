<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Media\Channels;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\RequirementId;

/**
 * The work that makes one line right. A scene is set; files are saved again, or their headers written anew, where they
 * have all that is asked; what they have lost comes back only by rendering, or by encoding from what they were made of.
 */
final readonly class EntryFix
{
    /** What no saving brings back into a picture. */
    private const ONLY_BY_RENDER = [
        RequirementId::PICTURE_RESOLUTION,
        RequirementId::PICTURE_DISPLAY_ASPECT,
        RequirementId::PICTURE_REGION,
        RequirementId::CAMERA_NAME,
        RequirementId::PASSES,
        RequirementId::CONTENT_WHOLE,
        RequirementId::CONTENT_BLACK,
        RequirementId::CONTENT_FROZEN,
        RequirementId::CONTENT_HOLD, RequirementId::CONTENT_LOOP, RequirementId::CONTENT_CADENCE,
        RequirementId::CONTENT_ALPHA_USED, RequirementId::CONTENT_REFERENCE, RequirementId::FORMAT_QUALITY,
        RequirementId::COLOUR_ENCODING,
    ];

    /** What only the header tells. */
    private const ONLY_HEADER = [
        RequirementId::PICTURE_PIXEL_ASPECT,
        RequirementId::PICTURE_DENSITY,
        RequirementId::PICTURE_PROJECTION,
        RequirementId::TIME_RATE,
        RequirementId::TIME_START_TIMECODE,
        RequirementId::FORMAT_INDEX,
    ];

    /** What follows from the range and the rate of a scene, which are set instead. */
    private const DERIVED = [RequirementId::TIME_COUNT, RequirementId::TIME_DURATION];

    private const CHROMA = ['4:2:0' => 1, '4:2:2' => 2, '4:4:4' => 3];

    /** Lines that no single piece of work answers: the frames themselves, or other causes, say what to do. */
    private const BY_OTHERS = [
        RequirementId::TIME_RANGE, RequirementId::TIME_COUNT, RequirementId::TIME_STEP, RequirementId::TIME_DURATION,
        RequirementId::DELIVERY_EXTRAS, RequirementId::CONTENT_WHOLE, RequirementId::CONTENT_UNIFORM,
        'time.frame_in_header',
    ];

    /** @param  list<Fix>  $fixes */
    private function __construct(public array $fixes, public bool $render) {}

    /**
     * @param  string  $label  with its article, as in “Set the frame rate to”
     * @param  string|null  $to  where it is not what is asked as one types it
     */
    public static function of(Situation $situation, string $id, string $label, ?string $to = null): self
    {
        $found = $situation->found($id) ?? '';
        $to ??= $situation->asTyped($id);
        $part = $situation->part();
        if (! $situation->inFiles($id) && self::isDerived($situation, $id)) {
            return new self([], false);
        }
        if (! $situation->inFiles($id)) {
            return new self([Fix::set($part, $id, $label, $found, $to)], false);
        }
        if (in_array($id, self::BY_OTHERS, true)) {
            return new self([], false);
        }
        $delivers = $situation->subject->part->delivers;
        if ($delivers === Delivers::Movie) {
            return new self([self::encoded($situation, $id, $label, $found, $to)], false);
        }
        if ($delivers === Delivers::File) {
            return new self(
                [Fix::deliver($part, $to, null, "Deliver the file with {$label} {$to}; it is {$found}.")],
                false,
            );
        }
        $frames = $situation->framesOf($id);
        if (self::isLost($situation, $id, $found)) {
            return new self([Fix::set($part, $id, $label, $found, $to)], true);
        }
        if (in_array($id, self::ONLY_HEADER, true)) {
            return new self([Fix::retag($part, $id, $label, $found, $to, $frames)], false);
        }

        return new self([Fix::encode($part, $id, $label, $found, $to, $frames)], false);
    }

    private static function isDerived(Situation $situation, string $id): bool
    {
        $scene = $situation->scene();

        return (in_array($id, self::DERIVED, true) && $scene?->frames() !== null)
            || ($id === RequirementId::FORMAT_FILE_SIZE && $scene?->get(RequirementId::FORMAT_BIT_RATE) !== null);
    }

    /** A movie is encoded again, from its frames where they are there. */
    private static function encoded(Situation $situation, string $id, string $label, string $found, string $to): Fix
    {
        $part = $situation->subject->part;
        if (in_array($id, self::ONLY_HEADER, true) && $id !== RequirementId::TIME_RATE) {
            return Fix::retag($part->name, $id, $label, $found, $to);
        }
        if ($id === RequirementId::CONTENT_SOURCE) {
            $says = "Make the movie again from {$part->madeFrom}, each picture once, in the order of their numbers.";

            return Fix::encode($part->name, $id, $label, $found, $to, null, $says);
        }
        $says = (
            $part->madeFrom === null ? 'Encode the movie again' : "Make the movie again from {$part->madeFrom}"
        ).", with {$label} {$to}; it is {$found}.";

        return Fix::encode($part->name, $id, $label, $found, $to, null, $says);
    }

    private static function isLost(Situation $situation, string $id, string $found): bool
    {
        $asked = $situation->entry($id)->required ?? '';

        return match ($id) {
            RequirementId::FORMAT_CHANNELS => array_diff(Channels::parse($asked), Channels::parse($found)) !== [],
            RequirementId::FORMAT_BIT_DEPTH => (int) $found < (int) $asked,
            RequirementId::FORMAT_SAMPLE => $found === 'uint' && $asked !== 'uint',
            RequirementId::FORMAT_ALPHA => $found === 'none',
            RequirementId::FORMAT_CHROMA => (self::CHROMA[$found] ?? 0) < (
                self::CHROMA[explode(' | ', $asked)[0]] ?? 0
            ),
            default => in_array($id, self::ONLY_BY_RENDER, true),
        };
    }

    /**
     * The work on each of several lines that is unequal.
     *
     * @param  array<string, string>  $labels  by the id of the line
     * @return list<Fix>
     */
    public static function ofEach(Situation $situation, array $labels): array
    {
        $fixes = [];
        foreach ($labels as $id => $label) {
            $fixes = $situation->isUnequal($id) ? [...$fixes, ...self::of($situation, $id, $label)->fixes] : $fixes;
        }

        return $fixes;
    }
}
