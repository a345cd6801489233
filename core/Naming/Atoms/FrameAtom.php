<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

use PlainLedger\Core\Naming\Difference;

/** The number of the frame: digits, and a sign. */
final readonly class FrameAtom extends Atom
{
    private const LONGEST = 18;

    public function span(): int
    {
        return 2;
    }

    protected function costOfOther(FoundText $found): ?int
    {
        return match (true) {
            $found->isEmpty() => 60,
            preg_match('~^-?\d+$~', $found->text) !== 1 => null,
            $found->text[0] === '-' && ! $found->mayBeSigned() => null,
            strlen($found->text) > self::LONGEST => null,
            default => $this->digitsDiffer($found->text) === [] ? 0 : 6,
        };
    }

    protected function differencesOfOther(string $found): array
    {
        return $found === '' ? [Difference::Value] : $this->digitsDiffer($found);
    }

    /** @return list<Difference> */
    public function digitsDiffer(string $found): array
    {
        $text = ltrim($found, '-');
        $digits = $this->piece->digits;
        if ($digits === null || $text === str_pad((string) (int) $text, $digits, '0', STR_PAD_LEFT)) {
            return [];
        }

        return [strlen($text) < $digits ? Difference::TooFewDigits : Difference::TooManyDigits];
    }

    public function shown(): string
    {
        return str_repeat('#', $this->piece->digits ?? 1);
    }
}
