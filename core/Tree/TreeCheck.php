<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree;

use PlainLedger\Core\Checking\Rules\ChecksumsRule;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Matching\MovieLook;
use PlainLedger\Core\Media\Pixels;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Report\CheckReport;

/** Checks a delivered tree that was scanned once against all that it may answer. */
final readonly class TreeCheck
{
    /**
     * @param  list<OwedDelivery>  $owed
     * @param  Listing  $listing  of the tree; files whose pixels or sums somebody asks about are opened once more
     * @param  \Closure(OwedDelivery): array<int, Pixels|null>  $approved  approved pictures, by frame
     */
    public function __construct(
        private array $owed,
        private Listing $listing,
        private Probe $probe,
        private \Closure $approved,
    ) {}

    /** @param  array<string, string>  $byHand  key of a deliverable by the place of what was assigned to it */
    public function of(Delivery $tree, array $byHand = []): TreeReport
    {
        $assignment = (new Assigner($this->owed, $tree))->assign($byHand);
        $rows = [];
        foreach ($this->owed as $one) {
            $units = $assignment->of($one->key);
            $files = array_sum(array_map(static fn (TreeUnit $unit): int => count($unit->rows), $units));
            $delivery = $this->delivery($one, $units, $tree);
            $rows[] = new TreeRow(
                $one,
                CheckReport::of($one->specification, null, $delivery, others: $this->valuesOfOthers($one)),
                $files,
                OwnFiles::base($one, $units, $tree),
            );
        }

        return new TreeReport($rows, $assignment);
    }

    /** @param  list<TreeUnit>  $units */
    private function delivery(OwedDelivery $one, array $units, Delivery $tree): Delivery
    {
        $sampler = PixelRules::sampler($one->specification, ($this->approved)($one));
        $sums = ChecksumsRule::isAskedBy($one->specification);
        $isHeldAgainst = MovieLook::isOwedBy($one->specification);
        if ($units === [] || ($sampler === null && ! $sums && ! $isHeldAgainst)) {
            return OwnFiles::of($one, $units, $tree);
        }
        $listing = SelectedListing::of($this->listing, $one, $units, $tree);
        $delivery = (new Scan($listing, $this->probe, $tree->depth, $sampler, $sums))->run($tree->scannedAt);

        return $isHeldAgainst ? MovieLook::at($one->specification, $delivery, $listing, $sampler) : $delivery;
    }

    /** @return array<string, list<string>> by piece of a name */
    private function valuesOfOthers(OwedDelivery $one): array
    {
        $others = [];
        foreach ($this->owed as $other) {
            foreach ($other->key === $one->key ? [] : $other->codes() as $piece => $value) {
                if ($value !== ($one->codes()[$piece] ?? null)) {
                    $others[$piece][$value] = $value;
                }
            }
        }

        return array_map(array_values(...), $others);
    }
}
