<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/**
 * One number of the names in a group. One that is the same in all costs nothing; one that differs costs nine bytes a
 * file, whatever its length.
 */
final class NumberColumn
{
    private const MINUS = 128;

    /** @var string packed 64-bit numbers, one a file; `""` while all are the first text */
    private string $numbers = '';

    /** @var string beside each number a byte: its count of digits, and 128 for a minus sign */
    private string $digits = '';

    /** @param  string  $first  as the first file writes it */
    public function __construct(private readonly string $first) {}

    /** @param  int  $before  how many files there are already */
    public function add(string $text, int $before): void
    {
        if ($this->numbers === '' && $text === $this->first) {
            return;
        }
        if ($this->numbers === '') {
            $this->numbers = str_repeat(pack('q', (int) $this->first), $before);
            $this->digits = str_repeat(self::digitsByte($this->first), $before);
        }
        $this->numbers .= pack('q', (int) $text);
        $this->digits .= self::digitsByte($text);
    }

    private static function digitsByte(string $text): string
    {
        return $text[0] === '-' ? chr((strlen($text) - 1) | self::MINUS) : chr(strlen($text));
    }

    public function varies(): bool
    {
        return $this->numbers !== '';
    }

    /** As one file writes it, zeros and sign included. */
    public function text(int $row): string
    {
        if ($this->numbers === '') {
            return $this->first;
        }
        $number = PackedColumn::at($this->numbers, $row);
        $digits = ord($this->digits[$row]);
        $text = (string) $number;
        // mostly it is as long as it is, or a little shorter
        if (strlen($text) === $digits) {
            return $text;
        }
        $plain = str_pad((string) abs($number), $digits & ~self::MINUS, '0', STR_PAD_LEFT);

        return ($digits & self::MINUS ? '-' : '').$plain;
    }

    /** Of every file, by row. */
    public function numbers(int $count): IntColumn
    {
        return IntColumn::ofPacked(
            $this->numbers === '' ? str_repeat(pack('q', (int) $this->first), $count) : $this->numbers,
        );
    }

    public function number(int $row): int
    {
        return $this->numbers === '' ? (int) $this->first : PackedColumn::at($this->numbers, $row);
    }

    /** How many digits every file writes it with; null where they differ. */
    public function sharedDigits(): ?int
    {
        if ($this->numbers === '') {
            return strlen(ltrim($this->first, '-'));
        }
        $lengths = [];
        foreach (array_keys(count_chars($this->digits, 1)) as $byte) {
            $lengths[$byte & ~self::MINUS] = true;
        }

        return count($lengths) === 1 ? array_key_first($lengths) : null;
    }

    /** @return array{string, string} what the texts are made of, packed for keeping */
    public function keep(): array
    {
        return [PackedColumn::keep($this->numbers), PackedColumn::keep($this->digits)];
    }

    public static function kept(string $first, string $numbers, string $digits): self
    {
        $column = new self($first);
        [$column->numbers, $column->digits] = [PackedColumn::kept($numbers), PackedColumn::kept($digits)];

        return $column;
    }
}
