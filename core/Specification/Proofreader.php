<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Specification\Proofs\AlphaHasRoom;
use PlainLedger\Core\Specification\Proofs\CompressionExists;
use PlainLedger\Core\Specification\Proofs\DepthExists;
use PlainLedger\Core\Specification\Proofs\DigitsReach;
use PlainLedger\Core\Specification\Proofs\EvenForChroma;
use PlainLedger\Core\Specification\Proofs\KeyframesWithin;
use PlainLedger\Core\Specification\Proofs\KindSuits;
use PlainLedger\Core\Specification\Proofs\LengthsAgree;
use PlainLedger\Core\Specification\Proofs\NamesCanBeMade;
use PlainLedger\Core\Specification\Proofs\NumbersHaveTheirPlace;
use PlainLedger\Core\Specification\Proofs\PassesHaveTheirPlace;
use PlainLedger\Core\Specification\Proofs\Proof;
use PlainLedger\Core\Specification\Proofs\Quarrel;
use PlainLedger\Core\Specification\Proofs\SamePaths;
use PlainLedger\Core\Specification\Proofs\ShapeFollows;
use PlainLedger\Core\Specification\Proofs\SizeAndRate;
use PlainLedger\Core\Specification\Proofs\SoundIsThere;
use PlainLedger\Core\Specification\Proofs\TimecodeCounts;
use PlainLedger\Core\Specification\Proofs\TwoToOne;

/** Reads specifications against themselves, before anybody works by them. */
final readonly class Proofreader
{
    /** @param  list<Proof>  $proofs */
    public function __construct(private array $proofs) {}

    public static function standard(): self
    {
        return new self([
            new ShapeFollows, new TwoToOne, new LengthsAgree, new TimecodeCounts, new KindSuits, new AlphaHasRoom, new DepthExists, new CompressionExists, new EvenForChroma,
            new SoundIsThere, new SizeAndRate, new KeyframesWithin, new NumbersHaveTheirPlace, new DigitsReach, new PassesHaveTheirPlace, new NamesCanBeMade,
        ]);
    }

    /** @return list<Quarrel> none where nothing contradicts itself */
    public function read(Draft $draft): array
    {
        return [...$this->alone($draft), ...(new SamePaths)->within($draft->specification)];
    }

    /**
     * Several deliverables of one production, each alone and all beside each other.
     *
     * @param  array<string, Draft>  $drafts  by what each is called
     * @return array<string, list<Quarrel>> by what each is called; one with nothing to say is left out
     */
    public function readAll(array $drafts): array
    {
        $all = array_filter(array_map($this->read(...), $drafts));
        foreach ((new SamePaths)->across(array_map(static fn (Draft $d): Specification => $d->specification, $drafts)) as [$called, $other, $quarrel]) {
            if ($called !== $other) {
                $all[$called][] = $quarrel;
                $all[$other][] = $quarrel;
            }
        }

        return $all;
    }

    /** @return list<Quarrel> */
    private function alone(Draft $draft): array
    {
        $found = $draft->faults;
        foreach ($draft->specification->parts as $part) {
            foreach ($this->proofs as $proof) {
                foreach ($proof->read($draft->specification, $part) as $quarrel) {
                    $found[] = $quarrel;
                }
            }
            // and what one pass alone is asked, together with what holds for all
            foreach ($part->ofPasses as $pass => $own) {
                foreach ($this->proofs as $proof) {
                    foreach ($proof->read($draft->specification, $part->ofPass((string) $pass)) as $quarrel) {
                        $concerns = array_intersect($quarrel->requirements, array_keys($own)) !== [] && ! in_array('passes', $quarrel->requirements, true);
                        $found = $concerns ? [...$found, $quarrel] : $found;
                    }
                }
            }
        }
        $once = [];
        foreach ($found as $quarrel) {
            $once["{$quarrel->part}: {$quarrel->says}"] ??= $quarrel;
        }

        return array_values($once);
    }
}
