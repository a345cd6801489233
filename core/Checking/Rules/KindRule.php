<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `format.kind`: told by content, and the extension must agree with it. */
final readonly class KindRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::FORMAT_KIND;
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $kind = $subject->scene?->get(RequirementId::FORMAT_KIND);

        if ($kind === null) {
            return Cell::unknown();
        }
        $lies = self::otherExtension($subject);

        $equal = in_array($kind, $requirement->value->values, true);

        return $lies === null ? Cell::ofWord($requirement, $equal, $kind) : Cell::when(false, "{$kind} named .{$lies}");
    }

    /** The extension in the scene's name, where its format is another kind's. */
    public static function otherExtension(Subject $subject): ?string
    {
        $kind = Kind::tryFrom($subject->scene?->get(RequirementId::FORMAT_KIND) ?? '');
        $extension = strtolower(Extension::of($subject->scene?->get(RequirementId::NAMING_PATTERN) ?? ''));
        $named = Kind::fromExtension($extension);

        return $kind === null || $named === null || $named === $kind ? null : $extension;
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        if ($subject->match !== null && $subject->match->instead !== null) {
            return Cell::of(Mark::Unequal, $subject->match->instead['kind']->value);
        }

        return FactSurvey::cell($subject, static function (MediaFacts $facts, Take $take) use ($requirement): array {
            $kind = $facts->kind->value ?? '';
            $extension = Extension::of($take->sequence->sampleName());
            $agrees = $extension === '' || Extension::agrees($take->sequence->sampleName(), $facts->kind) !== false;

            return [
                $agrees ? $kind : "{$kind} named .".strtolower($extension),
                $agrees && in_array($kind, $requirement->value->values, true),
            ];
        });
    }
}
