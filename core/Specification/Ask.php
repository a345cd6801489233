<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use Brick\Math\BigDecimal;
use PlainLedger\Core\JsonDocument;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\PatternRefused;

/** The value of a requirement: one text, one of several, or bounds. */
final readonly class Ask
{
    /**
     * @param  list<string>  $values  canonical texts of the descriptor's type; one of them will do (for passes: all)
     * @param  string|null  $min  a canonical number, likewise $max
     */
    private function __construct(public array $values, public ?string $min, public ?string $max) {}

    /**
     * @param  mixed  $json  a scalar, a list, or an object with value, min, max, head, tail
     *
     * @throws NotUnderstood|PatternRefused
     */
    public static function read(Descriptor $descriptor, mixed $json): self
    {
        if (is_array($json) && ! array_is_list($json)) {
            return self::fromObject($descriptor, $json);
        }
        if ($descriptor->type === AskType::Channels && is_array($json)) {
            return new self([self::one($descriptor, implode(',', array_map(self::scalar(...), $json)))], null, null);
        }
        if ($descriptor->type === AskType::Passes) {
            return self::passes($json);
        }
        if (is_array($json)) {
            if ($json === []) {
                throw NotUnderstood::because('the list of values is empty.');
            }

            return new self(array_values(array_unique(array_map(static fn (mixed $v): string => self::one($descriptor, self::scalar($v)), $json))), null, null);
        }
        $text = self::scalar($json);
        if ($descriptor->bounds && preg_match('~^\s*(?:(>=|<=|≥|≤|at least|at most|min|max)\s*)?(\d+(?:\.\d+)?\s*(?!to\b)[A-Za-z]*)(?:\s*(?:\.\.|–|-|\bto\b)\s*(\d+(?:\.\d+)?\s*[A-Za-z]*))?\s*$~u', $text, $m) === 1 && ($m[1] !== '' || isset($m[3]))) {
            $first = $descriptor->type->canonical(trim($m[2]));
            if (isset($m[3])) {
                return self::bounds($first, $descriptor->type->canonical(trim($m[3])));
            }

            return in_array($m[1], ['>=', '≥', 'at least', 'min'], true) ? self::bounds($first, null) : self::bounds(null, $first);
        }
        // free text and sizes may hold commas and words of their own
        $between = in_array($descriptor->type, [AskType::Text, AskType::Any, AskType::Resolution], true) ? '~\s*\|\s*~' : '~\s*(?:\||,|\bor\b)\s*~';
        if ($descriptor->several && preg_match($between, $text) === 1) {
            $pieces = preg_split($between, $text, -1, PREG_SPLIT_NO_EMPTY) ?: [];
            if ($pieces === []) {
                throw NotUnderstood::because('the value is empty.');
            }

            return new self(array_values(array_unique(array_map(static fn (string $v): string => self::one($descriptor, $v), $pieces))), null, null);
        }

        return new self([self::one($descriptor, $text)], null, null);
    }

    /** The canonical text of one value, which is never empty but where nothing typed means no. */
    private static function one(Descriptor $descriptor, string $text): string
    {
        if (trim($text) === '' && ! in_array($descriptor->type, [AskType::YesNo, AskType::OnOff], true)) {
            throw NotUnderstood::because('the value is empty.');
        }
        $canonical = $descriptor->type->canonical($text, $descriptor->words);

        return $canonical !== '' ? $canonical : throw NotUnderstood::because('the value is empty.');
    }

    /** @param  array<array-key, mixed>  $json */
    private static function fromObject(Descriptor $descriptor, array $json): self
    {
        if ($descriptor->type === AskType::Handles && (isset($json['head']) || isset($json['tail']))) {
            return new self([AskType::Handles->canonical(self::scalar($json['head'] ?? 0).'+'.self::scalar($json['tail'] ?? 0))], null, null);
        }
        if (array_key_exists('value', $json)) {
            return self::read($descriptor, $json['value']);
        }
        if ($descriptor->bounds && (isset($json['min']) || isset($json['max']))) {
            $bound = static fn (string $key): ?string => isset($json[$key]) ? (in_array($descriptor->type, [AskType::Any, AskType::Text], true) ? AskType::Number : $descriptor->type)->canonical(self::scalar($json[$key])) : null;

            return self::bounds($bound('min'), $bound('max'));
        }
        if (in_array($descriptor->type, [AskType::Any], true)) {
            return new self([(string) json_encode($json, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)], null, null);
        }
        throw NotUnderstood::because($descriptor->bounds ? 'an object here has "value", "min" or "max".' : 'an object here has "value".');
    }

    private static function bounds(?string $min, ?string $max): self
    {
        if ($min !== null && $max !== null && BigDecimal::of($min)->isGreaterThan(BigDecimal::of($max))) {
            throw NotUnderstood::because("the smallest value, {$min}, is above the largest, {$max}.");
        }

        return new self([], $min, $max);
    }

    private static function passes(mixed $json): self
    {
        $list = is_array($json) ? $json : (preg_split('~\s*[,|]\s*~', self::scalar($json), -1, PREG_SPLIT_NO_EMPTY) ?: []);
        $names = [];
        foreach ($list as $pass) {
            $name = is_array($pass) ? self::scalar($pass['name'] ?? null) : self::scalar($pass);
            if (trim($name) === '') {
                throw NotUnderstood::because('a pass needs a name.');
            }
            $names[] = trim($name);
        }
        if ($names === []) {
            throw NotUnderstood::because('the list of passes is empty.');
        }

        return new self(array_values(array_unique($names)), null, null);
    }

    /** A scalar as people would have typed it: 23.976 stays 23.976. */
    public static function scalar(mixed $value): string
    {
        return match (true) {
            is_string($value) => $value,
            is_bool($value) => $value ? 'yes' : 'no',
            is_int($value) => (string) $value,
            is_float($value) => (string) json_encode($value),
            default => throw NotUnderstood::because('a text, a number or true/false is expected, and '.JsonDocument::typeOf($value).' stands there.'),
        };
    }

    /** The value where one was asked plainly. */
    public function single(): ?string
    {
        return $this->values[0] ?? null;
    }

    /** `zip | zips`, `>= 128`, `90..150`. */
    public function __toString(): string
    {
        return match (true) {
            $this->values !== [] => implode(' | ', $this->values),
            $this->min !== null && $this->max !== null => "{$this->min}..{$this->max}",
            $this->min !== null => ">= {$this->min}",
            default => "<= {$this->max}",
        };
    }

    /** Whether a canonical number lies within the bounds, or is one of the values. */
    public function admitsNumber(string $number): bool
    {
        $found = BigDecimal::of($number);
        if ($this->values !== []) {
            foreach ($this->values as $value) {
                if ($found->isEqualTo(BigDecimal::of($value))) {
                    return true;
                }
            }

            return false;
        }

        return ($this->min === null || $found->isGreaterThanOrEqualTo(BigDecimal::of($this->min)))
            && ($this->max === null || $found->isLessThanOrEqualTo(BigDecimal::of($this->max)));
    }
}
