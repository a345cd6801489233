<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Matching\Extra;
use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** `leftovers` and, where a left-over file bears the mark of one, `copy-suffix`. */
final readonly class Leftovers implements CauseFamily
{
    private const MOST_NAMED = 200;

    public function find(Situation $situation): iterable
    {
        $match = $situation->subject->deliveryMatch;
        if ($match === null || ! $situation->inFiles(RequirementId::DELIVERY_EXTRAS)) {
            return;
        }
        $copies = array_values(array_filter($match->extras, $this->isCopy(...)));
        $theirs = array_values(
            array_filter(
                $match->extras,
                fn (Extra $e): bool => ! $this->isCopy($e)
                    && ($e->reading?->isOfAnother($situation->subject->others) ?? false),
            ),
        );
        $others = array_values(
            array_filter($match->extras, fn (Extra $e): bool => ! $this->isCopy($e) && ! in_array($e, $theirs, true)),
        );
        if ($copies !== []) {
            yield Finding::of(
                CauseId::CopySuffix,
                Side::Files,
                Text::count($this->count($copies), 'file')
                    .' '
                    .($this->count($copies) === 1 ? 'bears' : 'bear')
                    .' the mark of a copy: '
                    .$this->brief($copies)
                    .'.',
                $this->paths($copies),
                [RequirementId::DELIVERY_EXTRAS],
                $this->fixes($situation, $copies),
            );
        }
        if ($theirs !== []) {
            yield Finding::of(
                CauseId::ValueOfAnother,
                Side::Files,
                Text::count($this->count($theirs), 'file')
                    .' '
                    .($this->count($theirs) === 1 ? 'is' : 'are')
                    .' named as another’s: '
                    .$this->brief($theirs)
                    .'.',
                $this->paths($theirs),
                [RequirementId::DELIVERY_EXTRAS],
                $this->fixes($situation, $theirs),
            );
        }
        if ($others !== [] || $match->odd !== []) {
            $count = $this->count($others) + count($match->odd);
            $named = $others === []
                ? mb_strimwidth(Text::shown(implode(', ', array_slice($match->odd, 0, 4))), 0, 240, '…')
                : $this->brief($others);
            yield Finding::of(
                CauseId::Leftovers,
                Side::Files,
                Text::count($count, 'file').' that nothing asks for: '.$named.'.',
                $this->paths($others),
                [RequirementId::DELIVERY_EXTRAS],
                $this->fixes($situation, $others),
            );
        }
    }

    private function isCopy(Extra $extra): bool
    {
        foreach ($extra->reading->pieces ?? [] as $piece) {
            if (in_array(Difference::CopySuffix, $piece->differences, true)) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Extra>  $extras */
    private function count(array $extras): int
    {
        return array_sum(array_map(static fn (Extra $e): int => $e->count(), $extras));
    }

    /** @param  list<Extra>  $extras */
    private function brief(array $extras): string
    {
        $names = array_map(
            static fn (Extra $e): string => Text::shown($e->path()).($e->count() > 1 ? " {$e->frames}" : ''),
            array_slice($extras, 0, 4),
        );

        return mb_strimwidth(implode(', ', $names), 0, 240, '…').(count($extras) > 4 ? ' and more' : '');
    }

    /**
     * @param  list<Extra>  $extras
     * @return list<string>
     */
    private function paths(array $extras): array
    {
        return array_map(static fn (Extra $e): string => Text::shown($e->path()), array_slice($extras, 0, 20));
    }

    /**
     * @param  list<Extra>  $extras
     * @return list<Fix>
     */
    private function fixes(Situation $situation, array $extras): array
    {
        return array_map(
            static fn (Extra $e): Fix => Fix::setAside(
                $situation->part(),
                $e->path(),
                $e->count(),
                $e->count() > 1 ? $e->frames : null,
            ),
            array_slice($extras, 0, self::MOST_NAMED),
        );
    }
}
