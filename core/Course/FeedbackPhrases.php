<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Diagnosis\CauseId;

/** What somebody is told to do next time, by what went wrong: the usual sentence, or a course's own. */
final readonly class FeedbackPhrases
{
    public const LONGEST = 600;

    /** @param  array<string, string>  $own  by a cause's id */
    private function __construct(public array $own) {}

    /** @param  array<mixed>  $own  by a cause's id; what is empty, usual or of no cause is left out */
    public static function of(array $own): self
    {
        $kept = [];
        foreach ($own as $id => $text) {
            $text = is_string($text) ? trim($text) : '';
            if ($text !== '' && CauseId::tryFrom((string) $id) !== null && $text !== NextTime::for((string) $id)) {
                $kept[(string) $id] = mb_substr($text, 0, self::LONGEST);
            }
        }

        return new self($kept);
    }

    /** Null where nothing is known of it. */
    public function for(string $cause): ?string
    {
        return $this->own[$cause] ?? NextTime::for($cause);
    }
}
