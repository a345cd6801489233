<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\NameReading;
use PlainLedger\Core\Naming\PieceValues;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;

/**
 * Finds which sequence, movie or file answers which part and pass. A file whose name fits the pattern, or aligns with
 * it, is that frame, in whatever folder; a second file for a frame that is there already is left over. Where no name
 * aligns, the sequence that does best otherwise is taken, so that a wrong name never hides what is in the files.
 */
final class Matcher
{
    /** Odd names are read by the pattern up to so many groups; reading takes some milliseconds each. */
    private const MOST_READINGS = 600;

    private int $readings = 0;

    /** @var array<string, FrameRange|true> claimed numbers by group, column and first row; true for a whole file */
    private array $claimed = [];

    /** @var array<string, list<Sequence>> by group and column: what has been split once */
    private array $sequences = [];

    private function __construct(private readonly Specification $specification, private readonly Delivery $delivery, private readonly ?FrameRange $timeline) {}

    /** @param  FrameRange|null  $timeline the animation's own range, where the scene tells it */
    public static function match(Specification $specification, Delivery $delivery, ?FrameRange $timeline = null): DeliveryMatch
    {
        $matcher = new self($specification, $delivery, $timeline);
        $parts = [];
        // movies and stills are told by their kind first, so that a frames part does not take them for strays
        foreach ($specification->parts as $part) {
            $parts[$part->name] = $matcher->part($part);
        }
        [$parts, $instead] = $matcher->instead($parts);

        return new DeliveryMatch($parts, $matcher->extras($instead), $delivery->odd);
    }

    private function part(Part $part): PartMatch
    {
        $whole = $part;
        $values = $this->specification->pieceValues($part);
        $names = $part->passesByFiles() ? $part->passes() : [null];
        $passes = [];
        $pattern = null;
        $numbered = false;
        foreach ($names as $pass) {
            $part = $whole->ofPass($pass);
            $source = $part->single('naming.pattern');
            $pattern = $source === null ? null : NamePattern::parse($source);
            $folder = $part->single('naming.folder');
            $numbered = $part->delivers === Delivers::Frames || ($pattern !== null && $pattern->has('frame'));
            $own = $pass === null ? $values : ($part === $whole ? $values : $this->specification->pieceValues($part))->with('pass', $pass);
            $candidates = $this->candidates($part, $pattern, $folder, $own, $numbered);
            $takes = $this->claim($candidates, $numbered);
            $expected = $numbered ? $part->expected($this->timeline) : null;
            $asking = $pattern === null ? '' : $pattern->make($own->withExtensions($own->extensions === [] ? ['*'] : $own->extensions));
            $passes[] = new PassMatch($pass, $takes, FoundFrames::of($this->delivery, $takes), $expected, $asking);
        }
        if ($names === [null] && $this->isNothing($passes[0])) {
            $takes = $this->fallback($part, $pattern, $values, $numbered);
            $passes = [new PassMatch(null, $takes, FoundFrames::of($this->delivery, $takes), $passes[0]->expected, $passes[0]->pattern)];
        }

        return new PartMatch($whole, $passes, null);
    }

    /** @return list<Sequence> */
    private function sequences(NameGroup $group, ?int $column): array
    {
        return $this->sequences[spl_object_id($group).':'.($column ?? '')] ??= Sequence::of($group, $column);
    }

    private function isNothing(PassMatch $pass): bool
    {
        return $pass->takes === [];
    }

