<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Actions\Checks\AskedLayers;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Delivery;
use App\Models\Scene;
use App\Models\Tick;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Specification\Catalogue;

/** One check as the ledger shows it: its document, with what only the screen needs beside it. */
final readonly class LedgerPage
{
    /** Longer lists are shown so far; the report files have all of it. */
    private const MOST_SHOWN = 200;

    /** @return array<string, mixed> */
    public static function of(Check $check): array
    {
        $check->loadMissing(
            'revision',
            'scene',
            'delivery.intakeRoot',
            'person',
            'deliverable.specification.latest',
            'deliverable.production',
            'deliverable.owner',
        );
        $document = $check->account();
        $deliverable = $check->deliverable;

        return [
            'id' => $check->id,
            'made' => $check->updated_at->format('j M Y, H:i'),
            'by' => $check->person?->name,
            'revision' => $check->revision->number,
            // whether all of what is asked, by whomever, is still what this check was made by
            'current' => ! AskedLayers::hasChangedSince($deliverable, $check),
            'scene' => self::scene($check->scene),
            'delivery' => self::delivery($check->delivery),
            // a line is accepted in the newest check alone
            'newest' => ! $deliverable->checks()->where('state', 'done')->where('id', '>', $check->id)->exists(),
            'specification' => $deliverable->specification->title,
            'labels' => self::labels($document),
            // files that were being written then: what is said of them holds no more
            'arrived' => self::wasArriving($document) && BookPage::shouldHaveArrived($check),
            'parts' => array_map(static fn ($part): string => $part->name, $check->resolved()->parts),
            'document' => self::shortened(self::ticked($document, $deliverable)),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function scene(?Scene $scene): ?array
    {
        return $scene === null
            ? null
            : ['name' => $scene->file_name, 'part' => $scene->part, 'at' => $scene->created_at->format('j M, H:i')];
    }

    /** @return array<string, mixed>|null */
    private static function delivery(?Delivery $delivery): ?array
    {
        return $delivery === null ? null : [
            'root' => $delivery->intakeRoot?->label,
            'rootId' => $delivery->intake_root_id,
            'folder' => $delivery->folder,
            'depth' => $delivery->depth,
            'files' => $delivery->file_count,
            'bytes' => $delivery->total_size,
            'at' => $delivery->scanned_at->format('j M, H:i'),
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
