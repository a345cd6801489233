<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\Decoders\Movies\PointGrid;

/** Pictures of a movie as somebody's browser plays it, each by its lightness at the points of a grid. */
final readonly class SeenPictures
{
    /** More than are ever asked for. */
    private const MOST = 400;

    /**
     * @param  string  $path  of the movie that was played, as the delivery calls it
     * @param  int  $size  bytes
     * @param  int  $modified  seconds since 1970
     * @param  array<int, string>  $grids  by place, counted from 0
     */
    private function __construct(
        public string $path,
        public int $size,
        public int $modified,
        public array $grids,
    ) {}

    /**
     * Null where they are no grids of pictures that a movie of so many has.
     *
     * @param  array<array-key, mixed>  $grids  by place, counted from 0: base 64 of a byte a point
     */
    public static function of(ListedFile $movie, int $count, array $grids): ?self
    {
        $read = [];
        foreach ($grids as $place => $text) {
            $grid = is_string($text) ? base64_decode($text, true) : false;
            if ($grid === false || strlen($grid) !== PointGrid::COUNT || ! is_int($place)) {
                return null;
            }
            $read[$place] = $grid;
        }
        ksort($read);
        $isWithin = $read !== [] && array_key_first($read) >= 0 && array_key_last($read) < $count;

        return $isWithin && count($read) <= self::MOST
            ? new self($movie->path(), $movie->size, $movie->modified, $read)
            : null;
    }

    /** Whether it was that very file. */
    public function isOf(ListedFile $file): bool
    {
        return [$file->path(), $file->size, $file->modified] === [$this->path, $this->size, $this->modified];
    }

    /** @return array{path: string, size: int, modified: int, grids: array<int, string>} plain values */
    public function toArray(): array
    {
        return [
            'path' => base64_encode($this->path), 'size' => $this->size, 'modified' => $this->modified,
            'grids' => array_map(
                static fn (string $grid): string => base64_encode((string) gzdeflate($grid)),
                $this->grids,
            ),
        ];
    }

    /** @param  array{path: string, size: int, modified: int, grids: array<int, string>}  $row  as it was made here */
    public static function fromArray(array $row): self
    {
        return new self(
            (string) base64_decode($row['path'], true),
            $row['size'],
            $row['modified'],
            array_map(
                static fn (string $kept): string => (string) gzinflate((string) base64_decode($kept, true)),
                $row['grids'],
            ),
        );
    }
}
