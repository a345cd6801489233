<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\Conflicts\Conflict;
use PlainLedger\Core\Specification\Consequences;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PatternNotes;
use PlainLedger\Core\Specification\Prose;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\SpecificationDraft;
use PlainLedger\Core\Text\PlainSentence;

/**
 * What follows from what is asked of a part.
 *
 * @phpstan-type Ruler array{cut: array{int, int}, delivered: array{int, int}, head: int, tail: int}
 * @phpstan-type ShapeShown array{width: int, height: int, aspect: string, spoken: string}
 * @phpstan-type NameSet array{pass: string|null, folder: string, names: list<string>}
 */
readonly class ImpliedPart
{
    public string $name;

    public Delivers $delivers;

    public ?string $madeFrom;

    public string $prose;

    /** @var list<array{label: string, value: string}> */
    public array $consequences;

    /** @var ShapeShown|null as it is shown: pixels made square */
    public ?array $shape;

    /** @var Ruler|null */
    public ?array $ruler;

    /** @var array{sets: list<NameSet>, tree: list<string>}|null */
    public ?array $names;

    /** @var list<string> what should be known of the names */
    public array $notes;

    /** @var list<ConflictShown> */
    public array $conflicts;

    /** @param  list<Conflict>  $conflicts  of all parts */
    public function __construct(SpecificationDraft $draft, Part $part, array $conflicts)
    {
        $consequences = Consequences::of($draft->specification, $part);
        $this->name = $part->name;
        $this->delivers = $part->delivers;
        $this->madeFrom = $part->madeFrom;
        $this->prose = Prose::of($part);
        $this->consequences = $consequences->lines;
        $this->shape = $consequences->shape;
        $this->ruler = $consequences->ruler;
        $this->names = $consequences->names === null
            ? null
            : ['sets' => $consequences->names->sets, 'tree' => $consequences->names->tree()];
        $this->notes = self::notes($draft, $part);
        $this->conflicts = ConflictShown::all(
            array_filter($conflicts, static fn (Conflict $c): bool => $c->part === $part->name),
        );
    }

    /** @return list<string> */
    private static function notes(SpecificationDraft $draft, Part $part): array
    {
        $source = $part->single(RequirementId::NAMING_PATTERN);
        try {
            return $source === null ? [] : PatternNotes::of(NamePattern::parse($source), $draft->specification, $part);
        } catch (PlainSentence) {
            return [];
        }
    }
}
