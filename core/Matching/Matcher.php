<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\ChecksumList;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\NameReading;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/**
 * Finds which sequence, movie or file answers which part and pass. Names that fit exactly are found first, of all parts,
 * and without limit: those in the right folder and of the right kind before others. Then a file whose name aligns with
 * the pattern is that frame, in whatever folder; a second file for a frame that is there already is left over. Where no
 * name aligns, the sequence that does best otherwise is taken, so that a wrong name never hides what is in the files.
 */
final class Matcher
{
    /** Names that fit nothing are laid against patterns up to so many times; one takes up to some milliseconds. */
    private const MOST_READINGS = 2000;

    /** So many pictures in a row are frames. */
    private const MANY = 4;

    private int $readings = 0;

    /** @var array<int, true> groups whose names were not read for want of time, by object id */
    private array $unread = [];

    /** @var array<string, FrameRange|true> claimed numbers by group, column and first row; true for a whole file */
    private array $claimed = [];

    /** @var array<int, array{int|null, string, string}> by group: which number counts the frames in what was claimed of it */
    private array $split = [];

    /** @var array<string, list<Sequence>> by group and column: what has been split once */
    private array $sequences = [];

    /** @var list<NameGroup> the largest first, so that a flood of odd names never keeps the frames from being read */
    private readonly array $groups;

    /** Whether there is one file and no more. */
    private readonly bool $isAlone;

    /** @param  array<string, list<string>>  $others  values of other deliverables, by piece of a name */
    private function __construct(
        private readonly Specification $specification,
        private readonly Delivery $delivery,
        private readonly ?FrameRange $timeline,
        private readonly array $others,
    ) {
        $groups = $delivery->groups;
        usort($groups, static fn (NameGroup $a, NameGroup $b): int => $b->count() <=> $a->count());
        $this->groups = $groups;
        $this->isAlone = $delivery->fileCount() === 1;
    }

    /**
     * @param  FrameRange|null  $timeline  the animation's own range, where the scene tells it
     * @param  array<string, list<string>>  $others  values of other deliverables, by piece of a name
     */
    public static function match(Specification $specification, Delivery $delivery, ?FrameRange $timeline = null, array $others = []): DeliveryMatch
    {
        $matcher = new self($specification, $delivery, $timeline, $others);
        $owed = $matcher->owed();
        $takes = $matcher->exact($owed);
        foreach ($owed as $n => $files) {
            $takes[$n] = [...$takes[$n], ...$matcher->aligned($files, $takes[$n])];
        }
        $lone = [];
        foreach ($owed as $n => $files) {
            if ($takes[$n] === []) {
                $takes[$n] = $matcher->lone($files);
                $lone[$n] = $takes[$n] !== [];
            }
            if ($takes[$n] === [] && $files->pass === null) {
                $takes[$n] = $matcher->fallback($files);
                $lone[$n] = array_filter(
                    $takes[$n],
                    static fn (Take $t): bool => $files->numbered && $t->sequence->column === null,
                ) !== [];
            }
        }
        $parts = $matcher->parts($owed, $takes, $lone);
        [$parts, $instead] = $matcher->instead($parts);

        return new DeliveryMatch($parts, $matcher->extras($instead), $delivery->odd, $matcher->unreadFiles());
    }

    /** @return list<ExpectedFiles> */
    private function owed(): array
    {
        $owed = [];
        foreach ($this->specification->parts as $part) {
            $passes = $part->passesByFiles() ? $part->passes() : [null];
            $values = $this->specification->pieceValues($part);
            foreach ($passes as $pass) {
                $own = $part->ofPass($pass);
                $named = $pass === null
                    ? $values
                    : ($own === $part ? $values : $this->specification->pieceValues($own))->with('pass', $pass);
                $owed[] = new ExpectedFiles(
                    $own,
                    $pass,
                    $named,
                    $this->timeline,
                    array_values(array_filter($passes, static fn (?string $p): bool => $p !== null && $p !== $pass)),
                    $this->delivery->root,
                );
            }
        }

        return $owed;
    }