    /**
     * Sequences whose names fit the pattern or align with it, the nearest first.
     *
     * @return list<Take>
     */
    private function candidates(Part $part, ?NamePattern $pattern, ?string $folder, PieceValues $values, bool $numbered): array
    {
        if ($pattern === null) {
            return [];
        }
        $candidates = [];
        // the largest first, so that a flood of odd names never keeps the frames from being read
        $groups = $this->delivery->groups;
        usort($groups, static fn (NameGroup $a, NameGroup $b): int => $b->count() <=> $a->count());
        foreach ($groups as $group) {
            if ($this->readings > self::MOST_READINGS || ! $this->couldAnswer($group, $part)) {
                continue;
            }
            $sample = $group->name(0);
            $reading = $this->readName($pattern, $sample, $values, $part, $this->delivery->factsOf($group, 0));
            $column = $numbered ? $reading->digitRun : null;
            // a group whose first name is of another take may hold names that do align
            if (! $reading->aligns() && $group->columnCount() < 2 && $group->count() === 1) {
                continue;
            }
            if ($numbered && ($column === null || $column >= $group->columnCount())) {
                continue;
            }
            foreach (array_slice($this->sequences($group, $column), 0, max(1, self::MOST_READINGS - $this->readings)) as $sequence) {
                $own = $this->readName($pattern, $sequence->sampleName(), $values, $part, $this->delivery->factsOf($group, $sequence->rows[0]));
                if ($own->aligns() && (! $numbered || $own->digitRun !== null)) {
                    $fits = $folder === null || NamePattern::parse($folder)->matchesFolder($group->folder, $values);
                    $candidates[] = new Take($sequence, $own, $fits, $sequence->frames);
                }
            }
        }
        usort($candidates, static fn (Take $a, Take $b): int => [$a->reading->cost ?? 0, ! $a->folderFits, -$a->sequence->count(), substr_count($a->sequence->folder(), '/'), $a->sequence->folder(), $a->sequence->pattern()]
            <=> [$b->reading->cost ?? 0, ! $b->folderFits, -$b->sequence->count(), substr_count($b->sequence->folder(), '/'), $b->sequence->folder(), $b->sequence->pattern()]);

        return $candidates;
    }

