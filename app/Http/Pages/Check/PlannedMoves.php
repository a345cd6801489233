<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use PlainLedger\Core\Remedy\FileMoves\MovePlan;

/** What is to be renamed, moved and set aside, files that differ in one number in one line. */
final readonly class PlannedMoves
{
    private const MOST_SHOWN = 200;

    /** @var list<array{from: string, to: string, frames: string, count: int, aside: bool}> */
    public array $lines;

    /** lines that are not shown */
    public int $more;

    public int $files;

    /** @var list<string> what no renaming does */
    public array $left;

    public function __construct(MovePlan $plan)
    {
        $lines = $plan->folded();
        $this->lines = array_slice($lines, 0, self::MOST_SHOWN);
        $this->more = max(0, count($lines) - self::MOST_SHOWN);
        $this->files = count($plan->moves);
        $this->left = array_slice($plan->left, 0, self::MOST_SHOWN);
    }
}
