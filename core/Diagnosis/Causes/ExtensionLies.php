<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\KindRule;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\RenameFix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** `extension-lies`: what a name says of the format, and what it is. */
final readonly class ExtensionLies implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        if (! $situation->inFiles(RequirementId::FORMAT_KIND)) {
            yield from $this->inScene($situation);

            return;
        }
        foreach ($situation->passes() as $pass) {
            yield from $this->inFiles($situation, $pass);
        }
    }

    /** @return iterable<Finding> */
    private function inFiles(Situation $situation, PassMatch $pass): iterable
    {
        $asked = $situation->entry(RequirementId::FORMAT_KIND)->requirement->value->values ?? [];
        foreach ($pass->takes as $place => $take) {
            $name = $take->sequence->sampleName();
            $extension = Extension::of($name);
            $kind = self::kindOfTake($pass, $place);
            if ($kind === null || $extension === '' || Extension::agrees($name, $kind) !== false) {
                continue;
            }
            $right = in_array($kind->value, $asked, true);
            yield Finding::of(
                CauseId::ExtensionLies,
                Side::Files,
                'The files are called .'.Text::shown($extension)." and are {$kind->spoken()} inside"
                    .($right ? ', as asked: only the name is wrong.' : '; '.implode(' or ', $asked).' is asked.'),
                [Text::shown($name)." begins with the signature of {$kind->spoken()}"],
                [RequirementId::FORMAT_KIND, ...($right ? [RequirementId::NAMING_PATTERN] : [])],
                $right
                    ? [RenameFix::of($situation, $pass, $take, $take->frames)]
                    : self::wrapped($situation),
            )->rendering(! $right);
        }
    }

    /** @return list<Fix> a movie is written anew; frames are rendered */
    private static function wrapped(Situation $situation): array
    {
        return $situation->subject->part->delivers->isMovie()
            ? EntryFix::of($situation, RequirementId::FORMAT_KIND, 'the format')->fixes
            : [];
    }

    /** By the first whole file of the take. */
    private static function kindOfTake(PassMatch $pass, int $take): ?Kind
    {
        foreach ($pass->frames->alike as $alike) {
            if ($alike->take === $take && $alike->facts->isWhole() && $alike->facts->kind !== null) {
                return $alike->facts->kind;
            }
        }

        return null;
    }

    /** @return iterable<Finding> */
    private function inScene(Situation $situation): iterable
    {
        $extension = $situation->inScene(RequirementId::FORMAT_KIND)
            ? KindRule::otherExtension($situation->subject)
            : null;
        $to = $extension === null ? null : $this->kindMeant($situation, $extension);
        if ($extension === null || $to === null) {
            return;
        }
        $kind = $situation->told(RequirementId::FORMAT_KIND) ?? '';
        $set = Fix::set($situation->part(), RequirementId::FORMAT_KIND, 'the format', $kind, $to);
        yield Finding::of(
            CauseId::ExtensionLies,
            Side::Scene,
            "The format is {$kind}, and the name says .{$extension}.",
            ["format.kind is {$kind}", 'naming.pattern is '.NamePattern::withHashes(self::nameOf($situation))],
            [RequirementId::FORMAT_KIND, RequirementId::NAMING_PATTERN],
            [
                ...($kind === $to ? [] : [$set]),
                ...$this->renamed($situation, $extension, Kind::tryFrom($to)?->usualExtension() ?? $kind),
            ],
        );
    }

    /** What the format is to be; null where the name is right, and only the format is another. */
    private function kindMeant(Situation $situation, string $extension): ?string
    {
        $kind = $situation->told(RequirementId::FORMAT_KIND) ?? '';
        $asked = $situation->entry(RequirementId::FORMAT_KIND)->requirement->value->values ?? [];
        if (in_array($kind, $asked, true)) {
            return $kind;
        }

        return in_array(Kind::fromExtension($extension)?->value, $asked, true) ? null : $asked[0] ?? $kind;
    }

    private static function nameOf(Situation $situation): string
    {
        return $situation->told(RequirementId::NAMING_PATTERN) ?? '';
    }

    /** @return list<Fix> the output name with the right extension */
    private function renamed(Situation $situation, string $extension, string $right): array
    {
        if ($right === $extension) {
            return [];
        }
        $name = self::nameOf($situation);
        $to = str_replace('{ext}', $right, substr($name, 0, -strlen($extension)).$right);
        $typed = isset($situation->entries[RequirementId::NAMING_PATTERN])
            ? $situation->asTyped(RequirementId::NAMING_PATTERN)
            : NamePattern::withHashes($to);
        $from = NamePattern::withHashes($name);

        return [Fix::set($situation->part(), RequirementId::NAMING_PATTERN, 'the output name', $from, $typed)];
    }
}
