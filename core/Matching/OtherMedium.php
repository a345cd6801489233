<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;

/** A movie where frames are asked and none came, and the other way round. */
final readonly class OtherMedium
{
    /** @param  list<ExpectedFiles>  $expected */
    public function __construct(
        private Delivery $delivery,
        private Claims $claims,
        private NameReadings $names,
        private array $expected,
    ) {}

    /**
     * @param  array<string, PartMatch>  $parts
     * @return array<string, PartMatch> the same, with what came instead
     */
    public function find(array $parts): array
    {
        foreach ($parts as $name => $match) {
            $sequence = $match->isEmpty() && $match->part->delivers !== Delivers::File
                ? $this->insteadOf($match->part)
                : null;
            $kind = $sequence === null ? null : $this->delivery->kindAmong($sequence->group, $sequence->rows);
            if ($sequence !== null && $kind !== null) {
                $this->claims->setApart($sequence);
                $folder = $sequence->folder();
                $path = ($folder === '' ? '' : "{$folder}/").$sequence->pattern();
                $facts = $this->delivery->factsOf($sequence->group, $sequence->rows[0]);
                $parts[$name] = new PartMatch(
                    $match->part,
                    $match->passes,
                    ['path' => $path, 'kind' => $kind, 'facts' => $facts],
                );
            }
        }

        return $parts;
    }

    private function insteadOf(Part $part): ?Sequence
    {
        $wantsMovie = $part->delivers === Delivers::Movie;
        foreach ($this->delivery->groups as $group) {
            if (! $this->isOther($group, $wantsMovie)) {
                continue;
            }
            foreach ($this->claims->sequences(
                $group,
                $wantsMovie ? Sequence::likelyColumn($group) : null,
            ) as $sequence) {
                $free = ! $this->claims->isClaimed($sequence) && ! $this->claims->touches($group);
                if ($free && ! ($wantsMovie && $this->isOfExpectedFrames($sequence, $part))) {
                    return $sequence;
                }
            }
        }

        return null;
    }

    private function isOther(NameGroup $group, bool $wantsMovie): bool
    {
        $kind = $this->delivery->kindsOf($group)[0] ?? null;

        return $kind !== null && ($wantsMovie ? $kind->isPicture() && $group->count() > 1 : $kind->isMovie());
    }

    /**
     * Frames whose name is nearer to one that is asked of frames than to the movie's: of an older take, or another
     * pass.
     */
    private function isOfExpectedFrames(Sequence $sequence, Part $movie): bool
    {
        $costs = [];
        foreach ($this->expected as $files) {
            if ($files->numbered || $files->part->name === $movie->name) {
                $costs[(int) $files->numbered][] = $this->names->read($files, $sequence)->cost ?? PHP_INT_MAX;
            }
        }

        return isset($costs[1]) && min($costs[1]) <= min([PHP_INT_MAX, ...$costs[0] ?? []]);
    }
}
