<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

/** An unequal line that a coordinator accepts, with the reason. It holds for the very values it was given for. */
final readonly class Waiver
{
    /**
     * @param  list<string>  $accepted  the found values it accepts, as `valueOf` writes them
     * @param  int|null  $key  by which whoever keeps it finds it again
     */
    public function __construct(
        public WaivedLine $line,
        public array $accepted,
        public string $reason,
        public ?string $by = null,
        public ?int $key = null,
    ) {}

    /** For a line as it stands. */
    public static function of(Entry $entry, string $reason, ?string $by = null): self
    {
        return new self(WaivedLine::of($entry), self::unequalValues($entry), $reason, $by);
    }

    public function holdsFor(Entry $entry): bool
    {
        return $entry->isUnequal()
            && $this->line->is($entry)
            && array_diff(self::unequalValues($entry), $this->accepted) === [];
    }

    /** @return list<string> */
    private static function unequalValues(Entry $entry): array
    {
        $values = [];
        foreach ([$entry->scene, $entry->files] as $cell) {
            if ($cell !== null && $cell->isUnequal() && ! $cell->stale) {
                $values[] = self::valueOf($cell);
            }
        }

        return array_values(array_unique($values));
    }

    /** What a cell shows, with where frames differ. */
    private static function valueOf(Cell $cell): string
    {
        return ($cell->found ?? '').implode(
            '',
            array_map(static fn (array $run): string => "\n{$run['frames']}: {$run['found']}", $cell->runs),
        );
    }
}
