<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PieceValues;
use PlainLedger\Core\Text\Text;

/** What a deliverable must be: its layers resolved, each value knowing which layer set it. */
final readonly class Specification
{
    public const FORMAT = 'plain-ledger/specification';

    /**
     * @internal made by the resolver of layers
     *
     * @param  array<string, string>  $values  what pieces of names stand for
     * @param  non-empty-list<Part>  $parts
     * @param  array<string, list<string>>  $startingValues  canonical texts by id
     * @param  list<string>  $notUnderstood  keys that are kept and not known here
     */
    public function __construct(
        public string $title,
        public array $values,
        public array $parts,
        public array $startingValues,
        public array $notUnderstood,
    ) {}

    /** @throws JsonRefused|SpecificationRefused */
    public static function fromDocument(JsonDocument $document): self
    {
        return self::resolve(new Layer(SetBy::Specification, $document->data, $document->label));
    }

    /**
     * Lays layers over each other, the first lowest. A requirement set to null by a later layer is not asked any more.
     *
     * @throws JsonRefused|SpecificationRefused
     */
    public static function resolve(Layer ...$layers): self
    {
        $specification = (new LayerResolver(array_values($layers), null))->resolve();
        foreach ($specification->parts as $part) {
            self::expectNumber($part, $layers[array_key_last($layers)]->label);
        }

        return $specification;
    }

    /**
     * The same for the proofreader: what cannot be understood of single requirements is kept as a finding, and the rest
     * is read as if it were not asked.
     *
     * @throws JsonRefused|SpecificationRefused where its structure is not that of a specification
     */
    public static function draft(Layer ...$layers): SpecificationDraft
    {
        $faults = new ValueFaults;

        return new SpecificationDraft((new LayerResolver(array_values($layers), $faults))->resolve(), $faults->list());
    }

    /** Frames cannot be named without their number, and a movie has none. */
    private static function expectNumber(Part $part, string $label): void
    {
        $pattern = $part->single(RequirementId::NAMING_PATTERN);
        if ($pattern === null || $part->delivers === Delivers::File || $part->delivers === Delivers::Still) {
            return;
        }
        $has = NamePattern::parse($pattern)->has('frame');
        if ($part->delivers === Delivers::Frames && ! $has) {
            throw SpecificationRefused::requirement(
                $label,
                RequirementId::NAMING_PATTERN,
                "the part “{$part->name}” delivers frames, and “{$pattern}” has no {frame} to tell them apart.",
            );
        }
        if ($part->delivers === Delivers::Movie && $has) {
            throw SpecificationRefused::requirement(
                $label,
                RequirementId::NAMING_PATTERN,
                "the part “{$part->name}” is a movie, and “{$pattern}” has a {frame}.",
            );
        }
    }

    public function titled(string $title): self
    {
        return new self(Text::shown($title), $this->values, $this->parts, $this->startingValues, $this->notUnderstood);
    }

    /**
     * Whether any part, or any pass of one, is asked one of these.
     *
     * @param  list<string>  $ids
     */
    public function asksAny(array $ids): bool
    {
        foreach ($this->parts as $part) {
            foreach ([$part->requirements, ...array_values($part->ofPasses)] as $requirements) {
                if (array_intersect($ids, array_keys($requirements)) !== []) {
                    return true;
                }
            }
        }

        return false;
    }

    public function part(string $name): ?Part
    {
        foreach ($this->parts as $part) {
            if ($part->name === $name) {
                return $part;
            }
        }

        return null;
    }

    /** What the pieces of names stand for in one part: its own values, and those that follow from what is asked. */
    public function pieceValues(Part $part): PieceValues
    {
        $own = array_filter($this->values, static fn (string $value): bool => $value !== '');
        $extensions = array_map(static fn (Kind $kind): string => $kind->usualExtension(), $part->kinds());

        return PieceValues::of($own + self::derived($part) + ['part' => $part->name])->withExtensions($extensions);
    }

    /** @return array<string, string> */
    private static function derived(Part $part): array
    {
        $size = $part->single(RequirementId::PICTURE_RESOLUTION);
        $sides = $size === null ? null : Resolution::parse($size);
        try {
            $range = $part->expected();
        } catch (NotUnderstood) {
            $range = null;
        }
        $rate = $part->single(RequirementId::TIME_RATE);
        $camera = $part->single(RequirementId::CAMERA_NAME);
        $known = $range !== null && ! $range->isEmpty();
        $plain = $camera !== null && preg_match('~[*?]~', $camera) !== 1;

        return ($sides === null ? [] : [
            'resolution' => (string) $size,
            'width' => (string) $sides->width,
            'height' => (string) $sides->height,
        ])
            + ($known ? ['first' => (string) $range->first(), 'last' => (string) $range->last()] : [])
            + ($rate === null ? [] : ['rate' => FrameRate::parse($rate)->spoken()])
            + ($plain ? ['camera' => $camera] : []);
    }

    /**
     * A range of frames that an untouched scene shows.
     *
     * @return list<FrameRange>
     */
    public function startingRanges(): array
    {
        return array_map(
            FrameRange::parse(...),
            array_values(
                array_filter(
                    $this->startingValues[RequirementId::TIME_RANGE] ?? [],
                    static fn (string $v): bool => $v !== 'timeline',
                ),
            ),
        );
    }
}
