<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

use PlainLedger\Core\Measure\Resolution;

/** What the pieces of a pattern stand for in one deliverable. */
final readonly class PieceValues
{
    /**
     * @param  array<string, string>  $values  by piece name, lower case
     * @param  list<string>  $extensions  the extensions that are right, the usual one first
     */
    private function __construct(private array $values, public array $extensions) {}

    /** @param  array<string, string>  $values */
    public static function of(array $values): self
    {
        return new self(array_change_key_case($values), []);
    }

    public function with(string $name, string $value): self
    {
        return new self([strtolower($name) => $value] + $this->values, $this->extensions);
    }

    /** @param  list<string>  $extensions */
    public function withExtensions(array $extensions): self
    {
        return new self($this->values, array_values(array_unique($extensions)));
    }

    public function value(string $name): ?string
    {
        return $this->values[$name] ?? null;
    }

    /** The text a piece makes in a name, or null where nothing is known. */
    public function textOf(Piece $piece): ?string
    {
        if ($piece->name === 'ext') {
            return $this->extensions[0] ?? null;
        }
        $value = $this->values[$piece->name ?? ''] ?? '';

        return $value === '' ? null : self::number($value, $piece) ?? self::formed($value, $piece);
    }

    /** With the digits that are asked; a version typed as `v003` is version 3. */
    private static function number(string $value, Piece $piece): ?string
    {
        if ($piece->digits !== null && preg_match('~^[vV](\d{1,18})$~', $value, $m) === 1) {
            $value = $m[1];
        }

        return $piece->isNumber() && preg_match('~^-?\d{1,18}$~', $value) === 1
            ? Piece::number((int) $value, $piece->digits)
            : null;
    }

    private static function formed(string $value, Piece $piece): string
    {
        return match ($piece->name) {
            'resolution' => self::resolution($value, $piece->text),
            'date' => self::date($value, $piece->text),
            default => $value,
        };
    }

    private static function resolution(string $value, string $form): string
    {
        return $form === 'lines' && preg_match('~^(\d+)x(\d+)$~', $value, $m) === 1
            ? Resolution::of((int) $m[1], (int) $m[2])->height.'p'
            : $value;
    }

    private static function date(string $value, string $form): string
    {
        if ($form === '' || preg_match('~^(\d{4})-?(\d{2})-?(\d{2})$~', $value, $m) !== 1) {
            return str_replace('-', '', $value);
        }

        return strtr(strtolower($form), ['yyyy' => $m[1], 'yy' => substr($m[1], 2), 'mm' => $m[2], 'dd' => $m[3]]);
    }
}
