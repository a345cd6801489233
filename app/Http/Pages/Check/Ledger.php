<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Actions\Checks\AskedLayers;
use App\Http\Moment;
use App\Http\Pages\Book\IndexLine;
use App\Models\Check;
use App\Models\CheckOutline;
use App\Models\Deliverable;
use App\Models\Delivery;
use App\Models\DeliveryOrigin;
use App\Models\FileMove;
use App\Models\Scene;
use App\Models\Tick;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\Part;

/**
 * One check as the ledger shows it: its document, with what only the screen needs beside it.
 *
 * @phpstan-type ShownDelivery array{origin: DeliveryOrigin, root: string|null, rootId: int|null, folder: string,
 *   depth: string, files: int, bytes: int, at: string}
 * @phpstan-type Cell array{mark: Mark, found: string|null,
 *   runs?: list<array{frames: string, found: string, pass?: string}>, stale?: bool}
 * @phpstan-type Entry array{id: RequirementKey, part: string, level: Level, mark: Mark, required: string,
 *   scene?: Cell, files?: Cell, why?: string, set_by: string, pass?: string,
 *   waiver?: array{reason: string, by?: string, key?: int}, find_out?: string}
 * @phpstan-type Cause array{id: string, part: string, side: Side, says: string, evidence: list<string>,
 *   explains: list<string>, or: list<string>, pass?: string}
 * @phpstan-type Fix array{kind: string, part: string, says: string, pass?: string, id?: string, frames?: string,
 *   count?: int, from?: string, to?: string, files?: string, shift?: int, key: string, done: bool}
 * @phpstan-type SinceBefore array{put_right: list<string>, accepted: list<string>, new: list<string>,
 *   back: list<string>, still: list<string>,
 *   unasked: list<array{id: string, label: string, from: string, to: string}>}
 * @phpstan-type Sequence array{part: string|null, pass: string|null, folder: string, pattern: string,
 *   expected: string, present: string, damaged: string, missing: string, extra: string, rerender: string}
 * @phpstan-type NameReading array{part: string, pass?: string, name: string, frames: string,
 *   pieces: list<array{piece: string, asked: string, found: string, differs: list<string>}>}
 * @phpstan-type CheckedScene array{file: string|null, makes: list<string>,
 *   comes_to: list<array{id: string, label: string, says: string, part?: string}>}
 * @phpstan-type Strip array{part: string, pass: string|null, wrong: string, sizes: list<array{int, int}>,
 *   pictures?: list<int>, layers?: list<string>}
 * @phpstan-type MovieAgainst array{part: string, frames: string, looked: string, order: string|null,
 *   shows?: string|null, repeated: int|null, through?: string|null, apart?: string, why_not: string|null,
 *   newer?: string}
 * @phpstan-type MovieSound array{sample_rate: int|null, channels: int|null, bit_depth: int|null, codec: string}
 * @phpstan-type Movie array{part: string, path: string, kind: string, bytes?: int, width?: int|null,
 *   height?: int|null, rotation?: int, scan?: string|null, rate?: string|null, rate_constant?: bool|null,
 *   uneven?: string|null, count?: int|null, duration?: string|null, start_timecode?: string|null,
 *   codec?: string|null, profile?: string|null, chroma?: string|null, bit_depth?: int|null, alpha?: bool|null,
 *   bit_rate?: int|null, keyframe_interval_max?: int|null, b_frames_max?: int|null, keyframes?: string|null,
 *   projection?: string|null, index?: string|null, audio?: list<MovieSound>, damage?: string|null,
 *   against?: MovieAgainst}
 * @phpstan-type CheckDocument array{title: string, verdict: Verdict, depth: ScanDepth, entries: list<Entry>,
 *   not_checked: list<array{id: string, part: string, pass?: string, why: string}>, sequences: list<Sequence>,
 *   causes: list<Cause>, fixes: list<Fix>, fixes_count: int, names: list<NameReading>, names_count: int,
 *   movies: list<Movie>, strays: list<string>, strays_count: int,
 *   not_understood: list<string>, not_understood_count: int, scene: CheckedScene|null, since: SinceBefore|null,
 *   strip: list<Strip>}
 */
