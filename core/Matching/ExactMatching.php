<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Media\Kind;

/** Files whose names fit exactly: in their folder and of their kind, then wherever they lie, then of another kind. */
final readonly class ExactMatching
{
    /** Whether the folder fits, and whether the kind is asked: the better first. */
    private const TURNS = [[true, true], [false, true], [true, false], [false, false]];

    /** @param  list<NameGroup>  $groups  the largest first */
    public function __construct(
        private Delivery $delivery,
        private array $groups,
        private Claims $claims,
        private NameReadings $names,
    ) {}

    /**
     * @param  list<ExpectedFiles>  $expected
     * @return list<list<Take>> for each of the expected
     */
    public function find(array $expected): array
    {
        $candidates = array_map($this->candidates(...), $expected);
        $takes = array_map(static fn (): array => [], $expected);
        foreach (self::TURNS as $turn) {
            foreach ($expected as $n => $files) {
                $now = array_filter(
                    $candidates[$n],
                    fn (Take $t): bool => [$t->folderFits, $files->asksFor($this->kindOf($t->sequence))] === $turn,
                );
                $new = $this->claims->claim(array_values($now), $files->numbered, $takes[$n]);
                $takes[$n] = [...$takes[$n], ...$new];
            }
        }

        return $takes;
    }

    /** @return list<Take> */
    private function candidates(ExpectedFiles $files): array
    {
        $takes = [];
        foreach ($files->pattern === null ? [] : $this->groups as $group) {
            if ($this->names->couldAnswer($group, $files->part) && $files->mayLieIn($group->folder)) {
                $takes = [...$takes, ...$this->candidatesOf($files, $group)];
            }
        }
        usort($takes, Take::nearer(...));

        return $takes;
    }

    /** @return list<Take> */
    private function candidatesOf(ExpectedFiles $files, NameGroup $group): array
    {
        $name = $this->names->exactName($files, $group);
        $shape = $name?->shapeOf($group->name(0));
        if ($name === null || $shape === null || ($files->numbered && $shape->digitRun === null)) {
            return [];
        }
        $takes = [];
        $column = $files->numbered ? $shape->digitRun : null;
        foreach ($this->claims->sequences($group, $column, $shape->lead, $shape->trail) as $sequence) {
            $reading = $name->read($sequence->sampleName());
            if ($reading !== null && ($sequence->column !== null) === $files->numbered) {
                $takes[] = new Take($sequence, $reading, $files->folderFits($group->folder), $sequence->frames);
            }
        }

        return $takes;
    }

    private function kindOf(Sequence $sequence): ?Kind
    {
        return $this->delivery->kindAmong($sequence->group, $sequence->rows)
            ?? Kind::fromExtension(Extension::of($sequence->sampleName()));
    }
}
