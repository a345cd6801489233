<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

/** One piece of a pattern: literal text, or a named place with what stands after its colon. */
final readonly class Piece
{
    /** Pieces whose value is a number and may have a count of digits. */
    private const NUMBERS = ['frame', 'version', 'first', 'last', 'width', 'height', 'take'];

    private function __construct(public ?string $name, public string $text, public ?int $digits) {}

    public static function literal(string $text): self
    {
        return new self(null, $text, null);
    }

    /** @param  string  $after what stands after the colon, `""` for nothing */
    public static function named(string $name, string $after, string $pattern): self
    {
        $digits = preg_match('~^\d{1,2}$~', $after) === 1 ? (int) $after : null;
        if ($digits !== null && ($digits < 1 || $digits > 18)) {
            throw PatternRefused::because($pattern, "{{$name}} may have 1 to 18 digits.");
        }
        if (in_array($name, self::NUMBERS, true) && $after !== '' && $digits === null) {
            throw PatternRefused::because($pattern, "after {{$name}: stands a count of digits, like {{$name}:4}.");
        }

        return new self($name, $digits === null ? $after : '', $digits);
    }

    public function isFrame(): bool
    {
        return $this->name === 'frame';
    }

    public function isNumber(): bool
    {
        return $this->name !== null && ($this->digits !== null || in_array($this->name, self::NUMBERS, true));
    }

    /** As it stands in a pattern. */
    public function source(): string
    {
        if ($this->name === null) {
            return strtr($this->text, ['{' => '{{', '}' => '}}']);
        }
        $after = $this->digits ?? $this->text;

        return $after === '' ? "{{$this->name}}" : "{{$this->name}:{$after}}";
    }

    /** A number zero-filled to $digits; a negative one carries its sign before its digits. */
    public static function number(int $value, ?int $digits): string
    {
        $text = str_pad((string) abs($value), $digits ?? 1, '0', STR_PAD_LEFT);

        return $value < 0 ? "-{$text}" : $text;
    }
}
