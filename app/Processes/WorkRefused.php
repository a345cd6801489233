<?php

declare(strict_types=1);

namespace App\Processes;

use PlainLedger\Core\Text\PlainSentence;

/** What a process that works apart refused, with the parts it told of it. */
final class WorkRefused extends \RuntimeException implements PlainSentence
{
    private function __construct(string $sentence, private readonly ?string $place, private readonly string $reason)
    {
        parent::__construct($sentence);
    }

    /** @param  array<string, mixed>  $line  as `cli/work.php` writes it */
    public static function told(array $line): self
    {
        $place = $line['place'] ?? null;
        $sentence = is_string($line['refused'] ?? null) ? $line['refused'] : 'It could not be done.';

        return new self(
            $sentence,
            is_string($place) ? $place : null,
            is_string($line['reason'] ?? null) ? $line['reason'] : $sentence,
        );
    }

    public function place(): ?string
    {
        return $this->place;
    }

    public function reason(): string
    {
        return $this->reason;
    }
}
