<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Json\JsonDocument;

/** Which part there is: its name, what it hands in, and what it is made from. */
final readonly class PartShape
{
    private const MOST_PARTS = 50;

    private function __construct(public string $name, public Delivers $delivers, public ?string $madeFrom = null) {}

    /** Where nothing says which parts there are. */
    public static function usual(): self
    {
        return new self('frames', Delivers::Frames);
    }

    /**
     * Those that a layer names; null where it says nothing of them. Which there are is the specification's matter: a
     * deliverable only asks some of them otherwise.
     *
     * @return non-empty-list<self>|null
     *
     * @throws SpecificationRefused
     */
    public static function in(Layer $layer): ?array
    {
        $parts = self::listIn($layer);
        if ($layer->setBy === SetBy::Deliverable) {
            return null;
        }
        $word = $layer->data['delivers'] ?? null;
        if ($parts === []) {
            $delivers = $word === null ? null : self::delivers($layer, $word, 'the specification');

            return $delivers === null ? null : [new self($delivers->value, $delivers)];
        }
        $shapes = [];
        foreach ($parts as $n => $part) {
            $shapes[] = self::read($layer, $part, 'part '.($n + 1), $shapes);
        }
        foreach ($shapes as $shape) {
            $shape->expectOrigin($layer, $shapes);
        }

        return $shapes;
    }

    /**
     * @return list<array<string, mixed>>
     *
     * @throws SpecificationRefused
     */
    public static function listIn(Layer $layer): array
    {
        $list = $layer->data['parts'] ?? [];
        if (! is_array($list) || ! array_is_list($list)) {
            $type = JsonDocument::typeOf($list);
            throw SpecificationRefused::because($layer->label, "\"parts\" must be a list, and {$type} stands there.");
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

    /**
     * @param  array<string, mixed>  $part
     * @param  list<self>  $before
     */
    private static function read(Layer $layer, array $part, string $where, array $before): self
    {
        $name = $part['name'] ?? null;
        $taken = array_map(static fn (self $shape): string => $shape->name, $before);
        if (! is_string($name) || trim($name) === '' || in_array($name, $taken, true)) {
            throw SpecificationRefused::because($layer->label, "{$where}: each part needs a name of its own.");
        }
        $from = $part['made_from'] ?? null;

        return new self(
            $name,
            self::delivers($layer, $part['delivers'] ?? null, $where),
            is_string($from) ? $from : null,
        );
    }

    private static function delivers(Layer $layer, mixed $word, string $where): Delivers
    {
        $delivers = is_string($word) ? Delivers::tryFrom($word) : null;
        if ($delivers === null) {
            $type = JsonDocument::typeOf($word);
            $why = "{$where}: \"delivers\" is frames, still, movie or file, and {$type} stands there.";
            throw SpecificationRefused::because($layer->label, $why);
        }

        return $delivers;
    }

    /** @param  list<self>  $all */
    private function expectOrigin(Layer $layer, array $all): void
    {
        if ($this->madeFrom === $this->name) {
            throw SpecificationRefused::because($layer->label, "part “{$this->name}” is made from itself.");
        }
        $names = array_map(static fn (self $shape): string => $shape->name, $all);
        if ($this->madeFrom !== null && ! in_array($this->madeFrom, $names, true)) {
            $why = "part “{$this->name}” is made from “{$this->madeFrom}”, and there is no such part.";
            throw SpecificationRefused::because($layer->label, $why);
        }
    }
}
