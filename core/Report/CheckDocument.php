<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\NotChecked;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Matching\Extra;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\PieceReading;
use PlainLedger\Core\Scene\EffectiveSettings;
use PlainLedger\Core\Scene\SettingHints;
use PlainLedger\Core\Text\Text;

/** An account as the open `plain-ledger/check` document. */
final readonly class CheckDocument
{
    public const FORMAT = 'plain-ledger/check';

    public function __construct(private CheckReport $account) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $check = $this->account->check;

        return [
            'format' => self::FORMAT,
            'version' => 1,
            'title' => $this->account->specification->title,
            'verdict' => $check->verdict->value,
            'depth' => ($this->account->delivery->depth ?? ScanDepth::Quick)->value,
            'entries' => array_map($this->entry(...), $check->entries),
            'not_checked' => array_map(static fn (NotChecked $n): array => $n->toArray(), $check->notChecked),
            'sequences' => $this->sequences(),
            'causes' => array_map(static fn (Cause $c): array => [
                'id' => $c->finding->id->value,
                'part' => $c->part,
                'side' => $c->finding->side->value,
                'says' => $c->says(),
                'evidence' => $c->finding->evidence,
                'explains' => $c->explains,
                'or' => array_map(static fn (CauseId $id): string => $id->value, $c->or),
            ] + ($c->pass === null ? [] : ['pass' => $c->pass]), $this->account->causes),
            'fixes' => array_map(static fn (Fix $f): array => $f->toArray(), $this->account->remedy->fixes),
            'names' => $this->names(),
            'movies' => (new MovieLines($this->account))->all(),
            'scene' => $this->account->scene === null
                ? null
                : [
                    'file' => $this->account->scene->source->file === null
                        ? null
                        : Text::shown($this->account->scene->source->file),
                    'makes' => $this->account->partsOfScene(),
                    'comes_to' => $this->comesTo(),
                ],
            'strays' => $this->strays(),
            'not_understood' => [
                ...array_map(
                    static fn (string $key): string => "specification: {$key}",
                    $this->account->specification->notUnderstood,
                ),
                ...($this->account->scene->misread->sentences ?? []),
            ],
        ];
    }

    /** @return list<array{id: string, label: string, says: string, part?: string}> */
    private function comesTo(): array
    {
        $lines = [];
        $several = count($this->account->partsOfScene()) > 1;
        foreach ($this->account->check->subjects as $subject) {
            foreach ($subject->scene === null ? [] : EffectiveSettings::of(
                $subject->scene,
                $this->account->specification,
                $subject->part,
            ) as $line) {
                $lines[] = $line + ($several ? ['part' => $subject->part->name] : []);
            }
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    private function entry(Entry $entry): array
    {
        return [
            'id' => $entry->id(),
            'part' => $entry->part,
            'level' => $entry->level()->value,
            'mark' => $entry->mark->value,
            'required' => $entry->required,
        ] + array_filter([
            'pass' => $entry->pass,
            'scene' => $entry->scene === null ? null : $this->cell($entry->scene),
            'files' => $entry->files === null ? null : $this->cell($entry->files),
            'why' => $entry->requirement->why,
            'waiver' => $entry->waiver === null
                ? null
                : array_filter(
                    ['reason' => $entry->waiver->reason, 'by' => $entry->waiver->by, 'key' => $entry->waiver->key],
                    static fn (mixed $v): bool => $v !== null,
                ),
            'find_out' => $entry->mark === Mark::Unknown && $entry->files === null
                ? SettingHints::of($entry->requirement->descriptor)
                : null,
        ], static fn (mixed $v): bool => $v !== null) + ['set_by' => $entry->requirement->setBy->value];
    }

    /** @return array<string, mixed> */
    private function cell(Cell $cell): array
    {
        return ['mark' => $cell->mark->value, 'found' => $cell->found]
            + ($cell->runs === [] ? [] : ['runs' => $cell->runs])
            + ($cell->stale ? ['stale' => true] : []);
    }

    /** @return list<array<string, mixed>> owed ones first, then others found */
    private function sequences(): array
    {
        if ($this->account->match === null) {
            return [];
        }
        $lines = [];
        foreach ($this->account->check->subjects as $subject) {
            foreach ($subject->match->passes ?? [] as $p => $pass) {
                if ($subject->isNumbered()) {
                    $lines[] = $this->owed(
                        $subject,
                        $pass,
                        $this->account->remedy->rerender[$subject->part->name][$p] ?? FrameRange::none(),
                    );
                }
            }
        }
        foreach ($this->account->match->extras as $extra) {
            if ($extra->count() > 1) {
                $lines[] = [
                    'part' => null,
                    'pass' => null,
                    'folder' => Text::shown($extra->sequence->folder()),
                    'pattern' => Text::shown($extra->sequence->pattern()),
                    'expected' => '',
                    'present' => (string) $extra->frames,
                    'damaged' => '',
                    'missing' => '',
                    'extra' => (string) $extra->frames,
                    'rerender' => '',
                ];
            }
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    private function owed(Subject $subject, PassMatch $pass, FrameRange $rerender): array
    {
        $most = null;
        foreach ($pass->takes as $take) {
            $most = $most === null || count($take->frames) > count($most->frames) ? $take : $most;
        }

        return [
            'part' => $subject->part->name,
            'pass' => $pass->pass,
            'folder' => $most === null ? '' : Text::shown($most->sequence->folder()),
            'pattern' => $most === null ? $pass->pattern : Text::shown($most->sequence->pattern()),
            'expected' => (string) ($pass->expected ?? $pass->present),
            'present' => (string) $pass->present,
            'damaged' => (string) $pass->damaged,
            'missing' => (string) $pass->missing(),
            'extra' => (string) $pass->extra(),
            'rerender' => (string) $rerender,
        ];
    }

    /** @return list<array<string, mixed>> how the names of each take that does not fit read, piece by piece */
    private function names(): array
    {
        $names = [];
        foreach ($this->account->match->parts ?? [] as $part => $match) {
            foreach ($match->passes as $pass) {
                foreach (array_slice($pass->takes, 0, 50) as $take) {
                    if ($take->reading !== null && ! $take->misnamed()->isEmpty()) {
                        $names[] = ['part' => $part]
                            + ($pass->pass === null ? [] : ['pass' => $pass->pass])
                            + $this->name($take);
                    }
                }
            }
        }

        return $names;
    }

    /** @return array<string, mixed> */
    private function name(Take $take): array
    {
        return [
            'name' => Text::shown($take->sequence->sampleName()),
            'frames' => (string) $take->misnamed(),
            'pieces' => array_map(static fn (PieceReading $p): array => [
                'piece' => $p->piece,
                'asked' => $p->asked,
                'found' => Text::shown($p->found),
                'differs' => array_map(static fn (Difference $d): string => $d->value, $p->differences),
            ], $take->reading->pieces ?? []),
        ];
    }

    /** @return list<string> files that belong to nothing, by path */
    private function strays(): array
    {
        $single = array_filter($this->account->match->extras ?? [], static fn (Extra $e): bool => $e->count() === 1);
        $paths = array_map(static fn (Extra $e): string => Text::shown($e->path()), $single);
        $paths = [...$paths, ...array_map(Text::shown(...), $this->account->match->odd ?? [])];
        sort($paths);

        return $paths;
    }
}
