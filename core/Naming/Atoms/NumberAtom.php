<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

use PlainLedger\Core\Naming\Difference;

/** A number that is known, such as the version. */
final readonly class NumberAtom extends Atom
{
    private const LONGEST = 18;

    public function span(): int
    {
        return 2;
    }

    protected function costOfOther(FoundText $found): ?int
    {
        if ($found->isEmpty()) {
            return self::MISSING;
        }
        if (! ctype_digit($found->text) || strlen($found->text) > self::LONGEST) {
            return null;
        }
        $sameNumber = (int) $found->text === (int) $this->asked;
        $sameDigits = strlen($found->text) === strlen($this->asked);

        return ($sameNumber ? 0 : 11) + ($sameDigits ? 0 : 7);
    }

    protected function differencesOfOther(string $found): array
    {
        if ($found === '') {
            return [Difference::Value];
        }
        $differences = (int) $found === (int) $this->asked ? [] : [Difference::Version];
        $digits = strlen($found) <=> strlen($this->asked);
        if ($digits !== 0) {
            $differences[] = $digits < 0 ? Difference::TooFewDigits : Difference::TooManyDigits;
        }

        return $differences;
    }
}
