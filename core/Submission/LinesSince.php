<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Checking\Mark;

/** What became of the lines of a check that was signed, in the check that is signed after it. */
final readonly class LinesSince
{
    /**
     * Each line as `id`, `part` and `pass`.
     *
     * @param  list<array<string, string|null>>  $putRight  accepted as they were then, and equal now
     * @param  list<array<string, string|null>>  $back  equal then, and accepted as they are now
     * @param  list<array<string, string|null>>  $askedOtherwise  something else is asked now, or nothing was
     */
    private function __construct(public array $putRight, public array $back, public array $askedOtherwise) {}

    /**
     * @param  array<array-key, mixed>  $then  a check document
     * @param  array<array-key, mixed>  $now
     */
    public static function of(array $then, array $now): self
    {
        $before = self::lines($then);
        $sets = ['put_right' => [], 'back' => [], 'asked' => []];
        foreach (self::lines($now) as $key => [$line, $required, $mark]) {
            [, $asked, $was] = $before[$key] ?? [$line, null, null];
            if ($asked !== $required) {
                $sets['asked'][] = $line;
            }
            if ($was === Mark::Waived && $mark === Mark::Equal) {
                $sets['put_right'][] = $line;
            } elseif ($was === Mark::Equal && $mark === Mark::Waived) {
                $sets['back'][] = $line;
            }
        }

        return new self($sets['put_right'], $sets['back'], $sets['asked']);
    }

    /**
     * @param  array<array-key, mixed>  $check
     * @return array<string, array{array<string, string|null>, string, Mark|null}> line, what is asked, and its mark
     */
    private static function lines(array $check): array
    {
        $lines = [];
        foreach (is_array($check['entries'] ?? null) ? $check['entries'] : [] as $entry) {
            $text = static fn (string $key): ?string => is_array($entry) && is_string($entry[$key] ?? null)
                ? $entry[$key]
                : null;
            $line = ['id' => $text('id'), 'part' => $text('part'), 'pass' => $text('pass')];
            $lines[implode("\t", $line)] = [$line, (string) $text('required'), Mark::tryFrom((string) $text('mark'))];
        }

        return $lines;
    }

    /** @return array<string, list<array<string, string|null>>> */
    public function toArray(): array
    {
        return ['put_right' => $this->putRight, 'back' => $this->back, 'asked_otherwise' => $this->askedOtherwise];
    }
}
