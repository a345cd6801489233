<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming\Atoms;

/** Tokens of a name that an atom is tried against. */
final readonly class FoundText
{
    /** @param  string  $before  the token before them; empty at the beginning of the name */
    public function __construct(public string $text, public int $tokens, private string $before) {}

    public function isEmpty(): bool
    {
        return $this->text === '';
    }

    /** Whether it is letters and digits, of any script, alone. */
    public function isWord(): bool
    {
        return preg_match('~^[A-Za-z0-9\x80-\xFF]+$~', $this->text) === 1;
    }

    /** Whether a dash before a number would be its sign: no letter or digit stands before it. */
    public function mayBeSigned(): bool
    {
        return $this->before === '' || ! (ctype_alnum($this->before[0]) || ord($this->before[0]) >= 0x80);
    }
}
