<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Specification\Values\Scalar;
use PlainLedger\Core\Text\Text;

/** Lays layers over each other, the first lowest. A requirement set to null by a later layer is not asked any more. */
final class LayerResolver
{
    private const KEYS = ['format', 'version', 'title', 'delivers', 'values', 'require', 'parts', 'starting_values'];

    /** @var list<string> keys that are not known here */
    private array $unknown = [];

    private readonly Catalogue $catalogue;

    /**
     * @param  list<Layer>  $layers
     * @param  ValueFaults|null  $faults  where values that cannot be understood are kept; null: they are refused
     */
    public function __construct(private readonly array $layers, private readonly ?ValueFaults $faults)
    {
        $this->catalogue = Catalogue::standard();
    }

    /** @throws JsonRefused|SpecificationRefused */
    public function resolve(): Specification
    {
        $title = '';
        $values = [];
        $starting = [];
        $shapes = null;
        foreach ($this->layers as $layer) {
            $title = $this->title($layer) ?? $title;
            $values = array_replace($values, $this->values($layer));
            foreach ($this->starting($layer) as $id => $list) {
                $starting[$id] = array_values(array_unique([...$starting[$id] ?? [], ...$list]));
            }
            $shapes = PartShape::in($layer) ?? $shapes;
            $this->note(array_diff(array_map(strval(...), array_keys($layer->data)), self::KEYS));
        }
        $parts = array_map($this->part(...), $shapes ?? [PartShape::usual()]);

        return new Specification(
            Text::shown($title),
            array_map(Text::shown(...), $values),
            $parts,
            $starting,
            array_values(array_unique($this->unknown)),
        );
    }

    /** @param  array<string>  $keys */
    private function note(array $keys): void
    {
        $this->unknown = [...$this->unknown, ...array_values(array_map(Text::shown(...), $keys))];
    }

    private function title(Layer $layer): ?string
    {
        $title = $layer->data['title'] ?? null;
        if ($title !== null && ! is_string($title)) {
            $type = JsonDocument::typeOf($title);
            throw SpecificationRefused::because($layer->label, "\"title\" must be a text, and {$type} stands there.");
        }

        return $title;
    }

    /** @return array<string, string> */
    private function values(Layer $layer): array
    {
        $values = [];
        foreach (JsonDocument::entries($layer->data['values'] ?? [], $layer->label, '"values"') as $key => $value) {
            if ($value !== null && ! is_scalar($value)) {
                $key = Text::shown($key);
                $type = JsonDocument::typeOf($value);
                $why = "\"values\": “{$key}” must be a text or a number, and {$type} stands there.";
                throw SpecificationRefused::because($layer->label, $why);
            }
            $values[strtolower($key)] = $value === null ? '' : Scalar::text($value);
        }

        return $values;
    }

    /** @return array<string, list<string>> */
    private function starting(Layer $layer): array
    {
        $starting = [];
        $where = "{$layer->label}, \"starting_values\"";
        $given = JsonDocument::entries($layer->data['starting_values'] ?? [], $layer->label, '"starting_values"');
        foreach ($given as $id => $list) {
            $descriptor = $this->catalogue->find($id);
            if ($descriptor === null) {
                continue;
            }
            $values = is_array($list) && array_is_list($list) ? $list : [$list];
            foreach ($values as $value) {
                $starting[$id][] = Requirement::read($descriptor, $value, $layer->setBy, $where)->required();
            }
        }

        return $starting;
    }

    private function part(PartShape $shape): Part
    {
        $requirements = [];
        foreach ($this->layers as $layer) {
            $requirements = $this->lay($requirements, $layer->data['require'] ?? [], $layer, '"require"', $shape->name);
            foreach (PartShape::listIn($layer) as $part) {
                if (($part['name'] ?? null) === $shape->name) {
                    $where = "part “{$shape->name}”";
                    $requirements = $this->lay($requirements, $part['require'] ?? [], $layer, $where, $shape->name);
                }
            }
        }
        $place = fn (Requirement $requirement): int => $this->catalogue->place($requirement->id());
        uasort($requirements, static fn (Requirement $a, Requirement $b): int => $place($a) <=> $place($b));
        $ofPasses = $this->ofPasses($requirements[RequirementId::PASSES] ?? null, $shape->name);

        return new Part($shape->name, $shape->delivers, $shape->madeFrom, $requirements, $ofPasses);
    }

    /**
     * @param  array<string, Requirement>  $requirements
     * @return array<string, Requirement>
     */
    private function lay(array $requirements, mixed $require, Layer $layer, string $where, string $part): array
    {
        foreach (JsonDocument::entries($require, $layer->label, $where) as $id => $json) {
            $descriptor = $this->catalogue->find($id);
            if ($descriptor === null) {
                $this->note([$id]);

                continue;
            }
            $read = $json === null ? null : $this->read($descriptor, $json, $layer, $part);
            unset($requirements[$id]);
            $requirements += $read === null ? [] : [$id => $read];
        }

        return $requirements;
    }

    /** Null where it cannot be understood, and faults are kept. */
    private function read(Descriptor $descriptor, mixed $json, Layer $layer, string $part): ?Requirement
    {
        try {
            $requirement = Requirement::read($descriptor, $json, $layer->setBy, $layer->label);
        } catch (SpecificationRefused $refused) {
            ($this->faults ?? throw $refused)->add($descriptor->id, $part, $refused->reason());

            return null;
        }
        $this->note(array_map(
            static fn (string $key): string => "{$descriptor->id}, {$key}",
            Requirement::strangeKeys($descriptor, $json),
        ));

        return $requirement;
    }

    /**
     * What is asked of one pass alone. What files of a pass cannot show is told as not understood.
     *
     * @return array<string, array<string, Requirement>>
     */
    private function ofPasses(?Requirement $passes, string $part): array
    {
        $all = [];
        $setBy = $passes->setBy ?? SetBy::Specification;
        foreach ($passes->value->own ?? [] as $pass => $require) {
            foreach ($require as $id => $json) {
                $read = $this->ofPass((string) $pass, (string) $id, $json, $setBy, $part);
                if ($read !== null) {
                    $all[$pass][(string) $id] = $read;
                }
            }
        }

        return $all;
    }

    private function ofPass(string $pass, string $id, mixed $json, SetBy $setBy, string $part): ?Requirement
    {
        $descriptor = $this->catalogue->find($id);
        if ($descriptor === null || ! PassList::canBeAsked($id, $descriptor)) {
            $this->unknown[] = 'passes: '.Text::shown("{$pass}, {$id}");

            return null;
        }
        $label = $this->layers[count($this->layers) - 1]->label ?? '';
        try {
            return $json === null ? null : Requirement::read($descriptor, $json, $setBy, "{$label}, pass “{$pass}”");
        } catch (SpecificationRefused $refused) {
            ($this->faults ?? throw $refused)->add($id, $part, "pass “{$pass}”: {$refused->reason()}");

            return null;
        }
    }
}
