<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

/** What each cause is concluded from and what puts it right, as the guide of causes tells it. */
final readonly class CauseGuide
{
    /** @param  array<string, array{string, string}>  $lines  by the cause's id */
    private function __construct(public array $lines) {}

    /** @param  string  $guide  Markdown, with a table of causes */
    public static function read(string $guide): self
    {
        $lines = [];
        foreach (explode("\n", $guide) as $line) {
            if (preg_match('~^\| (`.+?`) \| (.+?) \| (.+?) \|$~u', $line, $parts) === 1) {
                preg_match_all('~`([a-z-]+)`~', $parts[1], $ids);
                $plain = static fn (string $text): string => (string) preg_replace('~[`*]~', '', $text);
                $lines += array_fill_keys($ids[1], [$plain($parts[2]), $plain($parts[3])]);
            }
        }

        return new self($lines);
    }

    public function evidence(string $id): ?string
    {
        return $this->lines[$id][0] ?? null;
    }
}
