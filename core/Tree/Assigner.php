<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Matching\ExpectedFiles;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NameReading;
use PlainLedger\Core\Specification\Delivers;

/**
 * Finds the deliverable that each sequence, movie and file of a tree answers. A code in its name says whose it is, then
 * one in its folder, then a name that is just as a pattern makes it. Of several that are left, the one whose pattern
 * makes its name, whose name it is nearest to, or whose format it has.
 */
final class Assigner
{
    /** Names are read against patterns that do not fit so many times; one takes up to some milliseconds. */
    private const MOST_READINGS = 4000;

    /** @var array<string, list<ExpectedFiles>> by key */
    private array $expected = [];

    private readonly OwnerWords $words;

    private int $readings = 0;

    /** @param  list<OwedDelivery>  $owed */
    public function __construct(private readonly array $owed, private readonly Delivery $delivery)
    {
        $this->words = OwnerWords::of($owed);
        foreach ($owed as $one) {
            $this->expected[$one->key] = ExpectedFiles::all($one->specification, null, $delivery->place);
        }
    }

    /** @param  array<string, string>  $byHand  key of a deliverable by the place of a unit; `""` for nobody's */
    public function assign(array $byHand = []): TreeAssignment
    {
        [$units, $several, $none] = [[], [], []];
        foreach ((new TreeUnits($this->delivery, $this->words))->all() as $unit) {
            $told = $byHand[$unit->place()] ?? null;
            $keys = $told === null ? $this->candidates($unit) : array_filter([$told], $this->isOwed(...));
            if (count($keys) === 1) {
                $units[$keys[0]][] = $unit;
            } elseif ($keys !== [] && $this->kind($unit) !== null) {
                $several[] = $unit->fitting($keys);
            } else {
                $none[] = $unit;
            }
        }

        return new TreeAssignment($units, $several, $none);
    }

    private function isOwed(string $key): bool
    {
        return isset($this->expected[$key]);
    }

    /** @return list<string> keys */
    private function candidates(TreeUnit $unit): array
    {
        $byName = $this->words->in($unit->group->name($unit->rows[0]));
        $byFolder = $this->words->in($unit->group->folder);
        $both = array_values(array_intersect($byName, $byFolder));
        $keys = match (true) {
            $both !== [] => $both,
            $byName !== [] => $byName,
            default => $byFolder,
        };
        if ($keys === []) {
            $all = array_map(strval(...), array_keys($this->expected));
            $exact = $this->exact($unit, $all);
            $keys = $exact === [] ? $this->nearest($unit, $all, true) : $exact;
        }

        return count($keys) <= 1 ? $keys : $this->narrowed($keys, $unit);
    }

    /**
     * @param  list<string>  $keys
     * @return list<string>
     */
    private function narrowed(array $keys, TreeUnit $unit): array
    {
        foreach ([$this->exact(...), $this->nearest(...), $this->ofFormat(...)] as $by) {
            $left = count($keys) > 1 ? $by($unit, $keys) : [];
            $keys = $left === [] ? $keys : $left;
        }

        return $keys;
    }

    /**
     * Those one of whose patterns makes just this name.
     *
     * @param  list<array-key>  $keys
     * @return list<string>
     */
    private function exact(TreeUnit $unit, array $keys): array
    {
        $name = $unit->group->name($unit->rows[0]);
        $extensions = [strtolower(Extension::of($name))];
        $found = [];
        foreach ($keys as $key) {
            foreach ($this->expected[(string) $key] as $files) {
                if ($files->exactName($extensions)?->read($name) !== null && $this->isOfForm($files, $unit)) {
                    $found[(string) $key] = $files->folderFits($unit->group->folder) ? 2 : 1;
                }
            }
        }
        $most = max([0, ...array_values($found)]);

        return array_map(strval(...), array_keys($found, $most, true));
    }

    /**
     * Those whose names it is nearest to.
     *
     * @param  list<string>  $keys
     * @param  bool  $onlyNear  whether it has to be near to them at all
     * @return list<string>
     */
    private function nearest(TreeUnit $unit, array $keys, bool $onlyNear = false): array
    {
        $name = $unit->group->name($unit->rows[0]);
        $costs = [];
        foreach ($keys as $key) {
            foreach ($this->expected[$key] as $files) {
                $reading = $this->reading($files, $unit, $name);
                $isFar = $reading === null || ($onlyNear && ! $reading->isNear());
                $costs[$key] = min($costs[$key] ?? PHP_INT_MAX, $isFar ? PHP_INT_MAX : $reading->cost);
            }
        }
        $least = min([PHP_INT_MAX, ...array_values($costs)]);

        return $least === PHP_INT_MAX ? [] : array_map(strval(...), array_keys($costs, $least, true));
    }

    /** Null where there was no time left to read it, or nothing to be read by. */
    private function reading(ExpectedFiles $files, TreeUnit $unit, string $name): ?NameReading
    {
        if ($files->pattern === null || ! $this->isOfForm($files, $unit) || $this->readings >= self::MOST_READINGS) {
            return null;
        }
        $this->readings++;

        return $files->pattern->read($name, $files->values->withExtensions([strtolower(Extension::of($name))]));
    }

    /**
     * @param  list<string>  $keys
     * @return list<string>
     */
    private function ofFormat(TreeUnit $unit, array $keys): array
    {
        $kind = $this->kind($unit);

        return array_values(array_filter($keys, fn (string $key): bool => array_filter(
            $this->expected[$key],
            fn (ExpectedFiles $files): bool => $this->isOfForm($files, $unit) && $files->asksFor($kind),
        ) !== []));
    }

    /** Whether such a file can be what is delivered there at all. */
    private function isOfForm(ExpectedFiles $files, TreeUnit $unit): bool
    {
        $kind = $this->kind($unit)
            ?? Kind::fromExtension(Extension::of($unit->group->name($unit->rows[0])));

        return match ($files->part->delivers) {
            Delivers::Frames, Delivers::Still => $kind?->isPicture() ?? false,
            Delivers::Movie => $kind?->isMovie() ?? false,
            Delivers::File => true,
        };
    }

    private function kind(TreeUnit $unit): ?Kind
    {
        return $this->delivery->kindAmong($unit->group, $unit->rows);
    }
}
