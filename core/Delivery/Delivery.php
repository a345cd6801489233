<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\ScanDepth;

/** The files handed in, as scanned at one moment. */
final readonly class Delivery
{
    /** The last few folders of where it lies, as it was chosen; empty where it lies in none. */
    public string $root;

    /** Whether more may be on its way. */
    public bool $mayGrow;

    public DeliveryPlace $place;

    /**
     * @param  list<NameGroup>  $groups
     * @param  list<string>  $odd  paths that were listed and not looked at
     * @param  int  $scannedAt  seconds since 1970
     * @param  ChecksumComparison|null  $checksums  how its files agree with lists of checksums; null where nobody asked
     */
    public function __construct(
        public array $groups,
        public FactsTable $facts,
        public array $odd,
        public int $scannedAt,
        public ScanDepth $depth,
        DeliveryPlace $place = new DeliveryPlace,
        public ?ChecksumComparison $checksums = null,
    ) {
        $this->place = $place;
        $this->root = $place->root;
        $this->mayGrow = $place->mayGrow;
    }

    public function factsOf(NameGroup $group, int $row): MediaFacts
    {
        return $this->facts->get($group->factsId($row));
    }

    /**
     * What these files are: in whichever order they were listed, and however many of them are damaged.
     *
     * @return list<Kind> the commonest first; none where none says what it is
     */
    public function kindsOf(NameGroup $group): array
    {
        $counts = [];
        foreach ($group->factsCounts() as $id => $files) {
            $kind = $this->facts->get($id)->kind?->value;
            if ($kind !== null) {
                $counts[$kind] = ($counts[$kind] ?? 0) + $files;
            }
        }
        ksort($counts);
        arsort($counts);

        return array_map(static fn (string $kind): Kind => Kind::from($kind), array_keys($counts));
    }

    /**
     * What the first of these files is that says so.
     *
     * @param  iterable<int>  $rows
     */
    public function kindAmong(NameGroup $group, iterable $rows): ?Kind
    {
        foreach ($rows as $row) {
            $kind = $this->factsOf($group, $row)->kind;
            if ($kind !== null) {
                return $kind;
            }
        }

        return null;
    }

    /** Whether pixels were looked at when it was scanned. */
    public function hasSamples(): bool
    {
        return array_filter($this->groups, static fn (NameGroup $g): bool => $g->hasSamples()) !== [];
    }

    public function fileCount(): int
    {
        return array_sum(array_map(static fn (NameGroup $g): int => $g->count(), $this->groups)) + count($this->odd);
    }

    public function totalSize(): int
    {
        $bytes = 0;
        foreach ($this->groups as $group) {
            for ($row = 0; $row < $group->count(); $row++) {
                $bytes += $group->size($row);
            }
        }

        return $bytes;
    }

    /** @return array<string, mixed> plain values that JSON can hold */
    public function toArray(): array
    {
        return [
            'groups' => array_map(static fn (NameGroup $g): array => $g->toArray(), $this->groups),
            'facts' => $this->facts->toArray(),
            'odd' => array_map(base64_encode(...), $this->odd),
            'scanned_at' => $this->scannedAt,
            'depth' => $this->depth->value,
            'root' => base64_encode($this->root),
        ]
            + ($this->mayGrow ? [] : ['finished' => true])
            + ($this->place->known === null ? [] : ['known' => $this->place->known])
            + ($this->checksums === null ? [] : ['checksums' => $this->checksums->toArray()]);
    }

    /** @param  array<string, mixed>  $data as `toArray` made it */
    public static function fromArray(array $data): self
    {
        /**
         * @var array{groups: list<array{folder: string, literals: list<string>, first: list<string>, count: int,
         *   columns: list<string>, digits: list<string>, sizes: string, times: string, facts: string,
         *   refused: array<int, string>, looks?: string, look_length?: int}>, facts: list<list<mixed>>,
         *   odd: list<string>, scanned_at: int, depth: string, root?: string, finished?: bool, known?: int,
         *   checksums?: array{lists: int, unlisted: int, wrong: int, absent: int, names: list<string>}} $data
         */
        return new self(
            array_map(NameGroup::fromArray(...), $data['groups']),
            FactsTable::fromArray($data['facts']),
            array_map(static fn (string $path): string => (string) base64_decode($path, true), $data['odd']),
            $data['scanned_at'],
            ScanDepth::from($data['depth']),
            new DeliveryPlace(
                (string) base64_decode($data['root'] ?? '', true),
                ! ($data['finished'] ?? false),
                $data['known'] ?? null,
            ),
            isset($data['checksums']) ? ChecksumComparison::fromArray($data['checksums']) : null,
        );
    }
}
