<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/**
 * Whole numbers of many files, read like a list and kept in a string: a million take eight megabytes, or four where
 * none is below zero or above 2^32.
 *
 * @implements \ArrayAccess<int, int>
 * @implements \IteratorAggregate<int, int>
 */
final readonly class IntColumn implements \ArrayAccess, \Countable, \IteratorAggregate
{
    /** Numbers that are there as such at the same time. */
    private const PIECE = 4096;

    private const WIDE = 'q';

    private const NARROW = 'V';

    private function __construct(private string $packed, private string $code, private int $width) {}

    /** @param  iterable<int>  $numbers */
    public static function of(iterable $numbers): self
    {
        return new self(self::packed($numbers, self::WIDE), self::WIDE, 8);
    }

    /** @param  iterable<int>  $numbers  from 0 to 2^32 - 1 */
    public static function narrow(iterable $numbers): self
    {
        return new self(self::packed($numbers, self::NARROW), self::NARROW, 4);
    }

    /** @param  string  $packed  eight bytes each, as `pack('q')` writes them */
    public static function ofPacked(string $packed): self
    {
        return new self($packed, self::WIDE, 8);
    }

    /** @param  string  $packed  four bytes each, as `pack('V')` writes them */
    public static function ofNarrow(string $packed): self
    {
        return new self($packed, self::NARROW, 4);
    }

    /** @param  iterable<int>  $numbers */
    private static function packed(iterable $numbers, string $code): string
    {
        [$packed, $piece] = ['', []];
        foreach ($numbers as $number) {
            $piece[] = $number;
            if (count($piece) === self::PIECE) {
                $packed .= pack("{$code}*", ...$piece);
                $piece = [];
            }
        }

        return $packed.($piece === [] ? '' : pack("{$code}*", ...$piece));
    }

    /** The same numbers in the order of these places. */
    public function inOrder(self $places): self
    {
        $packed = '';
        foreach ($places as $place) {
            $packed .= substr($this->packed, $place * $this->width, $this->width);
        }

        return new self($packed, $this->code, $this->width);
    }

    public function count(): int
    {
        return max(0, intdiv(strlen($this->packed), $this->width));
    }

    public function isEmpty(): bool
    {
        return $this->packed === '';
    }

    /** @return \Generator<int, int> */
    public function getIterator(): \Generator
    {
        $at = 0;
        foreach ($this->packed === '' ? [] : str_split($this->packed, max(1, self::PIECE * $this->width)) as $piece) {
            /** @var array<int, int> $numbers */
            $numbers = unpack("{$this->code}*", $piece);
            foreach ($numbers as $number) {
                yield $at++ => $number;
            }
        }
    }

    public function offsetExists(mixed $offset): bool
    {
        return $offset >= 0 && $offset < $this->count();
    }

    public function offsetGet(mixed $offset): int
    {
        /** @var array{1: int} $number */
        $number = unpack($this->code, $this->packed, $offset * $this->width);

        return $number[1];
    }

    public function offsetSet(mixed $offset, mixed $value): never
    {
        throw new \LogicException('A column is not written to.');
    }

    public function offsetUnset(mixed $offset): never
    {
        throw new \LogicException('A column is not written to.');
    }

    /** Where a number stands first; null where it does not. Of ascending ones. */
    public function search(int $number): ?int
    {
        [$low, $high] = [0, $this->count() - 1];
        while ($low <= $high) {
            $middle = intdiv($low + $high, 2);
            $own = $this->offsetGet($middle);
            if ($own < $number) {
                $low = $middle + 1;
            } else {
                $high = $middle - 1;
            }
        }

        return $low < $this->count() && $this->offsetGet($low) === $number ? $low : null;
    }

    public function sum(): int
    {
        $sum = 0;
        foreach ($this as $number) {
            $sum += $number;
        }

        return $sum;
    }

    /** @return list<int> at most so many of them, from all over, in their order */
    public function some(int $most): array
    {
        $every = max(1, intdiv($this->count() + $most - 1, max(1, $most)));
        $some = [];
        for ($i = 0, $count = $this->count(); $i < $count; $i += $every) {
            $some[] = $this->offsetGet($i);
        }

        return $some;
    }

    /** @return list<int> the first so many */
    public function first(int $many): array
    {
        return (new self(substr($this->packed, 0, $many * $this->width), $this->code, $this->width))->all();
    }

    /** @return list<int> */
    public function all(): array
    {
        return iterator_to_array($this->getIterator(), false);
    }
}
