<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** How the files of a delivery agree with the lists of checksums that lie among them. */
final readonly class ChecksumComparison
{
    private const MOST_NAMED = 20;

    /**
     * @param  int  $lists  how many there are
     * @param  int  $unlisted  files that stand in none of them
     * @param  int  $wrong  files whose sum is another, or could not be made
     * @param  int  $absent  listed, and not there
     * @param  list<string>  $names  the first of those that are not right; raw bytes
     */
    public function __construct(
        public int $lists,
        public int $unlisted,
        public int $wrong,
        public int $absent,
        public array $names,
    ) {}

    public static function none(): self
    {
        return new self(0, 0, 0, 0, []);
    }

    public function agree(): bool
    {
        return $this->lists > 0 && $this->unlisted + $this->wrong + $this->absent === 0;
    }

    public function withUnlisted(string $path): self
    {
        return new self($this->lists, $this->unlisted + 1, $this->wrong, $this->absent, $this->named($path));
    }

    public function withWrong(string $path): self
    {
        return new self($this->lists, $this->unlisted, $this->wrong + 1, $this->absent, $this->named($path));
    }

    public function withAbsent(string $path): self
    {
        return new self($this->lists, $this->unlisted, $this->wrong, $this->absent + 1, $this->named($path));
    }

    /** @return list<string> */
    private function named(string $path): array
    {
        return count($this->names) < self::MOST_NAMED ? [...$this->names, $path] : $this->names;
    }

    /** @return array{lists: int, unlisted: int, wrong: int, absent: int, names: list<string>} */
    public function toArray(): array
    {
        return [
            'lists' => $this->lists,
            'unlisted' => $this->unlisted,
            'wrong' => $this->wrong,
            'absent' => $this->absent,
            'names' => array_map(base64_encode(...), $this->names),
        ];
    }

    /** @param  array{lists: int, unlisted: int, wrong: int, absent: int, names: list<string>}  $data */
    public static function fromArray(array $data): self
    {
        return new self(
            $data['lists'],
            $data['unlisted'],
            $data['wrong'],
            $data['absent'],
            array_map(static fn (string $n): string => (string) base64_decode($n, true), $data['names']),
        );
    }
}
