<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** `value-differs`: where nothing better fits, set this to that. */
final readonly class ValueDiffers
{
    /** What another format brings with it. */
    private const FOLLOWS_KIND = [RequirementId::FORMAT_COMPRESSION];

    /** @param  list<string>  $open ids that nothing else explains */
    public function forEntry(Situation $situation, Entry $entry, array $open): ?Finding
    {
        $id = $entry->id();
        $isKind = $id === RequirementId::FORMAT_KIND;
        if (in_array($id, self::FOLLOWS_KIND, true) && in_array(RequirementId::FORMAT_KIND, $open, true)) {
            return null;
        }
        $found = $situation->found($id) ?? 'none';
        $work = EntryFix::of($situation, $id, self::withArticle($entry->requirement->descriptor->label));
        $fixes = match (true) {
            in_array($id, [RequirementId::TIME_RANGE, RequirementId::TIME_COUNT], true) => $this->range($situation),
            $isKind && $situation->inFiles($id) => $this->otherKind($situation, $found),
            default => $work->fixes,
        };
        $helpless = $this->ifNothingHelps($situation, $id, $fixes, $work->render);

        return Finding::of(
            CauseId::ValueDiffers,
            $situation->side($id),
            $this->says($situation, $entry, $found).$helpless,
            ["{$id} is ".($found === '' ? 'empty' : $found)],
            $isKind ? [$id, ...self::FOLLOWS_KIND] : [$id],
            $fixes,
        )->rendering($work->render || ($isKind && $fixes === [] && $situation->inFiles($id)));
    }

    private function says(Situation $situation, Entry $entry, string $found): string
    {
        $id = $entry->id();
        if ($id === 'time.frame_in_header') {
            return "The header of {$this->brief($situation->wrong($id))} tells another frame number than the name: "
                ."{$found}. Somebody has renamed or copied these files.";
        }
        $asked = $id === RequirementId::NAMING_PATTERN ? $situation->asTyped($id) : $entry->required;
        $values = $this->partly($situation, $entry);
        $shown = $values === [] ? $found : Text::series($values);

        return $entry->requirement->descriptor->label
            .' is '
            .($shown === '' ? 'not set' : $shown)
            .", and {$asked} is asked.";
    }

    /** @return list<string> what a few of the frames show, where not all of them are wrong */
    private function partly(Situation $situation, Entry $entry): array
    {
        $wrong = $situation->wrong($entry->id());
        $all = $situation->subject->onlyPass()?->relevant();
        if ($all === null || $wrong->isEmpty() || $wrong->covers($all) || ! $situation->inFiles($entry->id())) {
            return [];
        }
        $runs = array_filter(
            $entry->files->runs ?? [],
            static fn (array $run): bool => $run['frames'] !== '' && $run['found'] !== $entry->required,
        );

        return array_map(
            static fn (array $run): string => "{$run['found']} in ".mb_strimwidth($run['frames'], 0, 60, '…'),
            array_slice(array_values($runs), 0, 3),
        );
    }

    /** @param  list<Fix>  $fixes */
    private function ifNothingHelps(Situation $situation, string $id, array $fixes, bool $render): string
    {
        if ($fixes !== [] || $render || ! $situation->inFiles($id)) {
            return '';
        }
        $count = $situation->entry(RequirementId::TIME_COUNT);
        $expected = $situation->subject->expected;
        if (
            $count !== null
            && $id === RequirementId::TIME_COUNT
            && $expected !== null
            && ! $count->requirement->value->admitsNumber((string) count($expected))
        ) {
            return ' No work mends this: the range that is asked has '
                .Text::count(count($expected), 'frame')
                .' itself.';
        }

        return '';
    }

    /**
     * Another format: saved again where nothing is lost, rendered where something is; for a movie, encoded.
     *
     * @return list<Fix>
     */
    private function otherKind(Situation $situation, string $found): array
    {
        $part = $situation->subject->part;
        $asked = $part->kinds()[0] ?? null;
        $kind = Kind::tryFrom(explode(' ', $found)[0]);
        if ($part->delivers === Delivers::Movie) {
            return EntryFix::of($situation, RequirementId::FORMAT_KIND, 'the format')->fixes;
        }
        if (
            $kind === null
            || $asked === null
            || ! $kind->losesNothing()
            || $situation->isUnequal(
                RequirementId::FORMAT_BIT_DEPTH,
                RequirementId::FORMAT_SAMPLE,
                RequirementId::FORMAT_ALPHA,
                RequirementId::FORMAT_CHANNELS,
            )
        ) {
            return [];
        }

        return [
            Fix::encode(
                $part->name,
                RequirementId::FORMAT_KIND,
                'the format',
                $found,
                $asked->value,
                $situation->framesOf(RequirementId::FORMAT_KIND),
            ),
        ];
    }

    /**
     * Of a scene the range to set; what frames are missing or too many says what to do with files.
     *
     * @return list<Fix>
     */
    private function range(Situation $situation): array
    {
        if (! $situation->inFiles(RequirementId::TIME_RANGE) && ! $situation->inFiles(RequirementId::TIME_COUNT)) {
            $id = $situation->isUnequal(RequirementId::TIME_RANGE)
                ? RequirementId::TIME_RANGE
                : RequirementId::TIME_COUNT;

            return EntryFix::of(
                $situation,
                $id,
                $id === RequirementId::TIME_RANGE ? 'the range' : 'the frame count',
            )->fixes;
        }

        return [];
    }

    private static function withArticle(string $label): string
    {
        return 'the '.(preg_match('~^[A-Z]{2}|^B-~', $label) === 1 ? $label : lcfirst($label));
    }

    private function brief(FrameRange $frames): string
    {
        return mb_strimwidth((string) $frames, 0, 90, '…');
    }
}
