<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\User;
use App\Models\Waiver;
use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Waiver as Accepted;

/** Accepts an unequal line of a check as it is, and checks again by that. */
final readonly class AcceptLine
{
    public function __construct(private CheckReporting $reporting, private CheckAllAgain $again) {}

    /**
     * @param  \Closure(Entry): bool  $isThatLine
     * @param  bool  $forAll  whether it holds for all that follow the specification
     * @return Accepted|null null where there is no such line, or it is not unequal
     */
    public function run(Check $check, \Closure $isThatLine, string $reason, bool $forAll, User $by): ?Accepted
    {
        $entries = array_filter(
            $this->reporting->asItWas($check)->check->entries,
            static fn (Entry $entry): bool => $entry->isUnequal() && $isThatLine($entry),
        );
        $entry = array_values($entries)[0] ?? null;
        if ($entry === null) {
            return null;
        }
        $deliverable = $check->deliverable;
        $accepted = Accepted::of($entry, $reason);
        Waiver::query()->create([
            'production_id' => $deliverable->production_id,
            'specification_id' => $forAll ? $deliverable->specification_id : null,
            'deliverable_id' => $forAll ? null : $deliverable->id,
            'user_id' => $by->id,
            'entry' => $accepted->line->id,
            'part' => $accepted->line->part,
            'pass' => $accepted->line->pass,
            'required' => $accepted->line->required,
            'accepted' => $accepted->accepted,
            'reason' => $accepted->reason,
        ]);
        $this->again->run($deliverable, $forAll, $by);

        return $accepted;
    }
}
