<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\PieceValues;
use PlainLedger\Core\Specification\Values\Scalar;
use PlainLedger\Core\Text\Text;

/** What a deliverable must be: its layers resolved, each value knowing which layer set it. */
final readonly class Specification
{
    public const FORMAT = 'plain-ledger/specification';

    private const MOST_PARTS = 50;

    /**
     * @param  array<string, string>  $values  what pieces of names stand for
     * @param  non-empty-list<Part>  $parts
     * @param  array<string, list<string>>  $startingValues  canonical texts by id
     * @param  list<string>  $notUnderstood  keys that are kept and not known here
     */
    private function __construct(
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
        $specification = self::lieOver(array_values($layers), null);
        foreach ($specification->parts as $part) {
            self::numbersHaveTheirPlace($part, $layers[array_key_last($layers)]->label);
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

        return new SpecificationDraft(self::lieOver(array_values($layers), $faults), $faults->list());
    }

    /** @param  list<Layer>  $layers */
    private static function lieOver(array $layers, ?ValueFaults $faults): self
    {
        $catalogue = Catalogue::standard();
        $title = '';
        $values = [];
        $starting = [];
        $unknown = [];
        $shapes = null;
        foreach ($layers as $layer) {
            $title = self::text($layer, 'title') ?? $title;
            foreach (JsonDocument::entries($layer->data['values'] ?? [], $layer->label, '"values"') as $key => $value) {
                if ($value !== null && ! is_scalar($value)) {
                    throw SpecificationRefused::because(
                        $layer->label,
                        '"values": “'
                            .Text::shown($key)
                            .'” must be a text or a number, and '
                            .JsonDocument::typeOf($value)
                            .' stands there.',
                    );
                }
                $values[strtolower($key)] = $value === null ? '' : Scalar::text($value);
            }
            foreach (self::starting($layer, $catalogue) as $id => $list) {
                $starting[$id] = array_values(array_unique([...$starting[$id] ?? [], ...$list]));
            }
            $shapes = self::shapes($layer) ?? $shapes;
            foreach (array_keys($layer->data) as $key) {
                if (
                    ! in_array(
                        $key,
                        ['format', 'version', 'title', 'delivers', 'values', 'require', 'parts', 'starting_values'],
                        true,
                    )
                ) {
                    $unknown[] = Text::shown((string) $key);
                }
            }
        }
        $parts = [];
        foreach ($shapes ?? [['name' => 'frames', 'delivers' => Delivers::Frames, 'madeFrom' => null]] as $shape) {
            $requirements = [];
            foreach ($layers as $layer) {
                $requirements = self::lay(
                    $requirements,
                    $layer->data['require'] ?? [],
                    $layer,
                    '"require"',
                    $catalogue,
                    $unknown,
                    $faults,
                    $shape['name'],
                );
                foreach (self::partList($layer) as $part) {
                    if (($part['name'] ?? null) === $shape['name']) {
                        $requirements = self::lay(
                            $requirements,
                            $part['require'] ?? [],
                            $layer,
                            "part “{$shape['name']}”",
                            $catalogue,
                            $unknown,
                            $faults,
                            $shape['name'],
                        );
                    }
                }
            }
            uasort(
                $requirements,
                static fn (
                    Requirement $a,
                    Requirement $b,
                ): int => $catalogue->place($a->id()) <=> $catalogue->place($b->id()),
            );
            $parts[] = new Part(
                $shape['name'],
                $shape['delivers'],
                $shape['madeFrom'],
                $requirements,
                self::ofPasses(
                    $requirements['passes'] ?? null,
                    $layers[count($layers) - 1]->label,
                    $catalogue,
                    $unknown,
                    $faults,
                    $shape['name'],
                ),
            );
        }

        return new self(
            Text::shown($title),
            array_map(Text::shown(...), $values),
            $parts,
            $starting,
            array_values(array_unique($unknown)),
        );
    }

    /** Frames cannot be named without their number, and a movie has none. */
    private static function numbersHaveTheirPlace(Part $part, string $label): void
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

    private static function text(Layer $layer, string $key): ?string
    {
        $value = $layer->data[$key] ?? null;
        if ($value !== null && ! is_string($value)) {
            throw SpecificationRefused::because(
                $layer->label,
                "\"{$key}\" must be a text, and ".JsonDocument::typeOf($value).' stands there.',
            );
        }

        return $value;
    }

    /** @return list<array<string, mixed>> */
    private static function partList(Layer $layer): array
    {
        $list = $layer->data['parts'] ?? [];
        if (! is_array($list) || ! array_is_list($list)) {
            throw SpecificationRefused::because(
                $layer->label,
                '"parts" must be a list, and '.JsonDocument::typeOf($list).' stands there.',
            );
        }
        if (count($list) > self::MOST_PARTS) {
            throw SpecificationRefused::because(
                $layer->label,
                'a specification has at most '.self::MOST_PARTS.' parts.',
            );
        }

        return array_map(
            static fn (mixed $part): array => JsonDocument::asObject($part, $layer->label, 'a part'),
            $list,
        );
    }

    /** @return non-empty-list<array{name: string, delivers: Delivers, madeFrom: string|null}>|null */
    private static function shapes(Layer $layer): ?array
    {
        $delivers = static function (mixed $word, string $where) use ($layer): Delivers {
            return (is_string($word) ? Delivers::tryFrom($word) : null)
                ?? throw SpecificationRefused::because(
                    $layer->label,
                    "{$where}: \"delivers\" is frames, still, movie or file, and "
                        .JsonDocument::typeOf($word)
                        .' stands there.',
                );
        };
        $parts = self::partList($layer);
        if ($layer->setBy === SetBy::Deliverable) {
            // which parts there are is the specification's matter; here some of them are only asked otherwise
            return null;
        }
        if ($parts === []) {
            $word = $layer->data['delivers'] ?? null;

            return $word === null
                ? null
                : [
                    [
                        'name' => $delivers($word, 'the specification')->value,
                        'delivers' => $delivers($word, 'the specification'),
                        'madeFrom' => null,
                    ],
                ];
        }
        $shapes = [];
        foreach ($parts as $n => $part) {
            $name = $part['name'] ?? null;
            $where = 'part '.($n + 1);
            if (! is_string($name) || trim($name) === '' || isset($shapes[$name])) {
                throw SpecificationRefused::because($layer->label, "{$where}: each part needs a name of its own.");
            }
            $from = $part['made_from'] ?? null;
            $shapes[$name] = [
                'name' => $name,
                'delivers' => $delivers($part['delivers'] ?? null, $where),
                'madeFrom' => is_string($from) ? $from : null,
            ];
        }
        foreach ($shapes as $shape) {
            if ($shape['madeFrom'] === $shape['name']) {
                throw SpecificationRefused::because($layer->label, "part “{$shape['name']}” is made from itself.");
            }
            if ($shape['madeFrom'] !== null && ! isset($shapes[$shape['madeFrom']])) {
                throw SpecificationRefused::because(
                    $layer->label,
                    "part “{$shape['name']}” is made from “{$shape['madeFrom']}”, and there is no such part.",
                );
            }
        }

        return array_values($shapes);
    }

    /**
     * @param  array<string, Requirement>  $requirements
     * @param  list<string>  $unknown
     * @return array<string, Requirement>
     */
    private static function lay(
        array $requirements,
        mixed $require,
        Layer $layer,
        string $where,
        Catalogue $catalogue,
        array &$unknown,
        ?ValueFaults $faults,
        string $part,
    ): array {
        foreach (JsonDocument::entries($require, $layer->label, $where) as $id => $json) {
            $descriptor = $catalogue->find($id);
            if ($descriptor === null) {
                $unknown[] = Text::shown($id);
            } elseif ($json === null) {
                unset($requirements[$id]);
            } else {
                try {
                    $requirements[$id] = Requirement::read($descriptor, $json, $layer->setBy, $layer->label);
                    foreach (Requirement::strangeKeys($descriptor, $json) as $key) {
                        $unknown[] = Text::shown("{$id}, {$key}");
                    }
                } catch (SpecificationRefused $refused) {
                    unset($requirements[$id]);
                    ($faults ?? throw $refused)->add($id, $part, $refused->plain);
                }
            }
        }

        return $requirements;
    }

    /**
     * What is asked of one pass alone. What files of a pass cannot show is told as not understood.
     *
     * @param  list<string>  $unknown
     * @return array<string, array<string, Requirement>>
     */
    private static function ofPasses(
        ?Requirement $passes,
        string $label,
        Catalogue $catalogue,
        array &$unknown,
        ?ValueFaults $faults,
        string $part,
    ): array {
        $all = [];
        foreach ($passes->value->own ?? [] as $pass => $require) {
            foreach ($require as $id => $json) {
                $id = (string) $id;
                $descriptor = $catalogue->find($id);
                if ($descriptor === null || ! PassList::canBeAsked($id, $descriptor)) {
                    $unknown[] = 'passes: '.Text::shown("{$pass}, {$id}");
                } elseif ($json !== null) {
                    try {
                        $all[$pass][$id] = Requirement::read(
                            $descriptor,
                            $json,
                            $passes->setBy ?? SetBy::Specification,
                            "{$label}, pass “{$pass}”",
                        );
                    } catch (SpecificationRefused $refused) {
                        ($faults ?? throw $refused)->add($id, $part, "pass “{$pass}”: {$refused->plain}");
                    }
                }
            }
        }

        return $all;
    }

    /** @return array<string, list<string>> */
    private static function starting(Layer $layer, Catalogue $catalogue): array
    {
        $starting = [];
        foreach (JsonDocument::entries(
            $layer->data['starting_values'] ?? [],
            $layer->label,
            '"starting_values"',
        ) as $id => $list) {
            $descriptor = $catalogue->find($id);
            foreach (is_array($list) && array_is_list($list) ? $list : [$list] as $value) {
                if ($descriptor !== null) {
                    $starting[$id][] = Requirement::read(
                        $descriptor,
                        $value,
                        $layer->setBy,
                        $layer->label.', "starting_values"',
                    )->required();
                }
            }
        }

        return $starting;
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
        $derived = [];
        $size = $part->single(RequirementId::PICTURE_RESOLUTION);
        if ($size !== null) {
            $resolution = Resolution::parse($size);
            $derived += [
                'resolution' => $size,
                'width' => (string) $resolution->width,
                'height' => (string) $resolution->height,
            ];
        }
        try {
            $range = $part->expected();
        } catch (NotUnderstood) {
            $range = null;
        }
        if ($range !== null && ! $range->isEmpty()) {
            $derived += ['first' => (string) $range->first(), 'last' => (string) $range->last()];
        }
        $rate = $part->single(RequirementId::TIME_RATE);
        if ($rate !== null) {
            $derived['rate'] = \PlainLedger\Core\Measure\FrameRate::parse($rate)->spoken();
        }
        $camera = $part->single(RequirementId::CAMERA_NAME);
        if ($camera !== null && preg_match('~[*?]~', $camera) !== 1) {
            $derived['camera'] = $camera;
        }
        $values = PieceValues::of(
            array_filter($this->values, static fn (string $v): bool => $v !== '') + $derived + ['part' => $part->name],
        );
        $kinds = $part->kinds();

        return $values->withExtensions(
            array_map(static fn (\PlainLedger\Core\Media\Kind $k): string => $k->usualExtension(), $kinds),
        );
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
