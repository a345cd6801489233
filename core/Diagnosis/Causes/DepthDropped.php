<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\FormatFacts;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Specification\RequirementId;

/** `depth-dropped`: fewer bits, or whole numbers for floats. */
final readonly class DepthDropped implements CauseFamily
{
    private const TOUCHES = [RequirementId::FORMAT_BIT_DEPTH, RequirementId::FORMAT_SAMPLE];

    public function find(Situation $situation): iterable
    {
        $uniform = array_filter(
            self::TOUCHES,
            static fn (string $id): bool => $situation->isUnequal($id) && FormatFacts::isUniform($situation, $id),
        );
        $less = array_filter($uniform, fn (string $id): bool => $this->isLess($situation, $id));
        $last = end($uniform);
        if ($less === [] || $last === false) {
            return;
        }
        $side = $situation->side($last);
        $found = self::spoken(
            $this->wrong($situation, RequirementId::FORMAT_BIT_DEPTH),
            $this->wrong($situation, RequirementId::FORMAT_SAMPLE),
        );
        $asked = self::spoken(
            $situation->askedOfPart(RequirementId::FORMAT_BIT_DEPTH),
            $situation->askedOfPart(RequirementId::FORMAT_SAMPLE),
        );
        yield Finding::of(
            CauseId::DepthDropped,
            $side,
            "Depth was dropped: {$found} where {$asked} is asked.",
            ["it is {$found}"],
            self::TOUCHES,
            EntryFix::ofEach($situation, [
                RequirementId::FORMAT_BIT_DEPTH => 'the depth',
                RequirementId::FORMAT_SAMPLE => 'the sample type',
            ]),
        )->asAlternative()->rendering($situation->wouldRender($side));
    }

    private function isLess(Situation $situation, string $id): bool
    {
        $found = $situation->found($id) ?? '';
        $asked = $situation->entry($id)?->requirement->value->single() ?? '';

        return $id === RequirementId::FORMAT_BIT_DEPTH
            ? (int) $found < (int) $asked
            : $found === 'uint' && $asked === 'float';
    }

    private function wrong(Situation $situation, string $id): ?string
    {
        return $situation->isUnequal($id) ? $situation->found($id) : null;
    }

    private static function spoken(?string $bits, ?string $sample): string
    {
        return trim(($bits === null ? '' : "{$bits}-bit ").$sample);
    }
}
