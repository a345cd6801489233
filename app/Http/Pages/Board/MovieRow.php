<?php

declare(strict_types=1);

namespace App\Http\Pages\Board;

use App\Models\Deliverable;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\PlainSentence;

/** One movie that is owed, and what there is of it. */
final readonly class MovieRow
{
    public int $deliverable;

    public string $code;

    public ?string $owner;

    public string $part;

    /** the part it is made from, which it is a preview or an assembly of; null: it stands for itself */
    public ?string $from;

    /** its lines in the files together; null where no movie was looked at */
    public ?Mark $mark;

    public ?string $path;

    /** @var list<string> what it is, in a few words */
    public array $is;

    /** bytes */
    public ?int $bytes;

    /** @param  array<string, mixed>  $account  of the newest check; empty where there is none */
    private function __construct(Deliverable $deliverable, Part $part, array $account)
    {
        $this->deliverable = $deliverable->id;
        $this->code = $deliverable->code;
        $this->owner = $deliverable->owner?->name;
        $this->part = $part->name;
        $this->from = $part->madeFrom;
        /** @var list<array<string, mixed>> $movies */
        $movies = $account['movies'] ?? [];
        $own = array_values(array_filter($movies, static fn (array $m): bool => $m['part'] === $part->name))[0] ?? null;
        $this->mark = $own === null ? null : self::mark($account, $part->name);
        $this->path = is_string($own['path'] ?? null) ? $own['path'] : null;
        $this->bytes = is_int($own['bytes'] ?? null) ? $own['bytes'] : null;
        $this->is = $own === null ? [] : self::facts($own);
    }

    /** @return list<self> in the order of its parts */
    public static function all(Deliverable $deliverable): array
    {
        $asked = self::asked($deliverable);
        $parts = array_filter($asked->parts ?? [], static fn (Part $part): bool => $part->delivers->isMovie());
        $newest = $parts === [] ? null : $deliverable->newest()->first();
        $account = $newest?->account() ?? [];

        return array_values(array_map(static fn (Part $p): self => new self($deliverable, $p, $account), $parts));
    }

    private static function asked(Deliverable $deliverable): ?Specification
    {
        try {
            return $deliverable->resolved();
        } catch (PlainSentence) {
            return null;
        }
    }

    /** @param  array<string, mixed>  $account */
    private static function mark(array $account, string $part): ?Mark
    {
        $marks = [];
        /** @var list<array{part: string, level: string, files?: array{mark: string}}> $entries */
        $entries = $account['entries'] ?? [];
        foreach ($entries as $entry) {
            if ($entry['part'] === $part && $entry['level'] === Level::Must->value && isset($entry['files'])) {
                $marks[] = Mark::from($entry['files']['mark']);
            }
        }

        return $marks === [] ? null : Mark::together(...$marks);
    }

    /**
     * @param  array<string, mixed>  $movie
     * @return list<string>
     */
    private static function facts(array $movie): array
    {
        $text = static fn (string $key): string => is_scalar($movie[$key] ?? null) ? (string) $movie[$key] : '';
        $size = $text('width') === '' ? '' : "{$text('width')} × {$text('height')}";
        $count = $text('count') === '' ? '' : "{$text('count')} pictures";
        $rate = $text('rate') === '' ? '' : "{$text('rate')} a second";

        return array_values(array_filter([strtoupper($text('kind')), $text('codec'), $size, $rate, $count]));
    }
}
