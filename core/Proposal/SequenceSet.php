<?php

declare(strict_types=1);

namespace PlainLedger\Core\Proposal;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Delivers;

/** Sequences that are one part: alike in kind, folder and frames, and in their names but for one word. */
final readonly class SequenceSet
{
    /** So many files of a sequence tell what it is. */
    private const SAMPLES = 20;

    /** @param  non-empty-list<Sequence>  $sequences */
    private function __construct(public Kind $kind, public array $sequences) {}

    /** @return list<self> the largest first, movies after pictures */
    public static function in(Delivery $delivery): array
    {
        $alike = [];
        foreach ($delivery->groups as $group) {
            foreach (Sequence::of($group, self::column($group)) as $sequence) {
                $kind = self::kindOf($delivery, $sequence);
                if ($kind !== null && ($kind->isPicture() || $kind->isMovie())) {
                    $alone = $kind->isMovie() || count($sequence->frames) < 2 ? $sequence->pattern() : '';
                    $key = "{$kind->value}/{$sequence->folder()}/{$sequence->frames}/{$alone}";
                    $alike[$key][] = new self($kind, [$sequence]);
                }
            }
        }
        $sets = array_merge([], ...array_map(self::joined(...), array_values($alike)));
        usort($sets, static fn (self $a, self $b): int => $a->weight() <=> $b->weight());

        return $sets;
    }

    /** A file alone is one of a sequence where its number looks like a frame's. */
    private static function column(NameGroup $group): ?int
    {
        $numbered = $group->count() > 1 || preg_match('~\d{3,}\.[A-Za-z]~', $group->name(0)) === 1;

        return $numbered ? Sequence::likelyColumn($group) : null;
    }

    private static function kindOf(Delivery $delivery, Sequence $sequence): ?Kind
    {
        foreach ($sequence->rows->first(self::SAMPLES) as $row) {
            $kind = $delivery->factsOf($sequence->group, $row)->kind;
            if ($kind !== null) {
                return $kind;
            }
        }

        return null;
    }

    /**
     * @param  non-empty-list<self>  $alike
     * @return non-empty-list<self> one, where their names differ in one word
     */
    private static function joined(array $alike): array
    {
        $all = new self(
            $alike[0]->kind,
            array_merge(...array_map(static fn (self $set): array => $set->sequences, $alike)),
        );

        return count($alike) > 1 && $all->differingWord() === null ? $alike : [$all];
    }

    /** @return array{bool, int, string} */
    private function weight(): array
    {
        $files = array_sum(array_map(static fn (Sequence $s): int => $s->count(), $this->sequences));

        return [$this->kind->isMovie(), -$files, $this->sequences[0]->pattern()];
    }

    public function delivers(): Delivers
    {
        return match (true) {
            $this->kind->isMovie() => Delivers::Movie,
            $this->sequences[0]->column === null, count($this->sequences[0]->frames) < 2 => Delivers::Still,
            default => Delivers::Frames,
        };
    }

    /** @return list<MediaFacts> each once */
    public function facts(Delivery $delivery): array
    {
        $facts = [];
        foreach ($this->sequences as $sequence) {
            $ids = $sequence->group->factsIds();
            foreach ($sequence->rows as $row) {
                $facts[$ids[$row]] ??= $delivery->facts->get($ids[$row]);
            }
        }

        return array_values($facts);
    }

    /**
     * The one word in which names differ, with what stands before and after it.
     *
     * @return array{string, string, list<string>}|null null where there is one name, or more than a word differs
     */
    public function differingWord(): ?array
    {
        $pieces = array_map(
            static fn (Sequence $s): array => preg_split('~([._ -]+)~', $s->pattern(), -1, PREG_SPLIT_DELIM_CAPTURE)
                ?: [],
            $this->sequences,
        );
        if (count($pieces) < 2 || count(array_unique(array_map(count(...), $pieces))) > 1) {
            return null;
        }
        $differs = static fn (int $at): bool => count(array_unique(array_column($pieces, $at))) > 1;
        $differ = array_values(array_filter(array_keys($pieces[0]), $differs));
        $words = count($differ) === 1 ? array_column($pieces, $differ[0]) : [];
        $plain = array_filter(
            $words,
            static fn (string $word): bool => preg_match('~^[A-Za-z][A-Za-z0-9]*$~', $word) === 1,
        );
        if ($words === [] || count($plain) < count($words)) {
            return null;
        }
        $before = implode('', array_slice($pieces[0], 0, $differ[0]));

        return [$before, implode('', array_slice($pieces[0], $differ[0] + 1)), $words];
    }
}
