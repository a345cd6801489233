<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\User;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\RecordedListing;
use PlainLedger\Core\Remedy\FileMoves\MovePlan;
use PlainLedger\Core\Remedy\FileMoves\MovePlanner;
use PlainLedger\Core\Remedy\FileMoves\MoveRefused;
use PlainLedger\Core\Text\PlainSentence;

/**
 * What a check says of names and places, file by file: as its folder is now, or, of an archive and of somebody's own
 * disk, as it was.
 */
final readonly class PlanMoves
{
    /** More are handed out as a script, or done at the console. */
    private const MOST_FILES = 200_000;

    /**
     * @throws PlainSentence
     * @throws MoveRefused where the folder is otherwise than the check tells
     */
    public function run(Check $check, User $by, string $mark): MovePlan
    {
        if (($check->delivery->file_count ?? 0) > self::MOST_FILES) {
            throw MoveRefused::because('', 'there are too many files to do it here; at the console there are not');
        }
        /** @var list<array<string, mixed>> $fixes */
        $fixes = $check->account()['fixes'] ?? [];

        return MovePlanner::plan($fixes, self::listing($check, $by), $mark);
    }

    /**
     * As the files are now; where they cannot be reached from here, as they were.
     *
     * @throws PlainSentence
     */
    private static function listing(Check $check, User $by): Listing
    {
        $delivery = $check->delivery;
        if ($delivery !== null && ! $delivery->isInFolder()) {
            return new RecordedListing($delivery->scanned());
        }

        return CheckedFolder::of($check, $by)->listing();
    }
}
