<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\LiteralExtension;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** Pieces that nothing fills, folders that lead out, and an extension that is not the format's. */
final readonly class NamePieces implements ConflictRule
{
    /** Pieces that a deliverable or a delivery fills sooner or later. */
    public const KNOWN = [
        'production', 'shot', 'scene_name', 'task', 'pass', 'part', 'camera', 'version', 'frame', 'first', 'last',
        'width', 'height', 'resolution', 'rate', 'date', 'learner', 'ext',
    ];

    public function read(Specification $specification, Part $part): iterable
    {
        foreach ([RequirementId::NAMING_PATTERN, RequirementId::NAMING_FOLDER, RequirementId::OUTPUT_FOLDER] as $id) {
            $source = $part->single($id);
            if ($source !== null) {
                yield from $this->unknownPieces($specification, $part, $id, $source);
                yield from $this->place($part, $id, $source);
            }
        }
        yield from $this->extension($part);
    }

    /** @return iterable<Conflict> */
    private function unknownPieces(Specification $specification, Part $part, string $id, string $source): iterable
    {
        $known = [...self::KNOWN, ...array_map(strval(...), array_keys($specification->values))];
        foreach (array_diff(array_unique(NamePattern::parse($source)->names()), $known) as $name) {
            $near = $this->nearest($name, $known);
            $piece = '~\{\s*'.preg_quote($name, '~').'(?=\s*[:}])~i';
            $right = (string) preg_replace($piece, "{{$near}", $source);
            yield Conflict::between(
                [$id],
                $part->name,
                "Nothing says what {{$name}} stands for.",
                ...($near === null ? [] : [ConflictResolution::set($id, $right, "Write {{$near}}.")]),
            );
        }
    }

    /** @return iterable<Conflict> a name that is a path, and a folder that lies elsewhere */
    private function place(Part $part, string $id, string $source): iterable
    {
        $isName = $id === RequirementId::NAMING_PATTERN;
        if ($isName && str_contains($source, '/')) {
            yield Conflict::between(
                [$id],
                $part->name,
                'A file’s name holds no “/”; folders have a requirement of their own.',
                ConflictResolution::set($id, basename($source), 'Keep the name alone.'),
            );
        }
        if (! $isName && preg_match('~^(?:/|[A-Za-z]:)|(?:^|/)\.\.(?:/|$)~', $source) === 1) {
            $from = $id === RequirementId::OUTPUT_FOLDER ? 'the project' : 'the delivery';
            $inside = (string) preg_replace('~^(?:[A-Za-z]:)?/+|(?:^|(?<=/))\.\.(?:/|$)~', '', $source);
            yield Conflict::between(
                [$id],
                $part->name,
                "“{$source}” leads out of {$from}; a folder is told from there.",
                ConflictResolution::set($id, trim($inside, '/') ?: '.', 'Keep what lies inside.'),
            );
        }
    }

    /** @return iterable<Conflict> */
    private function extension(Part $part): iterable
    {
        $kinds = $part->kinds();
        $source = $part->single(RequirementId::NAMING_PATTERN);
        $literal = $source === null || $part->delivers === Delivers::File
            ? null
            : LiteralExtension::of(NamePattern::parse($source));
        $named = Kind::fromExtension($literal ?? '');
        if ($kinds === [] || $named === null || in_array($named, $kinds, true)) {
            return;
        }
        $with = (string) preg_replace('~\.[A-Za-z0-9]+$~', '.{ext}', (string) $source);
        yield Conflict::between(
            [RequirementId::NAMING_PATTERN, RequirementId::FORMAT_KIND],
            $part->name,
            "Names end in .{$literal}, and {$kinds[0]->spoken()} is asked.",
            ConflictResolution::set(RequirementId::NAMING_PATTERN, $with, 'Leave the extension to the format.'),
            ConflictResolution::set(RequirementId::FORMAT_KIND, $named->value, 'Ask for '.$named->spoken().'.'),
        );
    }

    /** @param  list<string>  $words */
    private function nearest(string $name, array $words): ?string
    {
        $best = null;
        foreach ($words as $word) {
            $far = levenshtein(substr($name, 0, 60), $word);
            if ($far <= 2 && ($best === null || $far < $best[0])) {
                $best = [$far, $word];
            }
        }

        return $best[1] ?? null;
    }
}
