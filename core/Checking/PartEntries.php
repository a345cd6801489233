<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** The lines of one part as they come together: those of the whole part, and beside them what each pass shows. */
final class PartEntries
{
    /** @var list<Entry> */
    private array $entries = [];

    /** @var list<NotChecked> */
    private array $notChecked = [];

    /** @var array<int, array<string, Entry>> by the pass's place and id */
    private array $ofPasses = [];

    /** @var array<string, array<string, Entry>> what is asked of one pass alone, by pass and id */
    private array $own = [];

    /** @param  list<Waiver>  $waivers */
    public function __construct(private readonly array $waivers) {}

    public function leave(Requirement $requirement, Subject $subject, ?string $pass = null): void
    {
        $this->notChecked[] = NotChecked::of($requirement, $subject, $pass);
    }

    /** @param  array<int, Cell>  $cells  what each pass shows, by its place; empty where it is about the whole part */
    public function add(
        Requirement $requirement,
        Subject $subject,
        string $required,
        ?Cell $scene,
        ?Cell $files,
        array $cells,
    ): void {
        $entry = Entry::of($requirement, $subject->part->name, $required, $scene, $files);
        if ($entry === null) {
            $this->leave($requirement, $subject);

            return;
        }
        $entry = $this->weighed($entry);
        $this->entries[] = $entry;
        // given files, what they could show and do not is told beside what the scene shows
        if (
            $files === null
            && $subject->match !== null
            && ($requirement->descriptor->inFiles() || $requirement->descriptor->inDelivery())
            && ! $subject->nothingDelivered()
        ) {
            $this->leave($requirement, $subject);
        }
        foreach ($cells as $place => $cell) {
            $own = Entry::of($requirement, $subject->part->name, $required, $scene, $cell);
            if ($own !== null) {
                $this->ofPasses[$place][$requirement->id()] = $entry->waiver === null
                    ? $own
                    : $own->waived($entry->waiver);
            }
        }
    }

    public function addOfPass(
        Requirement $requirement,
        Subject $subject,
        string $required,
        ?Cell $files,
        string $pass,
    ): void {
        $entry = Entry::of($requirement, $subject->part->name, $required, null, $files, $pass);
        if ($entry === null) {
            $this->leave($requirement, $subject, $pass);

            return;
        }
        $entry = $this->weighed($entry);
        $this->entries[] = $entry;
        $this->own[$pass][$requirement->id()] = $entry;
    }

    private function weighed(Entry $entry): Entry
    {
        foreach ($this->waivers as $waiver) {
            if ($waiver->holdsFor($entry)) {
                return $entry->waived($waiver);
            }
        }

        return $entry;
    }

    /** @return list<Entry> */
    public function entries(): array
    {
        return $this->entries;
    }

    /** @return list<NotChecked> */
    public function notChecked(): array
    {
        return $this->notChecked;
    }

    /** @return list<PassEntries> */
    public function lines(Subject $subject): array
    {
        $whole = [];
        foreach ($this->entries as $entry) {
            $whole += $entry->pass === null ? [$entry->id() => $entry] : [];
        }
        $passes = $subject->nothingDelivered() ? [] : $subject->byPass();
        if ($passes === []) {
            return [new PassEntries($subject, $whole)];
        }
        $lines = [];
        foreach ($passes as $place => $pass) {
            $entries = $this->own[(string) $pass->pass] ?? [];
            foreach ($whole as $id => $entry) {
                $own = $this->ofPasses[$place][$id] ?? $this->asOnePassSeesIt($entry, $pass);
                $entries += $own === null ? [] : [$id => $own];
            }
            $lines[] = new PassEntries($pass, $entries);
        }

        return $lines;
    }

    /** A line about the whole part as it concerns one pass; null where files of other passes alone show it. */
    private function asOnePassSeesIt(Entry $entry, Subject $pass): ?Entry
    {
        if ($entry->files === null || str_starts_with($entry->id(), 'delivery.')) {
            return $entry;
        }
        if ($entry->id() !== RequirementId::PASSES) {
            return null;
        }
        $match = $pass->onlyPass();
        $short = $match !== null && (! $match->missing()->isEmpty() || $match->isEmpty());

        return $short || ! $entry->files->isUnequal() ? $entry : null;
    }
}
