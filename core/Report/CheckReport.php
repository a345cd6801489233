<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Checking\Check;
use PlainLedger\Core\Checking\Checker;
use PlainLedger\Core\Checking\DeliveredFiles;
use PlainLedger\Core\Checking\EarlierFiles;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Checking\Waiver;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Diagnosis\Diagnostician;
use PlainLedger\Core\Matching\DeliveryMatch;
use PlainLedger\Core\Matching\Matcher;
use PlainLedger\Core\Remedy\Remedy;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Specification;

/** Everything one check comes to: its lines, their causes, the work that puts it right. Reports are written from it. */
final readonly class CheckReport
{
    /** @param  list<Cause>  $causes */
    private function __construct(
        public Specification $specification,
        public ?SceneSettings $scene,
        public ?Delivery $delivery,
        public ?DeliveryMatch $match,
        public Check $check,
        public array $causes,
        public Remedy $remedy,
    ) {}

    /**
     * @param  list<Waiver>  $waivers
     * @param  array<string, list<string>>  $others  values of other deliverables, by piece of a name: `shot`, `learner`
     *
     * @throws \InvalidArgumentException if neither scene nor delivery is given
     */
    public static function of(
        Specification $specification,
        ?SceneSettings $scene,
        ?Delivery $delivery,
        array $waivers = [],
        ?EarlierFiles $earlier = null,
        array $others = [],
    ): self {
        if ($scene === null && $delivery === null) {
            throw new \InvalidArgumentException('A check needs scene settings, files or both.');
        }
        $match = $delivery === null ? null : Matcher::match($specification, $delivery, $scene?->timeline, $others);
        $files = new DeliveredFiles($delivery, $match, $earlier, $others);
        $check = Checker::standard()->check($specification, $scene, $files, $waivers);
        $causes = Diagnostician::standard()->diagnose($check);

        return new self($specification, $scene, $delivery, $match, $check, $causes, Remedy::of($check, $causes));
    }

    /** @return list<string> the parts that the scene makes */
    public function partsOfScene(): array
    {
        return array_values(
            array_map(
                static fn (Subject $s): string => $s->part->name,
                array_filter($this->check->subjects, static fn (Subject $s): bool => $s->scene !== null),
            ),
        );
    }

    /**
     * The `plain-ledger/check` document, version 1.
     *
     * @return array<string, mixed>
     */
    public function toArray(): array
    {
        return (new CheckDocument($this))->toArray();
    }
}
