<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** What of a scan's files is looked at besides their heads and tails. */
final readonly class ContentOrder
{
    /**
     * @param  array{compares: bool, dark: string|null, approved: array<int, string>}|null  $looksFor  in pixels; null:
     *   nothing
     * @param  array<int, array{folder: string, name: string}>  $approved  by frame: in which folder, at its real
     *   place, an approved picture lies
     * @param  bool  $sums  whether lists of checksums are compared
     * @param  list<array{set_by: string, data: array<string, mixed>, label: string}>  $layers  of a specification by
     *   which movies are looked at; none where nothing asks for it
     * @param  array<string, SeenPictures>  $seen  by part: pictures of movies that somebody's browser played
     */
    public function __construct(
        public ?array $looksFor = null,
        public array $approved = [],
        public bool $sums = false,
        public array $layers = [],
        public array $seen = [],
    ) {}

    /** @return array<string, mixed> plain values that JSON can hold, paths as they are, whatever their encoding */
    public function toArray(): array
    {
        return [
            'looks_for' => $this->looksFor,
            'approved' => (object) array_map(
                static fn (array $place): array => array_map(base64_encode(...), $place),
                $this->approved,
            ),
            'sums' => $this->sums,
            'layers' => $this->layers,
            'seen' => (object) array_map(static fn (SeenPictures $one): array => $one->toArray(), $this->seen),
        ];
    }

    /**
     * @param  array{looks_for: array{compares: bool, dark: string|null, approved: array<int, string>}|null,
     *   approved: array<int, array{folder: string, name: string}>, sums: bool,
     *   layers?: list<array{set_by: string, data: array<string, mixed>, label: string}>,
     *   seen?: array<string, array{path: string, size: int, modified: int, grids: array<int, string>}>}  $data
     */
    public static function fromArray(array $data): self
    {
        $raw = static fn (string $text): string => (string) base64_decode($text, true);

        return new self(
            $data['looks_for'],
            array_map(
                static fn (array $place): array => ['folder' => $raw($place['folder']), 'name' => $raw($place['name'])],
                $data['approved'],
            ),
            $data['sums'],
            $data['layers'] ?? [],
            array_map(SeenPictures::fromArray(...), $data['seen'] ?? []),
        );
    }
}
