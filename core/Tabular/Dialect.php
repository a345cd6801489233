<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tabular;

/** How separated values were written, so that they can be written so again. */
final readonly class Dialect
{
    private const MARKS = ['UTF-8' => "\xEF\xBB\xBF", 'UTF-16LE' => "\xFF\xFE", 'UTF-16BE' => "\xFE\xFF"];

    /**
     * @param  string  $encoding  `UTF-8`, `UTF-16LE`, `UTF-16BE` or `Windows-1252`
     * @param  bool  $hasMark  begins with a mark of its encoding
     * @param  non-empty-string  $separator
     * @param  bool  $quotesAll  every value that is not empty stands between quotes
     */
    private function __construct(
        public string $encoding,
        public bool $hasMark,
        public string $separator,
        public string $lineEnd,
        public bool $quotesAll,
    ) {}

    /**
     * @param  string  $bytes  as they came
     * @param  string  $text  the same as UTF-8, without its mark
     * @param  non-empty-string  $separator
     */
    public static function of(string $bytes, string $encoding, string $text, string $separator): self
    {
        $mark = self::MARKS[$encoding] ?? null;
        $first = strtok($text, "\r\n");
        $cells = $first === false ? [] : array_filter(explode($separator, $first), static fn ($cell) => $cell !== '');
        $quoted = array_filter($cells, static fn (string $cell): bool => $cell[0] === '"');

        return new self(
            $encoding,
            $mark !== null && str_starts_with($bytes, $mark),
            $separator,
            preg_match('~\r\n|\r|\n~', $text, $end) === 1 ? $end[0] : "\r\n",
            $cells !== [] && count($quoted) === count($cells),
        );
    }

    /** @param  list<list<string>>  $rows */
    public function written(array $rows): string
    {
        $text = '';
        foreach ($rows as $row) {
            $text .= implode($this->separator, array_map($this->field(...), $row)).$this->lineEnd;
        }
        $bytes = $this->encoding === 'UTF-8' ? $text : mb_convert_encoding($text, $this->encoding, 'UTF-8');

        return ($this->hasMark ? self::MARKS[$this->encoding] ?? '' : '').$bytes;
    }

    private function field(string $value): string
    {
        $isPlain = ($value === '' || ! $this->quotesAll)
            && strpbrk($value, "\"\r\n{$this->separator}") === false
            && trim($value) === $value;

        return $isPlain ? $value : '"'.str_replace('"', '""', $value).'"';
    }
}
