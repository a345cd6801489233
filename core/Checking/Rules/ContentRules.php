<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `content.whole` and `content.uniform`. */
final readonly class ContentRules implements Rule
{
    public function answers(string $id): bool
    {
        return in_array(
            $id,
            [RequirementId::CONTENT_WHOLE, RequirementId::CONTENT_UNIFORM, RequirementId::CONTENT_SOURCE],
            true,
        );
    }

    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        // a movie's pictures are not decoded here
        if (
            $requirement->id() === RequirementId::CONTENT_SOURCE
            || $subject->match === null
            || $subject->match->isEmpty()
        ) {
            return null;
        }

        return $requirement->id() === RequirementId::CONTENT_WHOLE ? $this->whole($subject) : $this->uniform($subject);
    }

    private function whole(Subject $subject): Cell
    {
        $byDamage = [];
        $wrong = [];
        [$unread, $why] = [false, null];
        foreach ($subject->match->passes ?? [] as $p => $pass) {
            $relevant = $pass->relevant();
            $kinds = $subject->part->kinds();
            foreach ($pass->frames->alike as $alike) {
                $facts = $alike->facts;
                $own = $alike->frames->and($relevant);
                if ($facts->damage !== null && ! $own->isEmpty()) {
                    $byDamage[$facts->damage->value][$p] = (
                        $byDamage[$facts->damage->value][$p] ?? FrameRange::none()
                    )->plus($own);
                    $wrong[$p] = ($wrong[$p] ?? FrameRange::none())->plus($own);
                } elseif (
                    $facts->damage === null
                    && $facts->complete === null
                    && ($kinds === [] || in_array($facts->kind, $kinds, true))
                ) {
                    $unread = true;
                    $why ??= $facts->unread();
                }
            }
        }
        if ($wrong === []) {
            return $unread ? Cell::unknown($why) : Cell::of(Mark::Equal, 'yes');
        }
        $runs = [];
        $said = [];
        foreach ($byDamage as $damage => $sets) {
            foreach ($sets as $set) {
                $runs[] = ['frames' => $subject->isNumbered() ? (string) $set : '', 'found' => $damage];
            }
            $said[] = array_sum(array_map(count(...), $sets)).' '.$damage;
        }

        return Cell::of(Mark::Unequal, implode(', ', $said), $runs, $wrong);
    }

    /** @return array<string, string> what frames must share, by name */
    public static function shared(MediaFacts $facts): array
    {
        return [
            'format' => $facts->kind->value ?? '',
            'size' => "{$facts->width}x{$facts->height}",
            'depth' => "{$facts->bitDepth} {$facts->sample}",
            'channels' => $facts->channelsText() ?? '',
            'compression' => $facts->compression ?? '',
        ];
    }

    private function uniform(Subject $subject): Cell
    {
        $differing = [];
        $first = [];
        foreach ($subject->match->passes ?? [] as $p => $pass) {
            foreach ($pass->frames->table() as $facts) {
                if ($facts->isWhole()) {
                    $own = self::shared($facts);
                    $first[$p] ??= $own;
                    $differing += array_diff_assoc($own, $first[$p]);
                }
            }
        }
        if ($differing === []) {
            return $first === [] ? Cell::unknown() : Cell::of(Mark::Equal, 'yes');
        }
        $text = static fn (MediaFacts $facts): string => implode(
            ' ',
            array_map(trim(...), array_intersect_key(self::shared($facts), $differing)),
        );
        $cell = FactSurvey::cell($subject, static fn (MediaFacts $facts): array => [$text($facts), true]);
        if ($cell === null || $cell->runs === []) {
            return Cell::of(Mark::Equal, 'yes');
        }

        return Cell::of(Mark::Unequal, $cell->found, $cell->runs);
    }
}
