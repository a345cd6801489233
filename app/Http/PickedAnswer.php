<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\Checks\AdvancePicked;
use App\Actions\Checks\KeepPicked;
use App\Intake\PickedFolder;
use App\Models\User;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\PlainSentence;

/**
 * What a browser is answered while it sends from its own disk: what has to come next, or in the end where the check
 * stands, or for somebody without a sign-in the check itself.
 */
final readonly class PickedAnswer
{
    public function __construct(private AdvancePicked $advance, private KeepPicked $keep) {}

    /**
     * @return array{ranges: object, sums: object, done: int, all: int, listed: bool}
     */
    public static function stillWanted(PickedFolder $folder): array
    {
        $wanted = $folder->wanted();

        return [
            'ranges' => (object) $wanted->ranges, 'sums' => (object) $wanted->sums,
            'done' => $folder->done(), 'all' => $folder->count(), 'listed' => $folder->isListed(),
        ];
    }

    /**
     * @param  \Closure(PickedFolder): void  $take  what was sent this time
     * @return array<string, mixed>
     *
     * @throws ValidationException
     */
    public function after(OpenedPicked $opened, ?User $by, \Closure $take): array
    {
        [$folder, $deliverable] = [$opened->folder, $opened->deliverable];
        try {
            $take($folder);
            $scanned = $folder->isListed() ? $this->advance->run($folder, $deliverable) : null;
            if ($scanned === null) {
                return self::stillWanted($folder);
            }
            $ended = $folder->link() === null && $by !== null
                ? ['check' => $this->keep->run($deliverable, $folder->label(), $scanned, $by)->id]
                : ['document' => $this->keep->answer($deliverable, $scanned)];
        } catch (PlainSentence $refused) {
            $folder->remove();
            throw ValidationException::withMessages(['folder' => $refused->getMessage()]);
        }
        $folder->remove();

        return ['ended' => true] + $ended;
    }
}
