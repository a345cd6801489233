<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

use PlainLedger\Core\Specification\Catalogue;

/** What a column of a list tells. Requirements may stand in columns of their own, by their id or their label. */
final readonly class Column implements \Stringable
{
    /** Usual headings, letters and digits only. */
    private const WORDS = [
        'code' => [
            'code', 'shot', 'shotcode', 'shotname', 'shotid', 'shotno', 'shotnumber', 'deliverable', 'clip', 'clipname',
            'asset', 'sequenceshot', 'slate',
        ],
        'title' => ['title', 'description', 'shotdescription', 'content', 'comment', 'notes', 'note'],
        'range' => ['range', 'framerange', 'frames', 'cutrange', 'cut', 'inout'],
        'first' => [
            'first', 'firstframe', 'start', 'startframe', 'in', 'cutin', 'framein', 'framestart', 'from', 'framesfirst',
            'framesin', 'framesstart', 'headin',
        ],
        'last' => [
            'last', 'lastframe', 'end', 'endframe', 'out', 'cutout', 'frameout', 'frameend', 'to', 'frameslast',
            'framesout', 'framesend', 'tailout',
        ],
        'count' => ['count', 'framecount', 'duration', 'length', 'durationframes', 'numberofframes'],
        'handles' => ['handles', 'handle'],
        'head' => ['head', 'headhandle', 'handlehead', 'handlein', 'handleshead', 'preroll'],
        'tail' => ['tail', 'tailhandle', 'handletail', 'handleout', 'handlestail', 'postroll'],
        'camera' => ['camera', 'cam', 'rendercamera', 'cameraname'],
        'version' => ['version', 'ver', 'v', 'revision', 'take'],
        'owner' => [
            'owner',
            'artist',
            'assignee',
            'assignedto',
            'learner',
            'student',
            'name',
            'who',
            'responsible',
            'lighter',
        ],
        'due' => ['due', 'duedate', 'deadline', 'date', 'deliverydate', 'deliverby', 'target', 'targetdate', 'dueby'],
        'rate' => ['fps', 'rate', 'framerate', 'framespersecond'],
        'task' => ['task', 'step', 'department', 'dept'],
    ];

    private function __construct(public string $word) {}

    /** @throws \ValueError for a word that no column has */
    public static function of(string $word): self
    {
        if (
            isset(self::WORDS[$word])
            || preg_match('~^value:[a-z][a-z0-9_]{0,39}$~', $word) === 1
            || Catalogue::standard()->find($word) !== null
        ) {
            return new self($word);
        }
        throw new \ValueError("No column is called {$word}.");
    }

    /** Whether a word stands above a column that is known here. */
    public static function isHeading(string $word): bool
    {
        return self::guess($word) !== null;
    }

    /** What a heading most likely means; null where nothing is known of it. */
    public static function guess(string $heading): ?self
    {
        $plain = strtolower((string) preg_replace('~[^A-Za-z0-9]~', '', $heading));
        if ($plain === '' || strlen($plain) > 60) {
            return null;
        }
        foreach (self::WORDS as $word => $known) {
            if (in_array($plain, $known, true)) {
                return new self($word);
            }
        }
        $catalogue = Catalogue::standard();
        if ($catalogue->find(strtolower(trim($heading))) !== null) {
            return new self(strtolower(trim($heading)));
        }
        foreach ($catalogue->all() as $descriptor) {
            if (strtolower((string) preg_replace('~[^A-Za-z0-9]~', '', $descriptor->label)) === $plain) {
                return new self($descriptor->id);
            }
        }

        return null;
    }

    /**
     * A column for each heading; the first of several that mean the same.
     *
     * @param  list<string>  $headings
     * @return list<self|null>
     */
    public static function guessAll(array $headings): array
    {
        $taken = [];
        $columns = [];
        foreach ($headings as $heading) {
            $column = self::guess($heading);
            $columns[] = $column === null || isset($taken[$column->word]) ? null : $column;
            $taken[$column->word ?? ''] = true;
        }
        if (! isset($taken['code']) && array_intersect_key($taken, ['range' => 1, 'first' => 1, 'last' => 1]) !== []) {
            // a list of frames is a list of shots, and the name in it is theirs
            foreach ($columns as $c => $column) {
                if ($column?->word === 'owner' && strtolower(trim($headings[$c])) === 'name') {
                    $columns[$c] = new self('code');
                }
            }
        }

        return $columns;
    }

    /** @return list<string> the words that are no requirement */
    public static function words(): array
    {
        return array_keys(self::WORDS);
    }

    public function __toString(): string
    {
        return $this->word;
    }
}
