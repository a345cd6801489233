<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\User;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Remedy\FileMoves\MovePlan;
use PlainLedger\Core\Remedy\FileMoves\MovePlanner;
use PlainLedger\Core\Remedy\FileMoves\MoveRefused;

/** What a check says of names and places, file by file, as the folder is now. */
final readonly class PlanMoves
{
    /** More are handed out as a script, or done at the console. */
    private const MOST_FILES = 200_000;

    /**
     * @throws FolderRefused
     * @throws MoveRefused where the folder is otherwise than the check tells
     */
    public function run(Check $check, User $by, string $mark): MovePlan
    {
        $folder = CheckedFolder::of($check, $by);
        if ($folder->isArchive()) {
            throw MoveRefused::because($check->delivery->folder ?? '', 'is an archive; unpack it first');
        }
        if (($check->delivery->file_count ?? 0) > self::MOST_FILES) {
            throw MoveRefused::because('', 'there are too many files to do it here; at the console there are not');
        }
        /** @var list<array<string, mixed>> $fixes */
        $fixes = $check->account()['fixes'] ?? [];

        return MovePlanner::plan($fixes, $folder->listing(), $mark);
    }
}
