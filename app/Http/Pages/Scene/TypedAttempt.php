<?php

declare(strict_types=1);

namespace App\Http\Pages\Scene;

use App\Http\Pages\ByKey;
use App\Models\Deliverable;
use App\Models\Waiver;
use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\NamedValues;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Scene\TypedSettings;
use PlainLedger\Core\Text\PlainSentence;

/** How what is typed stands, and nothing kept. */
final readonly class TypedAttempt
{
    /** @var ByKey<array{mark: Mark, found: string|null, required: string}> by requirement */
    public ByKey $lines;

    /** @var ByKey<string> why a value was not understood, by field */
    public ByKey $faults;

    /** @var ByKey<string> as it was read, where that is not what was typed, by field */
    public ByKey $understood;

    /** @var list<array{says: string, explains: list<string>}> */
    public array $causes;

    /** @var list<array{id: string, label: string, says: string}> */
    public array $comesTo;

    public Verdict $verdict;

    public ?string $fault;

    /** @param  array<string, string>  $typed */
    private function __construct(array $typed, ?CheckReport $report, ?string $part, ?string $fault)
    {
        $scene = $report?->scene;
        $this->fault = $fault;
        $this->verdict = $report?->check->verdict ?? Verdict::Open;
        $this->lines = new ByKey($report === null ? [] : self::lines($report->check->entries, $part));
        $this->faults = new ByKey($scene === null ? [] : self::faults($scene));
        $this->understood = new ByKey($scene === null ? [] : self::understood($scene, $typed));
        $this->causes = array_map(
            static fn (Cause $c): array => ['says' => $c->says(), 'explains' => $c->explains],
            $report->causes ?? [],
        );
        $this->comesTo = $report === null ? [] : self::comesTo($report);
    }

    /** @return list<array{id: string, label: string, says: string}> */
    private static function comesTo(CheckReport $report): array
    {
        /** @var array{scene: array{comes_to: list<array{id: string, label: string, says: string}>}|null} $document */
        $document = $report->toArray();

        return $document['scene']['comes_to'] ?? [];
    }

    /**
     * @param  array<string, string>  $typed
     * @param  string|null  $part  the part that is typed in, of several
     */
    public static function of(Deliverable $deliverable, array $typed, ?string $part = null): self
    {
        $pairs = [];
        foreach (array_filter($typed, static fn (string $value): bool => $value !== '') as $field => $value) {
            $pairs[] = [$field, $value];
        }
        try {
            $scene = NamedValues::understood($pairs)->understood();
            $scene = $part === null ? $scene : $scene->making($part);
            $report = CheckReport::of($deliverable->resolved(), $scene, null, Waiver::holding($deliverable));

            return new self($typed, $report, $part, null);
        } catch (PlainSentence $refused) {
            return new self($typed, null, $part, $refused->getMessage());
        }
    }

    /**
     * @param  array<string, string>  $typed
     * @return array<string, string>
     */
    private static function understood(SceneSettings $scene, array $typed): array
    {
        return array_filter(
            TypedSettings::of($scene),
            static fn (string $read, string $field): bool => isset($typed[$field]) && $typed[$field] !== $read,
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * Of several parts the one that does not balance is told.
     *
     * @param  list<Entry>  $entries
     * @return array<string, array{mark: Mark, found: string|null, required: string}> by id
     */
    private static function lines(array $entries, ?string $part): array
    {
        $lines = [];
        foreach ($entries as $entry) {
            $id = $entry->id();
            $isTold = isset($lines[$id]) && $lines[$id]['mark'] !== Mark::Equal;
            if (! $isTold && ($part === null || $part === $entry->part)) {
                $lines[$id] = [
                    'mark' => $entry->mark, 'found' => $entry->scene?->found, 'required' => $entry->required,
                ];
            }
        }

        return $lines;
    }

    /** @return array<string, string> */
    private static function faults(SceneSettings $scene): array
    {
        $faults = [];
        foreach ($scene->misread->unknown as $unknown) {
            $faults[$unknown->field ?? $unknown->name] = $unknown->why
                ?? "“{$unknown->value}” is no word known here for this.";
        }

        return $faults;
    }
}