final readonly class Ledger
{
    /** Longer lists are shown so far; the report files have all of it. */
    private const MOST_SHOWN = 200;

    public int $id;

    public string $made;

    public ?string $by;

    public int $revision;

    /** All of what is asked, by whomever, is still what this check was made by. */
    public bool $current;

    /** Files were arriving then, and should be there by now. */
    public bool $arrived;

    /** @var list<array{int, int}> frames, and the milliseconds they took to render; where a log has told */
    public array $took;

    /** @var list<string> all that are owed */
    public array $parts;

    /** @var array{name: string, part: string|null, at: string}|null */
    public ?array $scene;

    /** @var ShownDelivery|null */
    public ?array $delivery;

    /** @var array<string, array{label: string, group: string}> by id */
    public array $labels;

    /** A line is accepted in the newest check alone. */
    public bool $newest;

    /** Names and places can be put right by renaming, and it is the newest. */
    public bool $movable;

    /** Not from here, though: only by a script that is taken to where they are. */
    public bool $elsewhere;

    /** @var array{id: int, files: int, by: string|null, at: string}|null what was renamed in its folder last */
    public ?array $moved;

    public string $specification;

    /** @var CheckDocument */
    public array $document;

    public function __construct(Check $check)
    {
        $check->loadForLedger();
        $document = $check->account();
        $deliverable = $check->deliverable;
        $this->id = $check->id;
        $this->made = Moment::told($check->updated_at);
        $this->by = $check->person?->name;
        $this->revision = $check->revision->number;
        $this->current = ! AskedLayers::hasChangedSince($deliverable, $check);
        $this->scene = self::scene($check->scene);
        $this->delivery = self::delivery($check->delivery);
        $this->newest = ! $deliverable->checks()->done()->where('id', '>', $check->id)->exists();
        $this->movable = $this->newest && $check->delivery !== null && self::hasMoves($document);
        $this->elsewhere = $check->delivery?->isInFolder() === false;
        $this->moved = $this->newest ? self::moved($deliverable, $check->delivery) : null;
        $this->took = $check->delivery === null ? [] : self::took($deliverable);
        $this->specification = $deliverable->specification->title;
        $this->labels = self::labels($document);
        $this->arrived = self::wasArriving($document) && IndexLine::shouldHaveArrived(CheckOutline::of($check));
        $this->parts = array_map(static fn (Part $part): string => $part->name, $check->resolved()->parts);
        /** @var CheckDocument $shown */
        $shown = self::shortened(self::ticked($document, $deliverable));
        $this->document = $shown;
    }

    /** @param  array<string, mixed>  $document */
    private static function hasMoves(array $document): bool
    {
        $kinds = array_column(self::list($document, 'fixes'), 'kind');

        return array_intersect($kinds, ['rename', 'move', 'set-aside']) !== [];
    }

    /** @return array{id: int, files: int, by: string|null, at: string}|null */
    private static function moved(Deliverable $deliverable, ?Delivery $delivery): ?array
    {
        $move = $delivery?->intake_root_id === null ? null : FileMove::last($deliverable, $delivery);

        return $move === null ? null : [
            'id' => $move->id,
            'files' => $move->files,
            'by' => $move->person?->name,
            'at' => Moment::told($move->created_at),
        ];
    }

    /** @return list<array{int, int}> by the log that was read last */
    private static function took(Deliverable $deliverable): array
    {
        /** @var list<array{int, int}> $along */
        $along = $deliverable->renderLogs()->latest('id')->first()->reading['along'] ?? [];

        return $along;
    }

    /** @return array{name: string, part: string|null, at: string}|null */
    private static function scene(?Scene $scene): ?array
    {
        return $scene === null
            ? null
            : ['name' => $scene->file_name, 'part' => $scene->part, 'at' => Moment::told($scene->created_at)];
    }

    /** @return ShownDelivery|null */
    private static function delivery(?Delivery $delivery): ?array
    {
        return $delivery === null ? null : [
            'origin' => $delivery->origin,
            'root' => $delivery->intakeRoot?->label,
            'rootId' => $delivery->intake_root_id,
            'folder' => $delivery->folder,
            'depth' => $delivery->depth,
            'files' => $delivery->file_count,
            'bytes' => $delivery->total_size,
            'at' => Moment::told($delivery->scanned_at),
        ];
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, array{label: string, group: string}> by id
     */
    private static function labels(array $document): array
    {
        $catalogue = Catalogue::standard();
        $labels = [];
        foreach (self::list($document, 'entries') as $entry) {
            $descriptor = $catalogue->find($entry['id']);
            $labels[$entry['id']] = [
                'label' => $descriptor->label ?? $entry['id'],
                'group' => $descriptor?->group->value ?? 'Other',
            ];
        }
        foreach (self::list($document, 'not_checked') as $line) {
            $labels[$line['id']] ??= ['label' => $catalogue->find($line['id'])->label ?? $line['id'], 'group' => ''];
        }

        return $labels;
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<mixed>
     */
    private static function list(array $document, string $key): array
    {
        return is_array($document[$key] ?? null) ? $document[$key] : [];
    }

    /** @param  array<string, mixed>  $document */
    private static function wasArriving(array $document): bool
    {
        return in_array(CauseId::StillArriving->value, array_column(self::list($document, 'causes'), 'id'), true);
    }

    /**
     * With what is ticked off of the fixes.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    private static function ticked(array $document, Deliverable $deliverable): array
    {
        $ticked = $deliverable->ticks()->pluck('fix')->all();
        $fixes = array_map(
            static fn (array $fix): array => $fix + [
                'key' => $key = Tick::key($fix),
                'done' => in_array($key, $ticked, true),
            ],
            self::list($document, 'fixes'),
        );

        return ['fixes' => $fixes] + $document;
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    private static function shortened(array $document): array
    {
        foreach (['strays', 'fixes', 'not_understood', 'names'] as $long) {
            $list = self::list($document, $long);
            $document["{$long}_count"] = count($list);
            $document[$long] = array_slice($list, 0, self::MOST_SHOWN);
        }

        return $document;
    }
}
