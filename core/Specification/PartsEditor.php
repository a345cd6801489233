<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Json\JsonDocument;

/** The parts of a specification document, changed: what holds for all of them stays outside. */
final readonly class PartsEditor
{
    /** Groups whose requirements mostly hold for frames and for what is made from them alike. */
    private const SHARED = [Group::Picture, Group::Time, Group::Camera, Group::Scene, Group::Render, Group::Delivery];

    /** @param  array<string, mixed>  $data  as a specification document has it */
    private function __construct(public array $data) {}

    /** @param  array<string, mixed>  $data */
    public static function of(array $data): self
    {
        return new self($data);
    }

    /** @return list<array<string, mixed>> */
    private function parts(): array
    {
        $parts = $this->data['parts'] ?? [];

        return array_map(
            static fn (mixed $part): array => JsonDocument::asObject($part, 'The specification', 'a part'),
            is_array($parts) ? array_values($parts) : [],
        );
    }

    /** @throws SpecificationRefused where the name is taken, or what it is made from is not there */
    public function with(string $name, string $delivers, ?string $madeFrom): self
    {
        $name = trim($name);
        [$parts, $require] = $this->listed();
        $names = array_column($parts, 'name');
        self::expectFree($name, $names);
        if ($madeFrom !== null && ! in_array($madeFrom, $names, true)) {
            throw SpecificationRefused::because(
                'The part',
                "it is made from “{$madeFrom}”, and there is no such part.",
            );
        }
        $parts[] = [
            'name' => $name,
            'delivers' => $delivers,
            ...($madeFrom === null ? [] : ['made_from' => $madeFrom]),
            'require' => [],
        ];

        return new self(['parts' => $parts, 'require' => $require] + array_diff_key($this->data, ['delivers' => true]));
    }

    /** @param  array<mixed>  $taken */
    private static function expectFree(string $name, array $taken): void
    {
        if ($name === '' || in_array($name, $taken, true)) {
            $why = $name === '' ? 'it needs a name.' : "there is one called “{$name}” already.";
            throw SpecificationRefused::because('The part', $why);
        }
    }

    private function word(): string
    {
        return is_string($this->data['delivers'] ?? null) ? $this->data['delivers'] : 'frames';
    }

    /**
     * The parts as a list, which one alone does not have; what only that one can mean goes with it.
     *
     * @return array{list<array<string, mixed>>, array<mixed>} and what is asked of all
     */
    private function listed(): array
    {
        $parts = $this->parts();
        $require = is_array($this->data['require'] ?? null) ? $this->data['require'] : [];
        if ($parts !== []) {
            return [$parts, $require];
        }
        $isShared = static fn (string $id): bool => in_array(
            Catalogue::standard()->find($id)?->group,
            self::SHARED,
            true,
        );
        $own = array_filter($require, static fn (string $id): bool => ! $isShared($id), ARRAY_FILTER_USE_KEY);
        $alone = ['name' => $this->word(), 'delivers' => $this->word(), 'require' => $own];

        return [[$alone], array_diff_key($require, $own)];
    }

    /** @throws SpecificationRefused for the last one, and for one that another is made from */
    public function without(string $name): self
    {
        $left = array_values(
            array_filter($this->parts(), static fn (array $p): bool => ($p['name'] ?? null) !== $name),
        );
        if ($left === [] || count($left) === count($this->parts())) {
            throw SpecificationRefused::because(
                'The part',
                $left === [] ? 'a specification keeps at least one.' : "there is none called “{$name}”.",
            );
        }
        foreach ($left as $part) {
            if (($part['made_from'] ?? null) === $name) {
                throw SpecificationRefused::because('The part', 'another is made from it; take that away first.');
            }
        }

        return new self(['parts' => $left] + $this->data);
    }

    /** @throws SpecificationRefused */
    public function renamed(string $from, string $to): self
    {
        $to = trim($to);
        $parts = $this->parts();
        self::expectFree($to, array_column($parts, 'name'));
        $data = $this->data;
        if ($parts === []) {
            // a specification of one part has no list of them: now it needs one, since the name is its own
            $parts = [['name' => $this->word(), 'delivers' => $this->word(), 'require' => []]];
            unset($data['delivers']);
        }
        foreach ($parts as $i => $part) {
            foreach (['name', 'made_from'] as $key) {
                if (($part[$key] ?? null) === $from) {
                    $parts[$i][$key] = $to;
                }
            }
        }

        return new self(['parts' => $parts] + $data);
    }
}
