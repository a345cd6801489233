<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Actions\Checks\AskedLayers;
use App\Models\Check;
use App\Models\Tick;
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
        $catalogue = Catalogue::standard();
        $labels = [];
        foreach (is_array($document['entries']) ? $document['entries'] : [] as $entry) {
            $descriptor = $catalogue->find($entry['id']);
            $labels[$entry['id']] = [
                'label' => $descriptor->label ?? $entry['id'],
                'group' => $descriptor?->group->value ?? 'Other',
            ];
        }
        foreach (is_array($document['not_checked']) ? $document['not_checked'] : [] as $line) {
            $labels[$line['id']] ??= ['label' => $catalogue->find($line['id'])->label ?? $line['id'], 'group' => ''];
        }
        $ticked = $check->deliverable->ticks()->pluck('fix')->all();
        /** @var list<array<string, mixed>> $fixes */
        $fixes = is_array($document['fixes']) ? $document['fixes'] : [];
        $document['fixes'] = array_map(
            static fn (array $f): array => $f + [
                'key' => $key = Tick::key($f),
                'done' => in_array($key, $ticked, true),
            ],
            $fixes,
        );
        foreach (['strays', 'fixes', 'not_understood', 'names'] as $long) {
            $list = is_array($document[$long] ?? null) ? $document[$long] : [];
            $document["{$long}_count"] = count($list);
            $document[$long] = array_slice($list, 0, self::MOST_SHOWN);
        }

        return [
            'id' => $check->id,
            'made' => $check->updated_at->format('j M Y, H:i'),
            'by' => $check->person?->name,
            'revision' => $check->revision->number,
            // whether all of what is asked, by whomever, is still what this check was made by
            'current' => ! AskedLayers::hasChangedSince($check->deliverable, $check),
            'scene' => $check->scene === null
                ? null
                : [
                    'name' => $check->scene->file_name,
                    'part' => $check->scene->part,
                    'at' => $check->scene->created_at->format('j M, H:i'),
                ],
            'delivery' => $check->delivery === null ? null : [
                'root' => $check->delivery->intakeRoot?->label,
                'rootId' => $check->delivery->intake_root_id,
                'folder' => $check->delivery->folder,
                'depth' => $check->delivery->depth,
                'files' => $check->delivery->file_count,
                'bytes' => $check->delivery->total_size,
                'at' => $check->delivery->scanned_at->format('j M, H:i'),
            ],
            // a line is accepted in the newest check alone
            'newest' => ! $check->deliverable->checks()->where('state', 'done')->where('id', '>', $check->id)->exists(),
            'specification' => $check->deliverable->specification->title,
            'labels' => $labels,
            // files that were being written then: what is said of them holds no more
            'arrived' => in_array(
                'still-arriving',
                array_column(is_array($document['causes']) ? $document['causes'] : [], 'id'),
                true,
            )
                && BookPage::shouldHaveArrived($check),
            'parts' => array_map(static fn ($part): string => $part->name, $check->resolved()->parts),
            'document' => $document,
        ];
    }
}
