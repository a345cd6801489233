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
        $quarrels = [];
        foreach ($specifications as $called => $specification) {
            foreach ($specification->parts as $part) {
                foreach ($part->passesByFiles() ? $part->passes() : [null] as $pass) {
                    [$path, $frames] = $this->path($specification, $part->ofPass($pass), $pass);
                    if ($path === null) {
                        continue;
                    }
                    foreach ($owners[$path] ?? [] as [$other, $otherPart, $otherPass, $otherFrames]) {
                        if (count($quarrels) < self::MOST_TOLD && $this->meet($frames, $otherFrames)) {
                            $quarrels[] = [
                                (string) $called,
                                $other,
                                $this->quarrel((string) $called, $part, $pass, $other, $otherPart, $otherPass, $path),
                            ];
                            break;
                        }
                    }
                    $owners[$path][] = [(string) $called, $part, $pass, $frames];
                }
            }
        }

        return $quarrels;
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

    /** Of frames whose range is not known yet it must be thought. */
    private function meet(?FrameRange $a, ?FrameRange $b): bool
    {
        return $a === null || $b === null || ! $a->and($b)->isEmpty();
    }

    private function quarrel(
        string $called,
        Part $part,
        ?string $pass,
        string $other,
        Part $otherPart,
        ?string $otherPass,
        string $path,
    ): Conflict {
        $ids = [
            RequirementId::NAMING_PATTERN,
            ...($part->find(RequirementId::NAMING_FOLDER) === null ? [] : [RequirementId::NAMING_FOLDER]),
            ...(
                $pass !== null
                && $otherPass !== null
                && $called === $other
                && $part->name === $otherPart->name ? [RequirementId::PASSES] : []
            ),
        ];
        $who = $called === $other
            ? (
                $part->name === $otherPart->name
                    ? "The passes “{$otherPass}” and “{$pass}”"
                    : "The parts “{$otherPart->name}” and “{$part->name}”"
            )
            : "{$other} and {$called}";
        $missing = $called !== $other && ! str_contains((string) $part->single(RequirementId::NAMING_PATTERN), '{shot}')
            ? [
                ConflictResolution::set(
                    RequirementId::NAMING_PATTERN,
                    '{shot}_'.$part->single(RequirementId::NAMING_PATTERN),
                    'Begin the names with {shot}.',
                ),
            ]
            : [];
        if ($called === $other && $part->name !== $otherPart->name) {
            $missing = [
                ConflictResolution::set(
                    RequirementId::NAMING_PATTERN,
                    (string) preg_replace(
                        '~(?=[._-]?\{frame)|(?=\.\{ext\})~',
                        '_{part}',
                        (string) $part->single(RequirementId::NAMING_PATTERN),
                        1,
                    ),
                    'Put {part} into the name.',
                ),
            ];
        }

        return Conflict::between($ids, $part->name, "{$who} would write the same path, {$path}.", ...$missing);
    }
}