    private function readName(NamePattern $pattern, string $name, PieceValues $values, Part $part, MediaFacts $facts): NameReading
    {
        $this->readings++;

        return $pattern->read($name, $values->withExtensions($this->extensions($part, $facts, $name)));
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
            return $asked;
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
            $kind = $this->delivery->factsOf($group, $row)->kind ?? Kind::fromExtension(Extension::of($group->name($row)));
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
     * @return list<Take> no two answering one number
     */
    private function claim(array $candidates, bool $numbered): array
    {
        $takes = [];
        $have = FrameRange::none();
        foreach ($candidates as $candidate) {
            if (! $numbered) {
                if ($takes === [] && ! isset($this->claimed[$this->key($candidate->sequence)])) {
                    $this->claimed[$this->key($candidate->sequence)] = true;
                    $takes[] = $candidate->answering(FrameRange::of(0, 0));
                }

                continue;
            }
            $before = $this->claimed[$this->key($candidate->sequence)] ?? FrameRange::none();
            $new = $before === true ? FrameRange::none() : $candidate->frames->minus($have)->minus($before);
            if (! $new->isEmpty()) {
                $takes[] = $candidate->answering($new);
                $have = $have->plus($new);
                $this->claimed[$this->key($candidate->sequence)] = $before === true ? $new : $before->plus($new);
            }
        }

        return $takes;
    }

    /**
     * The sequence that answers best by what it holds, where no name says so.
     *
     * @return list<Take>
     */
    private function fallback(Part $part, ?NamePattern $pattern, PieceValues $values, bool $numbered): array
    {
        if ($part->delivers === Delivers::File) {
            return [];
        }
        $expected = $numbered ? $part->expected($this->timeline) : null;
        $best = null;
        $score = [];
        $alone = $this->delivery->fileCount() === 1;
        foreach ($this->delivery->groups as $group) {
            if (! $this->couldAnswer($group, $part)) {
                continue;
            }
            $column = $numbered ? Sequence::likelyColumn($group) : null;
            if ($numbered && $column === null) {
                continue;
            }
            foreach ($this->sequences($group, $column) as $sequence) {
                if (isset($this->claimed[$this->key($sequence)]) || (! $numbered && $this->isTaken($group))) {
                    continue;
                }
                $kind = $this->delivery->factsOf($group, $sequence->rows[0])->kind;
                $own = [
                    $part->kinds() === [] || in_array($kind, $part->kinds(), true) ? 1 : 0,
                    $expected === null ? 0 : count($sequence->frames->and($expected)),
                    $sequence->count(),
                    -substr_count($sequence->folder(), '/'),
                ];
                if ($numbered && $sequence->count() < 2 && ($expected === null || count($expected) > 1) && ! $alone) {
                    continue;
                }
                if ($own > $score) {
                    [$best, $score] = [$sequence, $own];
                }
            }
        }
        if ($best === null) {
            return [];
        }
        $reading = $pattern === null ? null : $this->readName($pattern, $best->sampleName(), $values, $part, $this->delivery->factsOf($best->group, $best->rows[0]));
        $folder = $part->single('naming.folder');
        $fits = $folder === null || NamePattern::parse($folder)->matchesFolder($best->folder(), $values);
        $frames = $numbered ? $best->frames : FrameRange::of(0, 0);
        $this->claimed[$this->key($best)] = $numbered ? $frames : true;

        return [new Take($best, $reading, $fits, $frames)];
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
                if ($kind === null || ($wantsMovie ? ! $kind->isPicture() || $group->count() < 2 : ! $kind->isMovie())) {
                    continue;
                }
                foreach ($this->sequences($group, $wantsMovie ? Sequence::likelyColumn($group) : null) as $sequence) {
                    if (! isset($this->claimed[$this->key($sequence)]) && ! isset($taken[$this->key($sequence)])) {
                        $taken[$this->key($sequence)] = true;
                        $parts[$name] = new PartMatch($match->part, $match->passes, ['path' => ($group->folder === '' ? '' : $group->folder.'/').$sequence->pattern(), 'kind' => $kind]);
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
            $checksums = $checksums || $part->find('delivery.checksums') !== null;
        }
        $columns = [];
        foreach (array_keys($this->claimed + $taken) as $key) {
            [$group, $column] = explode(':', $key);
            $columns[(int) $group] = $column === '' ? null : (int) $column;
        }
        $extras = [];
        foreach ($this->delivery->groups as $group) {
            $id = spl_object_id($group);
            // only pictures make sequences; notes and logs are single files however they are numbered
            $pictures = $group->count() > 1 && ($this->delivery->factsOf($group, 0)->kind?->isPicture() ?? false);
            $column = array_key_exists($id, $columns) ? $columns[$id] : ($pictures ? Sequence::likelyColumn($group) : null);
            foreach ($this->sequences($group, $column) as $sequence) {
                $key = $this->key($sequence);
                $claimed = $this->claimed[$key] ?? null;
                $facts = $this->delivery->factsOf($group, $sequence->rows[0]);
                if ($claimed === true || isset($taken[$key]) || ($checksums && in_array(strtolower(Extension::of($group->name($sequence->rows[0]))), ['sha256', 'md5', 'mhl', 'sha1', 'txt'], true) && $facts->kind === null)) {
                    continue;
                }
                $left = $column === null ? FrameRange::of(0, 0) : $sequence->frames->minus($claimed ?? FrameRange::none());
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
        foreach ($this->specification->parts as $part) {
            if ($part->single('naming.pattern') !== null && $this->couldAnswer($sequence->group, $part) && $this->readings <= self::MOST_READINGS + 200) {
                $values = $this->specification->pieceValues($part);
                foreach ($part->passes() === [] ? [null] : $part->passes() as $pass) {
                    $source = $part->ofPass($pass)->single('naming.pattern') ?? '';
                    $reading = $this->readName(NamePattern::parse($source), $sequence->sampleName(), $pass === null ? $values : $values->with('pass', $pass), $part, $facts);
                    $best = $reading->aligns() && ($best === null || $reading->cost < $best->cost) ? $reading : $best;
                }
            }
        }

        return $best;
    }

    /** Whether any part has taken files of the group already. */
    private function isTaken(NameGroup $group): bool
    {
        foreach (array_keys($this->claimed) as $key) {
            if (str_starts_with($key, spl_object_id($group).':')) {
                return true;
            }
        }

        return false;
    }

    private function key(Sequence $sequence): string
    {
        return spl_object_id($sequence->group).':'.($sequence->column ?? '').':'.$sequence->rows[0];
    }
}
