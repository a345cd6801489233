<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\RequirementId;

/** A movie that is there has nothing set in it: where frames would be set and rendered, it is encoded again. */
final readonly class MovieWork
{
    private const SIZE = [RequirementId::PICTURE_RESOLUTION, RequirementId::PICTURE_DISPLAY_ASPECT];

    public static function instead(Situation $situation, Cause $cause): Cause
    {
        $isMovie = $situation->subject->part->delivers->isMovie() && $cause->finding->side === Side::Files;
        $fixes = [];
        foreach ($cause->finding->fixes as $fix) {
            $isSetting = $isMovie && $fix->kind === FixKind::Set;
            $fixes = [...$fixes, ...($isSetting ? self::encoded($situation, $fix) : [$fix])];
        }

        return new Cause(
            $isMovie ? $cause->finding->withFixes($fixes)->rendering(false) : $cause->finding,
            $cause->part,
            $cause->explains,
            $cause->or,
            $cause->pass,
            $cause->places,
        );
    }

    /** @return list<Fix> */
    private static function encoded(Situation $situation, Fix $fix): array
    {
        $id = (string) ($fix->details['id'] ?? '');
        $to = (string) ($fix->details['to'] ?? '');
        if ($id === RequirementId::PICTURE_SCALE || ($id === RequirementId::PICTURE_RESOLUTION && $to === '')) {
            $id = array_values(array_filter(self::SIZE, $situation->inFiles(...)))[0] ?? $id;
            $to = $situation->asTyped($id);
        }
        $named = Catalogue::standard()->find($id)->label ?? $id;
        $label = 'the '.lcfirst($named);
        $of = $situation->inFiles($id) ? EntryFix::of($situation, $id, $label, $to)->fixes : [];
        $from = (string) ($fix->details['from'] ?? '');

        return $of !== []
            ? $of
            : [
                Fix::encode(
                    $situation->part(),
                    $id,
                    $label,
                    $from,
                    $to,
                    null,
                    "Make the movie again with {$label} {$to}.",
                ),
            ];
    }
}
