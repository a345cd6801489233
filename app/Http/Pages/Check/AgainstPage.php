<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Http\Moment;
use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\RendersPage;
use App\Models\Check;
use App\Models\User;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Delivery\FileChanges;
use PlainLedger\Core\Report\CheckComparison;
use PlainLedger\Core\Report\FrameComparison;
use PlainLedger\Core\Specification\Catalogue;

/** Two checks of one deliverable beside each other: line by line, frame by frame, file by file. */
final readonly class AgainstPage
{
    use RendersPage;

    private const MOST_FILES = 200;

    public Book $book;

    public DeliverableHead $deliverable;

    /** @var array{id: int, made: string} the later one */
    public array $now;

    /** @var array{id: int, made: string} */
    public array $before;

    /** @var array{put_right: list<string>, accepted: list<string>, new: list<string>, still: list<string>} */
    public array $since;

    /**
     * @var list<array{label: string, part: string, pass: string|null, now: array{mark: Mark, found: string|null}|null,
     *   before: array{mark: Mark, found: string|null}|null}> lines whose files differ
     */
    public array $lines;

    /**
     * @var list<array{part: string, pass: string, come: string, gone: string, whole: string, damaged: string,
     *   rerender: string}>
     */
    public array $frames;

    /**
     * @var list<array{folder: string, pattern: string, same: string, changed: string, come: string, gone: string,
     *   file: string}>
     */
    public array $files;

    public function __construct(Check $now, Check $before, User $reader)
    {
        [$new, $old] = [$now->account(), $before->account()];
        $since = CheckComparison::of($new, [$old]);
        $files = $now->delivery === null || $before->delivery === null
            ? []
            : FileChanges::between($now->delivery->scanned(), $before->delivery->scanned());
        $this->book = new Book($now->deliverable->production, $reader);
        $this->deliverable = new DeliverableHead($now->deliverable);
        $this->now = ['id' => $now->id, 'made' => Moment::told($now->updated_at)];
        $this->before = ['id' => $before->id, 'made' => Moment::told($before->updated_at)];
        $this->since = [
            'put_right' => $since->putRight, 'accepted' => $since->accepted, 'new' => [...$since->new, ...$since->back],
            'still' => $since->still,
        ];
        $this->lines = self::lines($new, $old);
        /**
         * @var list<array{part: string, pass: string, come: string, gone: string, whole: string, damaged: string,
         *   rerender: string}> $frames
         */
        $frames = FrameComparison::of($new, $old)->toArray();
        $this->frames = $frames;
        $this->files = array_map(
            static fn (FileChanges $change): array => $change->toArray(),
            array_slice($files, 0, self::MOST_FILES),
        );
    }

    /**
     * @param  array<string, mixed>  $new
     * @param  array<string, mixed>  $old
     * @return list<array{label: string, part: string, pass: string|null,
     *   now: array{mark: Mark, found: string|null}|null, before: array{mark: Mark, found: string|null}|null}>
     */
    private static function lines(array $new, array $old): array
    {
        [$now, $before] = [self::cells($new), self::cells($old)];
        $catalogue = Catalogue::standard();
        $lines = [];
        foreach ($now + $before as $key => $_) {
            if (($now[$key] ?? null) === ($before[$key] ?? null)) {
                continue;
            }
            [$id, $part, $pass] = explode("\t", $key);
            $lines[] = [
                'label' => $catalogue->find($id)->label ?? $id, 'part' => $part, 'pass' => $pass === '' ? null : $pass,
                'now' => $now[$key] ?? null, 'before' => $before[$key] ?? null,
            ];
        }

        return $lines;
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, array{mark: Mark, found: string|null}> of files, by id, part and pass
     */
    private static function cells(array $document): array
    {
        /**
         * @var list<array{id: string, part: string, pass?: string,
         *   files?: array{mark: string, found: string|null}}> $all
         */
        $all = $document['entries'];
        $cells = [];
        foreach ($all as $entry) {
            if (isset($entry['files'])) {
                $cells[implode("\t", [$entry['id'], $entry['part'], $entry['pass'] ?? ''])] = [
                    'mark' => Mark::from($entry['files']['mark']), 'found' => $entry['files']['found'],
                ];
            }
        }

        return $cells;
    }
}
