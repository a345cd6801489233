<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Specification\Catalogue\ColourRequirements;
use PlainLedger\Core\Specification\Catalogue\ContentRequirements;
use PlainLedger\Core\Specification\Catalogue\DeliveryRequirements;
use PlainLedger\Core\Specification\Catalogue\FormatRequirements;
use PlainLedger\Core\Specification\Catalogue\NamingRequirements;
use PlainLedger\Core\Specification\Catalogue\PictureRequirements;
use PlainLedger\Core\Specification\Catalogue\SceneRequirements;
use PlainLedger\Core\Specification\Catalogue\SoundRequirements;
use PlainLedger\Core\Specification\Catalogue\TimeRequirements;

/** Every requirement there is, in the ledger's order. */
final class Catalogue
{
    private static ?self $standard = null;

    /** @var array<string, int> where each id stands */
    private readonly array $places;

    /** @param  array<string, Descriptor>  $descriptors by id */
    private function __construct(private readonly array $descriptors)
    {
        $this->places = array_flip(array_keys($descriptors));
    }

    public static function standard(): self
    {
        // some seventy values that never change, asked for within comparisons
        return self::$standard ??= new self(array_column([
            ...PictureRequirements::all(), ...TimeRequirements::all(), ...SceneRequirements::all(),
            ...FormatRequirements::all(),
            ...ColourRequirements::all(), ...SoundRequirements::all(), ...NamingRequirements::all(),
            ...ContentRequirements::all(),
            ...DeliveryRequirements::all(),
        ], null, 'id'));
    }

    public function find(string $id): ?Descriptor
    {
        if (isset($this->descriptors[$id])) {
            return $this->descriptors[$id];
        }

        return preg_match('~^other\.([A-Za-z0-9_-]{1,60})$~', $id, $m) === 1
            ? self::own($id, ucfirst(str_replace('_', ' ', $m[1])))
            : null;
    }

    /** A fact that a production names itself. */
    private static function own(string $id, string $label): Descriptor
    {
        return new Descriptor(
            $id,
            Group::Render,
            $label,
            ValueType::Any,
            [ReadFrom::Scene],
            new Wording("{$label}: %s."),
            new Accepts(several: true, bounds: true),
        );
    }

    /** Where an id stands in the ledger; unknown ones last. */
    public function place(string $id): int
    {
        $own = str_starts_with($id, 'other.') ? $this->places[RequirementId::RENDER_OVERLAYS] : PHP_INT_MAX;

        return $this->places[$id] ?? $own;
    }

    /** @return list<Descriptor> */
    public function all(): array
    {
        return array_values($this->descriptors);
    }
}
