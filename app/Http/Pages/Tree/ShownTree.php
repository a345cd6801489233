<?php

declare(strict_types=1);

namespace App\Http\Pages\Tree;

use App\Http\Moment;
use App\Models\DeliveredTree;
use PlainLedger\Core\Checking\Verdict;

/**
 * A delivered tree as it was looked through.
 *
 * @phpstan-type TreeLine array{key: int, deliverable: string, verdict: Verdict, says: string, folder: string,
 *   files: int, frames_missing: int, cause: string|null}
 * @phpstan-type TreePiece array{folder: string, pattern: string, frames: string, files: int, candidates: list<string>}
 * @phpstan-type TreeTotals array{deliverables: int, balanced: int, unbalanced: int, open: int, nothing_delivered: int,
 *   frames_missing: int, files_answering: int, files_fitting_several: int, files_nobody_asked: int}
 */
final readonly class ShownTree
{
    /** Longer lists are shown so far. */
    private const MOST_SHOWN = 200;

    public int $id;

    public int $root;

    public string $place;

    public string $folder;

    public string $at;

    public bool $running;

    public ?string $fault;

    /** @var array{done: int, all: int|null, at: string}|null */
    public ?array $progress;

    /** @var list<TreeLine> trouble first */
    public array $lines;

    /** @var list<TreePiece> what fits two or more alike */
    public array $several;

    /** @var list<TreePiece> what nobody asked for */
    public array $none;

    public int $noneCount;

    /** @var TreeTotals|null */
    public ?array $totals;

    /** @var array<string, string> key of a deliverable by the place of what was assigned to it */
    public array $byHand;

    public function __construct(DeliveredTree $tree)
    {
        $told = $tree->told() ?? [];
        $this->id = $tree->id;
        $this->root = $tree->intake_root_id;
        $this->folder = $tree->folder;
        $this->place = trim("{$tree->intakeRoot->label}/{$tree->folder}", '/');
        $this->at = Moment::told($tree->updated_at);
        $this->running = $tree->isUnderWay();
        $this->fault = $tree->fault;
        $this->progress = $tree->progress;
        /** @var list<TreeLine> $lines */
        $lines = $told['deliverables'] ?? [];
        $order = [Verdict::Unbalanced->value => 0, Verdict::Open->value => 1, Verdict::Balanced->value => 2];
        // what was delivered says more than what was not
        $rank = static fn (array $line): array => [
            $order[self::word($line)], $line['files'] === 0, $line['deliverable'],
        ];
        usort($lines, static fn (array $a, array $b): int => $rank($a) <=> $rank($b));
        $this->lines = $lines;
        /** @var list<TreePiece> $several */
        $several = $told['fits_several'] ?? [];
        /** @var list<TreePiece> $none */
        $none = $told['nobody_asked'] ?? [];
        /** @var TreeTotals|null $totals */
        $totals = $told['totals'] ?? null;
        $this->several = array_slice($several, 0, self::MOST_SHOWN);
        $this->none = array_slice($none, 0, self::MOST_SHOWN);
        $this->noneCount = count($none);
        $this->totals = $totals;
        $this->byHand = $tree->by_hand ?? [];
    }

    /** @param  array<string, mixed>  $line  as it was kept */
    private static function word(array $line): string
    {
        return is_string($line['verdict']) ? $line['verdict'] : Verdict::Open->value;
    }
}
