<?php

declare(strict_types=1);

namespace PlainLedger\Core\Proposal;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\RequirementId;

/**
 * A specification made from files: the requirements that a delivery fulfils. Only what all frames have in common is
 * proposed; damaged files propose nothing but their names.
 */
final readonly class SpecificationProposal
{
    private const MOST_PARTS = 12;

    /** @param  array<string, mixed>  $document  as a specification document has it */
    private function __construct(public array $document) {}

    /**
     * @param  string|null  $shot  where names begin with it, the piece {shot} stands for it
     * @return self|null null where nothing in the delivery is a picture or a movie
     */
    public static function from(Delivery $delivery, ?string $shot = null): ?self
    {
        $values = $shot === null || $shot === '' ? [] : ['shot' => $shot];
        $parts = [];
        foreach (array_slice(SequenceSet::in($delivery), 0, self::MOST_PARTS) as $set) {
            $name = NameProposal::of(self::nameOf($set), $set->sequences[0], $set->kind, $set->delivers(), $values);
            $values = $name->values;
            $parts[] = [
                'name' => self::freeName($set->delivers()->value, array_column($parts, 'name')),
                'delivers' => $set->delivers()->value,
                'require' => self::require($delivery, $set, $name->pattern),
            ];
        }
        if ($parts === []) {
            return null;
        }
        $alone = ['delivers' => $parts[0]['delivers'], 'require' => $parts[0]['require']];

        return new self(['values' => $values] + (count($parts) === 1 ? $alone : ['parts' => $parts]));
    }

    /** @param  list<string>  $taken */
    private static function freeName(string $name, array $taken): string
    {
        for ($free = $name, $n = 2; in_array($free, $taken, true); $n++) {
            $free = "{$name} {$n}";
        }

        return $free;
    }

    /** With a zero byte where the pass stands. */
    private static function nameOf(SequenceSet $set): string
    {
        $word = $set->differingWord();

        return $word === null ? $set->sequences[0]->pattern() : $word[0]."\0".$word[1];
    }

    /** @return array<string, mixed> */
    private static function require(Delivery $delivery, SequenceSet $set, string $pattern): array
    {
        $facts = $set->facts($delivery);
        $whole = array_values(array_filter($facts, static fn (MediaFacts $f): bool => $f->isWhole()));
        $shared = new SharedFacts($whole);
        $passes = $set->differingWord()[2] ?? null;
        $folder = $set->sequences[0]->folder();
        $allWhole = $whole !== [] && count($whole) === count($facts) && $whole[0]->wholeness->complete !== null;
        $more = [
            RequirementId::TIME_RANGE => $set->delivers() === Delivers::Frames
                ? (string) $set->sequences[0]->frames
                : null,
            RequirementId::FORMAT_KIND => $set->kind->value,
            RequirementId::NAMING_PATTERN => $pattern,
            RequirementId::PASSES => $passes,
            RequirementId::NAMING_FOLDER => $folder === '' ? null : strtr($folder, ['{' => '{{', '}' => '}}']),
            RequirementId::CONTENT_WHOLE => $allWhole ? 'yes' : null,
        ];
        $require = [
            ...$shared->requirements(),
            ...($passes === null ? $shared->layers() : []),
            ...array_filter($more, static fn (mixed $value): bool => $value !== null),
        ];
        $place = Catalogue::standard()->place(...);
        uksort($require, static fn (string $a, string $b): int => $place($a) <=> $place($b));

        return $require;
    }
}
