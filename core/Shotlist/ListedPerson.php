<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

/** Somebody of the production that a list may name. */
final readonly class ListedPerson
{
    public function __construct(public int $id, public string $name, public string $handle, public string $email) {}

    /** By handle, address or name, case aside; a first or last name will do where it is one person's alone. */
    public function is(string $written, bool $byOneName): bool
    {
        $text = mb_strtolower(trim($written));
        if (
            in_array(
                $text,
                [mb_strtolower($this->handle), mb_strtolower($this->email), mb_strtolower($this->name)],
                true,
            )
        ) {
            return true;
        }

        return $byOneName && in_array($text, preg_split('~\s+~', mb_strtolower($this->name)) ?: [], true);
    }
}
