<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** Parts, passes or whole deliverables that would write the same path. */
final readonly class SamePaths
{
    private const MOST_TOLD = 200;

    /** @return list<Conflict> among the parts and passes of one */
    public function within(Specification $specification): array
    {
        return array_column($this->across([$specification->title => $specification]), 2);
    }

    /**
     * @param  array<string, Specification>  $specifications  by what each is called in sentences
     * @return list<array{string, string, Conflict}> who meets whom, the later first
     */
    public function across(array $specifications): array
    {
        $owners = [];
        $conflicts = [];
        foreach ($this->paths($specifications) as [$path, $owner]) {
            foreach (count($conflicts) < self::MOST_TOLD ? $owners[$path] ?? [] : [] as $other) {
                if ($owner->meets($other)) {
                    $conflicts[] = [$owner->called, $other->called, $this->conflict($owner, $other, $path)];
                    break;
                }
            }
            $owners[$path][] = $owner;
        }

        return $conflicts;
    }

    /**
     * @param  array<string, Specification>  $specifications
     * @return iterable<array{string, PathOwner}>
     */
    private function paths(array $specifications): iterable
    {
        foreach ($specifications as $called => $specification) {
            foreach ($specification->parts as $part) {
                foreach ($part->passesByFiles() ? $part->passes() : [null] as $pass) {
                    [$path, $frames] = $this->path($specification, $part->ofPass($pass), $pass);
                    if ($path !== null) {
                        yield [$path, new PathOwner((string) $called, $part, $pass, $frames)];
                    }
                }
            }
        }
    }

    /** @return array{string|null, FrameRange|null} the path with `#` for the number, and which numbers it takes */
    private function path(Specification $specification, Part $part, ?string $pass): array
    {
        $source = $part->single(RequirementId::NAMING_PATTERN);
        if ($source === null) {
            return [null, null];
        }
        $pattern = NamePattern::parse($source);
        $values = $specification->pieceValues($part);
        $values = $pass === null ? $values : $values->with('pass', $pass);
        $name = $pattern->make($values);
        $folder = NamePattern::tidyFolder(
            NamePattern::parse($part->single(RequirementId::NAMING_FOLDER) ?? '.')->make($values),
        );
        $numbered = $part->delivers === Delivers::Frames || $pattern->has('frame');

        return [$folder === '.' ? $name : "{$folder}/{$name}", $numbered ? PartLength::expected($part) : null];
    }

    private function conflict(PathOwner $owner, PathOwner $other, string $path): Conflict
    {
        $part = $owner->part;
        $passes = $owner->isOfOnePartWith($other) && $owner->pass !== null && $other->pass !== null;
        $ids = [
            RequirementId::NAMING_PATTERN,
            ...($part->find(RequirementId::NAMING_FOLDER) === null ? [] : [RequirementId::NAMING_FOLDER]),
            ...($passes ? [RequirementId::PASSES] : []),
        ];
        $who = match (true) {
            $owner->isOfOnePartWith($other) => "The passes “{$other->pass}” and “{$owner->pass}”",
            $owner->isOfOneSpecificationWith($other) => "The parts “{$other->part->name}” and “{$part->name}”",
            default => "{$other->called} and {$owner->called}",
        };

        return Conflict::between(
            $ids,
            $part->name,
            "{$who} would write the same path, {$path}.",
            ...$this->apart($owner, $other),
        );
    }

    /** @return list<ConflictResolution> the piece in the name that tells them apart */
    private function apart(PathOwner $owner, PathOwner $other): array
    {
        $id = RequirementId::NAMING_PATTERN;
        $pattern = (string) $owner->part->single($id);
        if (! $owner->isOfOneSpecificationWith($other)) {
            $named = str_contains($pattern, '{shot}');

            return $named ? [] : [ConflictResolution::set($id, "{shot}_{$pattern}", 'Begin the names with {shot}.')];
        }
        $with = (string) preg_replace('~(?=[._-]?\{frame)|(?=\.\{ext\})~', '_{part}', $pattern, 1);

        return $owner->isOfOnePartWith($other)
            ? []
            : [ConflictResolution::set($id, $with, 'Put {part} into the name.')];
    }
}
