<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Specification\Conflicts\AlphaSupport;
use PlainLedger\Core\Specification\Conflicts\ChromaSize;
use PlainLedger\Core\Specification\Conflicts\CompressionSupport;
use PlainLedger\Core\Specification\Conflicts\Conflict;
use PlainLedger\Core\Specification\Conflicts\ConflictRule;
use PlainLedger\Core\Specification\Conflicts\DepthSupport;
use PlainLedger\Core\Specification\Conflicts\DisplayAspect;
use PlainLedger\Core\Specification\Conflicts\FrameDigits;
use PlainLedger\Core\Specification\Conflicts\FramePiece;
use PlainLedger\Core\Specification\Conflicts\KeyframeInterval;
use PlainLedger\Core\Specification\Conflicts\KindForPart;
use PlainLedger\Core\Specification\Conflicts\LatLongShape;
use PlainLedger\Core\Specification\Conflicts\NamePieces;
use PlainLedger\Core\Specification\Conflicts\PartLengths;
use PlainLedger\Core\Specification\Conflicts\PassPiece;
use PlainLedger\Core\Specification\Conflicts\SamePaths;
use PlainLedger\Core\Specification\Conflicts\SizeCap;
use PlainLedger\Core\Specification\Conflicts\SoundPresence;
use PlainLedger\Core\Specification\Conflicts\StartTimecode;

/** Reads specifications against themselves, before anybody works by them. */
final readonly class Proofreader
{
    /** @param  list<ConflictRule>  $proofs */
    public function __construct(private array $proofs) {}

    public static function standard(): self
    {
        return new self([
            new DisplayAspect, new LatLongShape, new PartLengths, new StartTimecode, new KindForPart, new AlphaSupport,
            new DepthSupport, new CompressionSupport, new ChromaSize,
            new SoundPresence, new SizeCap, new KeyframeInterval, new FramePiece, new FrameDigits, new PassPiece,
            new NamePieces,
        ]);
    }

    /** @return list<Conflict> none where nothing contradicts itself */
    public function read(SpecificationDraft $draft): array
    {
        return [...$this->alone($draft), ...(new SamePaths)->within($draft->specification)];
    }

    /**
     * Several deliverables of one production, each alone and all beside each other.
     *
     * @param  array<string, SpecificationDraft>  $drafts  by what each is called
     * @return array<string, list<Conflict>> by what each is called; one with nothing to say is left out
     */
    public function readAll(array $drafts): array
    {
        $all = array_filter(array_map($this->read(...), $drafts));
        foreach ((new SamePaths)->across(
            array_map(static fn (SpecificationDraft $d): Specification => $d->specification, $drafts),
        ) as [$called, $other, $conflict]) {
            if ($called !== $other) {
                $all[$called][] = $conflict;
                $all[$other][] = $conflict;
            }
        }

        return $all;
    }

    /** @return list<Conflict> */
    private function alone(SpecificationDraft $draft): array
    {
        $found = $draft->faults;
        foreach ($draft->specification->parts as $part) {
            foreach ($this->proofs as $proof) {
                foreach ($proof->read($draft->specification, $part) as $conflict) {
                    $found[] = $conflict;
                }
            }
            // and what one pass alone is asked, together with what holds for all
            foreach ($part->ofPasses as $pass => $own) {
                foreach ($this->proofs as $proof) {
                    foreach ($proof->read($draft->specification, $part->ofPass((string) $pass)) as $conflict) {
                        $concerns = array_intersect($conflict->requirements, array_keys($own)) !== []
                            && ! in_array(RequirementId::PASSES, $conflict->requirements, true);
                        $found = $concerns ? [...$found, $conflict] : $found;
                    }
                }
            }
        }
        $once = [];
        foreach ($found as $conflict) {
            $once["{$conflict->part}: {$conflict->says}"] ??= $conflict;
        }

        return array_values($once);
    }
}
