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
        if ($requirement->id() === RequirementId::CONTENT_SOURCE) {
            return $this->source($subject);
        }
        if (
            $subject->match === null
            || $subject->match->isEmpty()
            || ($requirement->id() === RequirementId::CONTENT_UNIFORM && $subject->part->delivers->isMovie())
        ) {
            return null;
        }

        return $requirement->id() === RequirementId::CONTENT_WHOLE ? $this->whole($subject) : $this->uniform($subject);
    }

    /** Null where the pictures were not looked at. */
    private function source(Subject $subject): ?Cell
    {
        $source = $subject->source();
        $frames = $source === null ? null : $subject->deliveryMatch?->parts[$source->name]->passes[0] ?? null;
        $range = (string) ($frames->expected ?? $frames?->present);

        return FactSurvey::cell($subject, static function (MediaFacts $facts) use ($range): ?array {
            $shown = $facts->movie?->shown;

            return $shown === null || ! $shown->isSeen()
                ? null
                : [$shown->says($range), $shown->isAsIs($range)];
        });
    }

    private function whole(Subject $subject): Cell
    {
        $byDamage = $this->byDamage($subject);
        if ($byDamage === []) {
            $unread = $this->unread($subject);

            return $unread === null ? Cell::of(Mark::Equal, 'yes') : Cell::unknown($unread->unread());
        }
        $runs = [];
        $said = [];
        $wrong = [];
        foreach ($byDamage as $damage => $sets) {
            foreach ($sets as $place => $set) {
                $runs[] = ['frames' => $subject->isNumbered() ? (string) $set : '', 'found' => $damage];
                $wrong[$place] = ($wrong[$place] ?? FrameRange::none())->plus($set);
            }
            $said[] = array_sum(array_map(count(...), $sets)).' '.$damage;
        }

        return Cell::of(Mark::Unequal, implode(', ', $said), $runs, $wrong);
    }

    /** @return array<string, array<int, FrameRange>> by damage, by the place of the pass */
    private function byDamage(Subject $subject): array
    {
        $byDamage = [];
        foreach ($subject->match->passes ?? [] as $place => $pass) {
            $relevant = $pass->relevant();
            foreach ($pass->frames->alike as $alike) {
                $own = $alike->frames->and($relevant);
                $damage = $alike->facts->damage()?->value;
                if ($damage !== null && ! $own->isEmpty()) {
                    $byDamage[$damage][$place] = ($byDamage[$damage][$place] ?? FrameRange::none())->plus($own);
                }
            }
        }

        return $byDamage;
    }

    /** Facts of the first file that is not known to be whole, of the kinds that are asked. */
    private function unread(Subject $subject): ?MediaFacts
    {
        $kinds = $subject->part->kinds();
        foreach ($subject->match->passes ?? [] as $pass) {
            foreach ($pass->frames->alike as $alike) {
                $told = $alike->facts->damage() !== null || $alike->facts->wholeness->complete !== null;
                if (! $told && ($kinds === [] || in_array($alike->facts->kind, $kinds, true))) {
                    return $alike->facts;
                }
            }
        }

        return null;
    }

    /** @return array<string, string> what frames must share, by name */
    public static function shared(MediaFacts $facts): array
    {
        return [
            'format' => $facts->kind->value ?? '',
            'size' => "{$facts->picture->width}x{$facts->picture->height}",
            'depth' => "{$facts->encoding->bitDepth} {$facts->encoding->sample}",
            'channels' => $facts->encoding->channelsText() ?? '',
            'compression' => $facts->encoding->compression ?? '',
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
