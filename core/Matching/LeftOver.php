<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\ChecksumList;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Naming\NameReading;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** Files that answer nothing. Lists of checksums belong to what asks for them. */
final readonly class LeftOver
{
    /** @param  list<ExpectedFiles>  $expected */
    public function __construct(
        private Specification $specification,
        private Delivery $delivery,
        private Claims $claims,
        private NameReadings $names,
        private array $expected,
    ) {}

    /** @return list<Extra> */
    public function all(): array
    {
        $asks = static fn (Part $part): bool => $part->find(RequirementId::DELIVERY_CHECKSUMS) !== null;
        $checksums = array_filter($this->specification->parts, $asks) !== [];
        $extras = [];
        foreach ($this->delivery->groups as $group) {
            foreach ($this->claims->sequences($group, ...$this->splitOf($group)) as $sequence) {
                $left = $this->leftOf($sequence);
                if (! $left->isEmpty() && ! ($checksums && $this->isChecksumList($sequence))) {
                    $kind = $this->delivery->kindAmong($sequence->group, $sequence->rows);
                    $extras[] = new Extra($sequence, $left, $kind, $this->nearestReading($sequence));
                }
            }
        }

        return $extras;
    }

    /** @return array{int|null, string, string} only pictures make sequences; notes and logs are single files */
    private function splitOf(NameGroup $group): array
    {
        $pictures = $group->count() > 1 && (($this->delivery->kindsOf($group)[0] ?? null)?->isPicture() ?? false);

        return $this->claims->splitOf($group) ?? [$pictures ? Sequence::likelyColumn($group) : null, '', ''];
    }

    private function leftOf(Sequence $sequence): FrameRange
    {
        $claimed = $this->claims->of($sequence);
        if ($claimed === true) {
            return FrameRange::none();
        }

        return $sequence->column === null
            ? FrameRange::of(0, 0)
            : $sequence->frames->minus($claimed ?? FrameRange::none());
    }

    private function isChecksumList(Sequence $sequence): bool
    {
        $row = $sequence->rows[0];

        return $this->delivery->factsOf($sequence->group, $row)->kind === null
            && (ChecksumList::isNamedSo($sequence->group->name($row))
                || ChecksumList::isChain($sequence->group->listed($row)->path()));
    }

    /** How a left-over name reads by the pattern of a part it could have been meant for. */
    private function nearestReading(Sequence $sequence): ?NameReading
    {
        $best = null;
        foreach ($this->expected as $files) {
            $mayBe = $files->pattern !== null && $this->names->hasTime();
            $reading = $mayBe && $this->names->couldAnswer($sequence->group, $files->part)
                ? $this->names->read($files, $sequence)
                : null;
            if ($reading !== null && $reading->isNear() && ($best === null || $reading->cost < $best->cost)) {
                $best = $reading;
            }
        }

        return $best;
    }
}