    /**
     * @param  list<ExpectedFiles>  $owed
     * @param  array<int, list<Take>>  $takes
     * @param  array<int, bool>  $lone
     * @return array<string, PartMatch>
     */
    private function parts(array $owed, array $takes, array $lone): array
    {
        $byPart = [];
        foreach ($owed as $n => $files) {
            $frames = FoundFrames::of(
                $this->delivery,
                $takes[$n],
                ($lone[$n] ?? false) ? $files->expected?->first() : null,
            );
            $byPart[$files->part->name][] = new PassMatch(
                $files->pass,
                $takes[$n],
                $frames,
                $files->expected,
                $files->asking(),
                $lone[$n] ?? false,
            );
        }
        $parts = [];
        foreach ($this->specification->parts as $part) {
            $parts[$part->name] = new PartMatch($part, self::overTheSameFrames($byPart[$part->name] ?? []), null);
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
            if ($pass->expected !== null || $pass->takes === [] || $pass->takes[0]->sequence->column === null) {
                continue;
            }
            $all = $all->plus($pass->present);
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

    /**
     * What fits exactly: in its folder and of its kind, then wherever it lies, then of another kind.
     *
     * @param  list<ExpectedFiles>  $owed
     * @return list<list<Take>>
     */
    private function exact(array $owed): array
    {
        $candidates = array_map($this->exactCandidates(...), $owed);
        $takes = array_map(static fn (): array => [], $owed);
        foreach ([[true, true], [false, true], [true, false], [false, false]] as $turn) {
            foreach ($owed as $n => $files) {
                $now = array_values(
                    array_filter(
                        $candidates[$n],
                        fn (Take $t): bool => [$t->folderFits, $files->asksFor($this->kindOf($t->sequence))] === $turn,
                    ),
                );
                $takes[$n] = [...$takes[$n], ...$this->claim($now, $files->numbered, $takes[$n])];
            }
        }

        return $takes;
    }

    /** @return list<Take> */
    private function exactCandidates(ExpectedFiles $files): array
    {
        $takes = [];
        foreach ($files->pattern === null ? [] : $this->groups as $group) {
            if (! $this->couldAnswer($group, $files->part) || ! $files->mayLieIn($group->folder)) {
                continue;
            }
            $name = $files->exactName(
                $this->extensions($files->part, $this->delivery->factsOf($group, 0), $group->name(0)),
            );
            $shape = $name?->shapeOf($group->name(0));
            if ($name === null || $shape === null || ($files->numbered && $shape->digitRun === null)) {
                continue;
            }
            foreach ($this->sequences(
                $group,
                $files->numbered ? $shape->digitRun : null,
                $shape->lead,
                $shape->trail,
            ) as $sequence) {
                $reading = $name->read($sequence->sampleName());
                if ($reading !== null && ($sequence->column !== null) === $files->numbered) {
                    $takes[] = new Take($sequence, $reading, $files->folderFits($group->folder), $sequence->frames);
                }
            }
        }
        usort($takes, self::nearer(...));

        return $takes;
    }

    private function kindOf(Sequence $sequence): ?Kind
    {
        return $this->delivery->factsOf($sequence->group, $sequence->rows[0])->kind
            ?? Kind::fromExtension(Extension::of($sequence->sampleName()));
    }

    private static function nearer(Take $a, Take $b): int
    {
        return [
            $a->reading->cost ?? 0,
            ! $a->folderFits,
            -$a->sequence->count(),
            substr_count($a->sequence->folder(), '/'),
            $a->sequence->folder(),
            $a->sequence->pattern(),
        ]
            <=> [
                $b->reading->cost ?? 0,
                ! $b->folderFits,
                -$b->sequence->count(),
                substr_count($b->sequence->folder(), '/'),
                $b->sequence->folder(),
                $b->sequence->pattern(),
            ];
    }

    /** @return list<Sequence> */
    private function sequences(NameGroup $group, ?int $column, string $lead = '', string $trail = ''): array
    {
        if ($column !== null && $column >= $group->columnCount()) {
            return [];
        }

        return $this->sequences[implode(':', [spl_object_id($group), $column ?? '', $lead, $trail])] ??= Sequence::of(
            $group,
            $column,
            $lead,
            $trail,
        );
    }

    /**
     * Sequences whose names align with the pattern, for frames that no exact name holds.
     *
     * @param  list<Take>  $exact
     * @return list<Take>
     */
    private function aligned(ExpectedFiles $files, array $exact): array
    {
        $have = self::framesOf($exact);
        if (
            $files->pattern === null
            || (! $files->numbered && $exact !== [])
            || ($exact !== [] && $files->expected !== null && $have->covers($files->expected))
        ) {
            return [];
        }
        $candidates = [];
        foreach ($this->groups as $group) {
            if (
                $this->couldAnswer($group, $files->part)
                && $files->mayLieIn($group->folder)
                && ! $this->isWhollyTaken($group)
            ) {
                $candidates = [...$candidates, ...$this->alignedOf($group, $files)];
            }
        }
        usort($candidates, self::nearer(...));
        if ($exact !== []) {
            // another version that has frames which are there properly too is a take of its own
            $candidates = array_values(
                array_filter(
                    $candidates,
                    static fn (Take $t): bool => ! self::isAnotherVersion($t) || $t->frames->and($have)->isEmpty(),
                ),
            );
            $candidates = array_map(
                static fn (Take $t): Take => $files->expected === null
                    ? $t
                    : $t->answering($t->frames->and($files->expected)),
                $candidates,
            );
        }

        return $this->claim($candidates, $files->numbered, $exact);
    }

    /** @return list<Take> */
    private function alignedOf(NameGroup $group, ExpectedFiles $files): array
    {
        $facts = $this->delivery->factsOf($group, 0);
        $reading = $this->readName($files, $group, $group->name(0), $facts);
        if ($reading === null) {
            return [];
        }
        $column = $files->numbered ? $reading->digitRun : null;
        // a group whose first name is of another take may hold names that do align
        if (
            (! $reading->aligns() && $group->columnCount() < 2 && $group->count() === 1)
            || ($files->numbered && $column === null)
        ) {
            return [];
        }
        $takes = [];
        foreach ($this->sequences($group, $column) as $sequence) {
            if (isset($this->claimed[$this->key($sequence)])) {
                continue;
            }
            $own = $this->readName(
                $files,
                $group,
                $sequence->sampleName(),
                $this->delivery->factsOf($group, $sequence->rows[0]),
            );
            if (
                $own !== null
                && $own->aligns()
                && (! $files->numbered || $own->digitRun !== null)
                && ! $own->isOfAnother($this->others)
            ) {
                $takes[] = new Take($sequence, $own, $files->folderFits($group->folder), $sequence->frames);
            }
        }

        return $takes;
    }

    private static function isAnotherVersion(Take $take): bool
    {
        foreach ($take->reading->pieces ?? [] as $piece) {
            if (in_array(Difference::Version, $piece->differences, true)) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Take>  $takes */
    private static function framesOf(array $takes): FrameRange
    {
        return array_reduce(
            $takes,
            static fn (FrameRange $all, Take $t): FrameRange => $all->plus($t->frames),
            FrameRange::none(),
        );
    }

    /** Null where there was no time left to read it. */
    private function readName(ExpectedFiles $files, NameGroup $group, string $name, MediaFacts $facts): ?NameReading
    {
        if ($this->readings >= self::MOST_READINGS) {
            $this->unread[spl_object_id($group)] = true;

            return null;
        }
        $this->readings++;

        return $files->pattern?->read(
            $name,
            $files->values->withExtensions($this->extensions($files->part, $facts, $name)),
        );
    }

    /**
     * The extensions that are right for a file: the usual one of its own kind. Where its kind is not the one asked, that
     * is the format's matter, and the usual one of an asked kind will do as well.
     *
     * @return list<string>
     */
    private function extensions(Part $part, MediaFacts $facts, string $name): array
    {
        $asked = array_map(static fn (Kind $k): string => $k->usualExtension(), $part->kinds());
        if ($part->delivers === Delivers::File) {
            // a companion file's extension stands in its pattern
            $own = strtolower(Extension::of($name));

            return $asked === [] && $own !== '' ? [$own] : $asked;
        }
        if ($facts->kind === null) {
            return $asked === [] ? [strtolower(Extension::of($name))] : $asked;
        }
        if ($asked === [] || in_array($facts->kind, $part->kinds(), true)) {
            return [$facts->kind->usualExtension()];
        }

        return [$facts->kind->usualExtension(), ...$asked];
    }

    /** Whether files of the group can be of the part: by content, or where that is broken, by their extension. */
    private function couldAnswer(NameGroup $group, Part $part): bool
    {
        for ($row = 0; $row < min(20, $group->count()); $row++) {
            $kind = $this->delivery->factsOf($group, $row)->kind
                ?? Kind::fromExtension(Extension::of($group->name($row)));
            $right = match ($part->delivers) {
                Delivers::Frames, Delivers::Still => $kind?->isPicture() ?? false,
                Delivers::Movie => $kind?->isMovie() ?? false,
                Delivers::File => true,
            };
            if ($right) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Take>  $candidates  the nearest first
     * @param  list<Take>  $before  what answers already
     * @return list<Take> no two answering one number
     */
    private function claim(array $candidates, bool $numbered, array $before = []): array
    {
        $takes = [];
        $have = self::framesOf($before);
        foreach ($candidates as $candidate) {
            $key = $this->key($candidate->sequence);
            $claimed = $this->claimed[$key] ?? FrameRange::none();
            if (! $numbered) {
                if ($takes === [] && $before === [] && ! isset($this->claimed[$key])) {
                    $takes[] = $this->taken($candidate->answering(FrameRange::of(0, 0)), true);
                }

                continue;
            }
            $new = $claimed === true ? FrameRange::none() : $candidate->frames->minus($have)->minus($claimed);
            if (! $new->isEmpty()) {
                $takes[] = $this->taken($candidate->answering($new), $claimed === true ? $new : $claimed->plus($new));
                $have = $have->plus($new);
            }
        }

        return $takes;
    }

    private function taken(Take $take, FrameRange|true $claimed): Take
    {
        $this->claimed[$this->key($take->sequence)] = $claimed;
        $this->split[spl_object_id($take->sequence->group)] ??= [
            $take->sequence->column,
            $take->sequence->lead,
            $take->sequence->trail,
        ];

        return $take;
    }

    /**
     * One picture without a number, where frames are asked: it is one frame of them, whichever.
     *
     * @return list<Take>
     */
    private function lone(ExpectedFiles $files): array
    {
        if (
            ! $files->numbered
            || $files->part->delivers !== Delivers::Frames
            || $files->pattern === null
            || ($files->expected !== null && count($files->expected) < 2)
        ) {
            return [];
        }
        foreach ($this->groups as $group) {
            $id = spl_object_id($group);
            if (
                $group->count() !== 1
                || isset($this->split[$id])
                || ! $this->couldAnswer($group, $files->part)
                || ! $files->mayLieIn($group->folder)
            ) {
                continue;
            }
            $name = $files->exactName(
                $this->extensions($files->part, $this->delivery->factsOf($group, 0), $group->name(0)),
                false,
            );
            if ($name?->read($group->name(0)) !== null) {
                return [$this->asOneOf($files, $group)];
            }
        }

        return [];
    }

    private function asOneOf(ExpectedFiles $files, NameGroup $group): Take
    {
        $sequence = $this->sequences($group, null)[0];
        $first = $files->expected?->first() ?? 1;

        return $this->taken(
            new Take(
                $sequence,
                $this->readName($files, $group, $group->name(0), $this->delivery->factsOf($group, 0)),
                $files->folderFits($group->folder),
                FrameRange::of($first, $first),
            ),
            true,
        );
    }

    /**
     * The sequence that answers best by what it holds, where no name says so. What is plainly another deliverable's is
     * not taken.
     *
     * @return list<Take>
     */
    private function fallback(ExpectedFiles $files): array
    {
        if ($files->part->delivers === Delivers::File) {
            return [];
        }
        $best = null;
        $score = [];
        foreach ($this->delivery->groups as $group) {
            if (! $this->couldAnswer($group, $files->part) || (! $files->numbered && $this->isOfFrames($group))) {
                continue;
            }
            foreach ($this->sequences($group, $files->numbered ? Sequence::likelyColumn($group) : null) as $sequence) {
                if (
                    isset($this->claimed[$this->key($sequence)])
                    || (! $files->numbered && isset($this->split[spl_object_id($group)]))
                ) {
                    continue;
                }
                $own = $this->score($files, $sequence);
                if ($own !== null && $own > $score && ! $this->isOfAnother($files, $sequence)) {
                    [$best, $score] = [$sequence, $own];
                }
            }
        }
        if ($best === null) {
            return [];
        }
        if ($files->numbered && $this->isOneWithoutNumber($files, $best)) {
            return [$this->asOneOf($files, $best->group)];
        }
        $reading = $this->readName(
            $files,
            $best->group,
            $best->sampleName(),
            $this->delivery->factsOf($best->group, $best->rows[0]),
        );
        $take = new Take(
            $best,
            $reading,
            $files->folderFits($best->folder()),
            $files->numbered ? $best->frames : FrameRange::of(0, 0),
        );

        return [$this->taken($take, $files->numbered ? $take->frames : true)];
    }

    /** Frames whose name is nearer to one that is asked of frames than to the movie's: of an older take, or another pass. */
    private function isOfOwedFrames(Sequence $sequence, Part $movie): bool
    {
        $facts = $this->delivery->factsOf($sequence->group, $sequence->rows[0]);
        $costs = [];
        foreach ($this->owed() as $files) {
            if ($files->numbered || $files->part->name === $movie->name) {
                $reading = $this->readName($files, $sequence->group, $sequence->sampleName(), $facts);
                $costs[(int) $files->numbered][] = $reading->cost ?? PHP_INT_MAX;
            }
        }

        return isset($costs[1]) && min($costs[1]) <= min([PHP_INT_MAX, ...$costs[0] ?? []]);
    }

    /** Many pictures numbered in a row, where frames are owed too: they are frames, if of another take, and none is a still. */
    private function isOfFrames(NameGroup $group): bool
    {
        $owesFrames = array_filter(
            $this->specification->parts,
            static fn (Part $p): bool => $p->delivers === Delivers::Frames,
        ) !== [];
        $column = $owesFrames && $group->count() >= self::MANY ? Sequence::likelyColumn($group) : null;

        return $column !== null && count($this->sequences($group, $column)[0]->frames) >= self::MANY;
    }

    /** @return list<int>|null the higher the better; null where it is none */
    private function score(ExpectedFiles $files, Sequence $sequence): ?array
    {
        if (
            $files->numbered
            && ! $this->isAlone
            && (
                $sequence->column === null
                || ($sequence->count() < 2 && ($files->expected === null || count($files->expected) > 1))
            )
        ) {
            return null;
        }

        return [
            $files->asksFor($this->delivery->factsOf($sequence->group, $sequence->rows[0])->kind) ? 1 : 0,
            $files->expected === null ? 0 : count($sequence->frames->and($files->expected)),
            $sequence->count(),
            -substr_count($sequence->folder(), '/'),
        ];
    }

    private function isOfAnother(ExpectedFiles $files, Sequence $sequence): bool
    {
        $reading = $this->readName(
            $files,
            $sequence->group,
            $sequence->sampleName(),
            $this->delivery->factsOf($sequence->group, $sequence->rows[0]),
        );

        return $reading !== null && $reading->isNear() && $reading->isOfAnother($this->others);
    }

    /** A single file whose digits, if it has any, are no number of a frame that is asked. */
    private function isOneWithoutNumber(ExpectedFiles $files, Sequence $sequence): bool
    {
        return $sequence->count() === 1 && ($files->expected === null || count($files->expected) > 1)
            && (
                $sequence->column === null
                || ($files->expected !== null && $sequence->frames->and($files->expected)->isEmpty())
            );
    }

    /**
     * A movie where frames are asked and none came, and the other way round.
     *
     * @param  array<string, PartMatch>  $parts
     * @return array{array<string, PartMatch>, array<string, true>} and the files taken, by key
     */
    private function instead(array $parts): array
    {
        $taken = [];
        foreach ($parts as $name => $match) {
            if (! $match->isEmpty() || $match->part->delivers === Delivers::File) {
                continue;
            }
            $wantsMovie = $match->part->delivers === Delivers::Movie;
            foreach ($this->delivery->groups as $group) {
                $kind = $this->delivery->factsOf($group, 0)->kind;
                if (
                    $kind === null
                    || ($wantsMovie ? ! $kind->isPicture() || $group->count() < 2 : ! $kind->isMovie())
                ) {
                    continue;
                }
                foreach ($this->sequences($group, $wantsMovie ? Sequence::likelyColumn($group) : null) as $sequence) {
                    if (
                        ! isset($this->claimed[$this->key($sequence)])
                        && ! isset($this->split[spl_object_id($group)])
                        && ! isset($taken[$this->key($sequence)])
                        && ! ($wantsMovie && $this->isOfOwedFrames($sequence, $match->part))
                    ) {
                        $taken[$this->key($sequence)] = true;
                        $this->split[spl_object_id($group)] = [$sequence->column, '', ''];
                        $parts[$name] = new PartMatch(
                            $match->part,
                            $match->passes,
                            [
                                'path' => ($group->folder === '' ? '' : $group->folder.'/').$sequence->pattern(),
                                'kind' => $kind,
                            ],
                        );
                        break 2;
                    }
                }
            }
        }

        return [$parts, $taken];
    }

    /**
     * @param  array<string, true>  $taken
     * @return list<Extra>
     */
    private function extras(array $taken): array
    {
        $checksums = false;
        foreach ($this->specification->parts as $part) {
            $checksums = $checksums || $part->find(RequirementId::DELIVERY_CHECKSUMS) !== null;
        }
        $extras = [];
        foreach ($this->delivery->groups as $group) {
            $id = spl_object_id($group);
            // only pictures make sequences; notes and logs are single files however they are numbered
            $pictures = $group->count() > 1 && ($this->delivery->factsOf($group, 0)->kind?->isPicture() ?? false);
            [$column, $lead, $trail] = $this->split[$id] ?? [$pictures ? Sequence::likelyColumn($group) : null, '', ''];
            foreach ($this->sequences($group, $column, $lead, $trail) as $sequence) {
                $key = $this->key($sequence);
                $claimed = $this->claimed[$key] ?? null;
                $facts = $this->delivery->factsOf($group, $sequence->rows[0]);
                if (
                    $claimed === true
                    || isset($taken[$key])
                    || (
                        $checksums
                        && $facts->kind === null
                        && ChecksumList::isNamedSo($group->name($sequence->rows[0]))
                    )
                ) {
                    continue;
                }
                $left = $sequence->column === null
                    ? FrameRange::of(0, 0)
                    : $sequence->frames->minus($claimed ?? FrameRange::none());
                if (! $left->isEmpty()) {
                    $extras[] = new Extra($sequence, $left, $facts->kind, $this->secondReading($sequence, $facts));
                }
            }
        }

        return $extras;
    }

    /** How a left-over name reads by the pattern of a part it could have been meant for. */
    private function secondReading(Sequence $sequence, MediaFacts $facts): ?NameReading
    {
        $best = null;
        foreach ($this->owed() as $files) {
            if (
                $files->pattern === null
                || $this->readings >= self::MOST_READINGS
                || ! $this->couldAnswer($sequence->group, $files->part)
            ) {
                continue;
            }
            $reading = $this->readName($files, $sequence->group, $sequence->sampleName(), $facts);
            $best = $reading !== null && $reading->isNear() && ($best === null || $reading->cost < $best->cost)
                ? $reading
                : $best;
        }

        return $best;
    }

    /** How many files' names were not read. */
    private function unreadFiles(): int
    {
        $files = 0;
        foreach ($this->delivery->groups as $group) {
            $id = spl_object_id($group);
            $files += isset($this->unread[$id]) && ! isset($this->split[$id]) ? $group->count() : 0;
        }

        return $files;
    }

    /** Whether nothing of a group that was claimed is left. */
    private function isWhollyTaken(NameGroup $group): bool
    {
        [$column, $lead, $trail] = $this->split[spl_object_id($group)] ?? [null, '', ''];
        if (! isset($this->split[spl_object_id($group)])) {
            return false;
        }
        foreach ($this->sequences($group, $column, $lead, $trail) as $sequence) {
            $claimed = $this->claimed[$this->key($sequence)] ?? null;
            if ($claimed !== true && ($claimed === null || ! $claimed->covers($sequence->frames))) {
                return false;
            }
        }

        return true;
    }

    private function key(Sequence $sequence): string
    {
        return spl_object_id($sequence->group).':'.($sequence->column ?? '').':'.$sequence->rows[0];
    }
}
