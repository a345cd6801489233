<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Specification;

/**
 * Finds which sequence, movie or file answers which part and pass. Names that fit exactly are found first, of all
 * parts, and without limit: those in the right folder and of the right kind before others. Then a file whose name
 * aligns with the pattern is that frame, in whatever folder; a second file for a frame that is there already is left
 * over. Where no name aligns, the sequence that does best otherwise is taken, so that a wrong name never hides what is
 * in the files.
 */
final readonly class Matcher
{
    /** @param  list<ExpectedFiles>  $expected */
    private function __construct(
        private Specification $specification,
        private Delivery $delivery,
        private array $expected,
        private Claims $claims,
        private NameReadings $names,
    ) {}

    /**
     * @param  FrameRange|null  $timeline  the animation's own range, where the scene tells it
     * @param  array<string, list<string>>  $others  values of other deliverables, by piece of a name
     */
    public static function match(
        Specification $specification,
        Delivery $delivery,
        ?FrameRange $timeline = null,
        array $others = [],
    ): DeliveryMatch {
        $expected = ExpectedFiles::all($specification, $timeline, $delivery->place);
        $matcher = new self($specification, $delivery, $expected, new Claims, new NameReadings($delivery));

        return $matcher->matched($others);
    }

    /** @param  array<string, list<string>>  $others */
    private function matched(array $others): DeliveryMatch
    {
        [$claims, $names] = [$this->claims, $this->names];
        // the largest first, so that a flood of odd names never keeps the frames from being read
        $groups = $this->delivery->groups;
        usort($groups, static fn (NameGroup $a, NameGroup $b): int => $b->count() <=> $a->count());
        $takes = (new ExactMatching($this->delivery, $groups, $claims, $names))->find($this->expected);
        $aligned = new AlignedMatching($groups, $claims, $names, $others);
        foreach ($this->expected as $n => $files) {
            $takes[$n] = [...$takes[$n], ...$aligned->find($files, $takes[$n])];
        }
        $fallback = new FallbackMatching($this->specification, $this->delivery, $groups, $claims, $names, $others);
        $passes = [];
        foreach ($this->expected as $n => $files) {
            $passes[$files->part->name][] = $this->pass($files, $takes[$n], $fallback);
        }
        $parts = (new OtherMedium($this->delivery, $claims, $names, $this->expected))->find($this->parts($passes));
        $extras = (new LeftOver($this->specification, $this->delivery, $claims, $names, $this->expected))->all();

        return new DeliveryMatch($parts, $extras, $this->delivery->odd, $names->unreadFiles($claims));
    }

    /** @param  list<Take>  $takes  what answers by its name */
    private function pass(ExpectedFiles $files, array $takes, FallbackMatching $fallback): PassMatch
    {
        $lone = false;
        if ($takes === []) {
            $takes = $fallback->lone($files);
            $lone = $takes !== [];
        }
        if ($takes === [] && $files->pass === null) {
            $takes = $fallback->best($files);
            $lone = $files->numbered && $takes !== [] && $takes[0]->sequence->column === null;
        }
        $frames = FoundFrames::of($this->delivery, $takes, $lone ? $files->expected?->first() : null);

        return new PassMatch($files->pass, $takes, $frames, $files->expected, $files->asking(), $lone);
    }

    /**
     * @param  array<string, list<PassMatch>>  $passes  by the name of the part
     * @return array<string, PartMatch>
     */
    private function parts(array $passes): array
    {
        $parts = [];
        foreach ($this->specification->parts as $part) {
            $parts[$part->name] = new PartMatch($part, self::overTheSameFrames($passes[$part->name] ?? []), null);
        }

        return $parts;
    }

    /**
     * Where no range is asked, several passes are expected over the frames that any of them has.
     *
     * @param  list<PassMatch>  $passes
     * @return list<PassMatch>
     */
    private static function overTheSameFrames(array $passes): array
    {
        $all = FrameRange::none();
        foreach ($passes as $pass) {
            if ($pass->expected === null && ($pass->takes[0]->sequence->column ?? null) !== null) {
                $all = $all->plus($pass->present);
            }
        }
        if (count($passes) < 2 || $all->isEmpty()) {
            return $passes;
        }

        return array_map(
            static fn (PassMatch $p): PassMatch => $p->expected !== null
                ? $p
                : new PassMatch($p->pass, $p->takes, $p->frames, $all, $p->pattern, $p->lone),
            $passes,
        );
    }
}
