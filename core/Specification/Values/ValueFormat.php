<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\RequirementValue;

/**
 * How values of one type are written: what everything people type becomes, how it is read out, and how it stands in a
 * document. A format keeps nothing.
 */
abstract readonly class ValueFormat
{
    /**
     * The one text that everything people write for the same value becomes.
     *
     * @throws NotUnderstood|PatternRefused
     */
    abstract public function canonical(string $text, Descriptor $descriptor): string;

    /** One canonical value as it would be read out. */
    public function spoken(string $value): string
    {
        return $value;
    }

    /** Whether it is text as people write it, in which commas and words of their own may stand. */
    public function isFreeText(): bool
    {
        return false;
    }

    /** Whether all of several values are meant, and not one of them. */
    public function meansAll(Descriptor $descriptor): bool
    {
        return $descriptor->id === RequirementId::BURN_IN;
    }

    /** What a document's `require` has: a scalar, a list, or an object with value, min, max and what the type adds. */
    public function read(Descriptor $descriptor, mixed $json): RequirementValue
    {
        return match (true) {
            is_array($json) && ! array_is_list($json) => $this->fromObject($descriptor, $json),
            is_array($json) => $this->fromList($descriptor, array_values($json)),
            default => $this->fromText($descriptor, trim(Scalar::text($json))),
        };
    }

    /** What is asked, as a document has it. */
    public function write(RequirementValue $value): mixed
    {
        return match (true) {
            $value->values === [] => array_filter(
                ['min' => $this->plain($value, $value->min), 'max' => $this->plain($value, $value->max)],
                static fn (mixed $bound): bool => $bound !== null,
            ),
            count($value->values) > 1 => array_map(
                fn (string $one): mixed => $this->plain($value, $one),
                $value->values,
            ),
            default => $this->plain($value, $value->single()),
        };
    }

    /** One value as JSON: a text, or a number where the type is one. */
    protected function plain(RequirementValue $value, ?string $text): int|float|string|null
    {
        return $text;
    }

    /** What people typed into one field. */
    protected function fromText(Descriptor $descriptor, string $text): RequirementValue
    {
        return Bounds::fromText($this, $descriptor, $text)
            ?? $this->severalFromText($descriptor, $text)
            ?? $this->oneFromText($descriptor, $text);
    }

    /** @param  list<mixed>  $json */
    protected function fromList(Descriptor $descriptor, array $json): RequirementValue
    {
        if ($json === []) {
            throw NotUnderstood::because('the list of values is empty.');
        }

        return RequirementValue::oneOf(
            array_map(fn (mixed $one): string => $this->one($descriptor, Scalar::text($one)), $json),
        );
    }

    /** @param  array<array-key, mixed>  $json */
    protected function fromObject(Descriptor $descriptor, array $json): RequirementValue
    {
        if (array_key_exists('value', $json)) {
            return $this->read($descriptor, $json['value']);
        }

        return Bounds::fromObject($this, $descriptor, $json) ?? throw NotUnderstood::because(
            $descriptor->accepts->bounds
                ? 'an object here has "value", "min" or "max".'
                : 'an object here has "value".',
        );
    }

    /** The pattern of what stands between several values in one text. */
    protected function between(Descriptor $descriptor): string
    {
        // free text may hold commas and words of its own
        return $this->isFreeText() && $descriptor->id !== RequirementId::BURN_IN
            ? '~\s*\|\s*~'
            : '~\s*(?:\||,|\bor\b)\s*~';
    }

    private function severalFromText(Descriptor $descriptor, string $text): ?RequirementValue
    {
        $between = $this->between($descriptor);
        if (! $descriptor->accepts->several || preg_match($between, $text) !== 1) {
            return null;
        }
        $pieces = preg_split($between, $text, -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return $pieces === []
            ? throw NotUnderstood::because('the value is empty.')
            : RequirementValue::oneOf(array_map(fn (string $one): string => $this->one($descriptor, $one), $pieces));
    }

    private function oneFromText(Descriptor $descriptor, string $text): RequirementValue
    {
        $one = $this->one($descriptor, $text);

        return match (preg_match('~^\d+$~', $one) === 1 ? $descriptor->accepts->plain : null) {
            null => RequirementValue::one($one),
            'min' => RequirementValue::between($one, null),
            default => RequirementValue::between(null, $one),
        };
    }

    /**
     * The canonical text of one value, which is never empty.
     *
     * @throws NotUnderstood|PatternRefused
     */
    public function one(Descriptor $descriptor, string $text): string
    {
        $canonical = trim($text) === '' && ! $this->takesNothing() ? '' : $this->lenient($descriptor, $text);
        if ($canonical === '') {
            throw NotUnderstood::because('the value is empty.');
        }
        $accepts = $descriptor->accepts;
        if (preg_match('~^\d+$~', $canonical) === 1 && ! $accepts->reaches((int) $canonical)) {
            throw NotUnderstood::because(
                "{$canonical} is not possible: it is from {$accepts->least} to {$accepts->most}.",
            );
        }

        return $canonical;
    }

    /** Whether nothing typed is a value: an empty field that says no. */
    protected function takesNothing(): bool
    {
        return false;
    }

    /**
     * With what people write around a value taken off, each more daring than the one before.
     *
     * @return list<string>
     */
    protected function readings(Descriptor $descriptor, string $text): array
    {
        return [];
    }

    private function lenient(Descriptor $descriptor, string $text): string
    {
        try {
            return $descriptor->canonical($text);
        } catch (NotUnderstood $refused) {
            foreach ($this->readings($descriptor, $text) as $reading) {
                try {
                    return $descriptor->canonical($reading);
                } catch (NotUnderstood) {
                    // the next reading may do
                }
            }
            throw $refused;
        }
    }
}
