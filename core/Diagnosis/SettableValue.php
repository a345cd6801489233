<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Rules\CameraRules;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/**
 * What is asked, as a value that one can type in: one of several, a bound, the scene's own camera, a name with its
 * values.
 */
final readonly class SettableValue
{
    /** What is usual where nothing may be lost, by format. */
    private const LOSSLESS = [
        'tiff' => 'lzw', 'png' => 'deflate', 'tga' => 'rle', 'mov' => 'animation', 'avi' => 'ffv1', 'mkv' => 'ffv1',
        'mp4' => 'h264 without loss', 'mxf' => 'raw',
    ];

    private const NAMES = [RequirementId::NAMING_PATTERN, RequirementId::NAMING_FOLDER, RequirementId::OUTPUT_FOLDER];

    public function __construct(private Subject $subject) {}

    /** @param  string|null  $found  what stands there now: of two bounds the one it breaks is meant */
    public function of(Entry $entry, ?string $found): string
    {
        $requirement = $entry->requirement;
        if (in_array($entry->id(), self::NAMES, true)) {
            return $this->name($requirement);
        }

        return match ($entry->id()) {
            RequirementId::PASSES, RequirementId::BURN_IN => $entry->required,
            RequirementId::CAMERA_NAME => $this->camera($requirement) ?? $entry->required,
            RequirementId::TIME_RANGE => $this->span() ?? $entry->required,
            RequirementId::FORMAT_ALPHA => self::alpha((string) $requirement->value->single()),
            RequirementId::FORMAT_COMPRESSION => $this->compression($requirement, $found),
            default => self::plain($requirement, $found),
        };
    }

    private function span(): ?string
    {
        return $this->subject->expected === null ? null : (string) $this->subject->expected->span();
    }

    private static function alpha(string $asked): string
    {
        return $asked === 'any' ? 'straight' : $asked;
    }

    private function compression(Requirement $requirement, ?string $found): string
    {
        return $requirement->value->single() === 'lossless' ? $this->lossless() : self::plain($requirement, $found);
    }

    private static function plain(Requirement $requirement, ?string $found): string
    {
        $ask = $requirement->value;
        if ($ask->values !== []) {
            return $ask->values[0];
        }
        $above = $ask->max !== null
            && is_numeric($found)
            && is_numeric($ask->max)
            && (float) $found > (float) $ask->max;

        return (string) ($above ? $ask->max : $ask->min ?? $ask->max);
    }

    /** The usual one of the format. */
    private function lossless(): string
    {
        $kind = $this->subject->part->kinds()[0]
            ?? Kind::tryFrom($this->subject->scene?->get(RequirementId::FORMAT_KIND) ?? '');

        return self::LOSSLESS[$kind->value ?? ''] ?? 'zip';
    }

    /** With its values in it, `#` for the digits of the frame number, and one extension. */
    private function name(Requirement $requirement): string
    {
        $values = $this->subject->specification->pieceValues($this->subject->part);
        $values = $this->subject->pass === null ? $values : $values->with('pass', $this->subject->pass);

        return NamePattern::parse($requirement->value->single() ?? '')->make($values);
    }

    /** A camera of the scene that fits what is asked; null where none is known. */
    public function camera(?Requirement $requirement): ?string
    {
        if ($requirement === null) {
            return $this->subject->scene?->cameraSetup->all[0] ?? null;
        }
        foreach ($requirement->value->values as $asked) {
            if (preg_match('~[*?]~', $asked) !== 1) {
                return $asked;
            }
        }
        foreach ($this->subject->scene->cameraSetup->all ?? [] as $camera) {
            if (CameraRules::matches($requirement, $camera)) {
                return $camera;
            }
        }

        return null;
    }
}
