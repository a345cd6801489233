<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\KindRule;
use PlainLedger\Core\Checking\Rules\NamingRules;
use PlainLedger\Core\Checking\Rules\OverwritesRule;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\FixKind;
use PlainLedger\Core\Diagnosis\RenameFix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\NameReading;
use PlainLedger\Core\Naming\PieceReading;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** Every differing piece of the names, each with its cause; and `fixed-name-overwrites`. */
final readonly class NamingCauses implements CauseFamily
{
    private const OF_ANOTHER = CauseId::ValueOfAnother;

    public function find(Situation $situation): iterable
    {
        if (! $situation->isUnequal(RequirementId::NAMING_PATTERN, RequirementId::OUTPUT_OVERWRITES)) {
            return;
        }
        if ($situation->inFiles(RequirementId::NAMING_PATTERN)) {
            yield from $this->files($situation);
        } elseif (
            $situation->inScene(RequirementId::NAMING_PATTERN)
            || $situation->inScene(RequirementId::OUTPUT_OVERWRITES)
        ) {
            yield from $this->scene($situation);
        }
    }

    /** @return iterable<Finding> */
    private function files(Situation $situation): iterable
    {
        $byCause = [];
        foreach ($situation->passes() as $pass) {
            $relevant = $pass->relevant();
            foreach ($pass->takes as $take) {
                $frames = $pass->lone ? $take->frames : $take->misnamed()->and($relevant);
                if ($frames->isEmpty() || $take->reading === null) {
                    continue;
                }
                if ($pass->lone) {
                    yield $this->lone($situation, $take);

                    continue;
                }
                foreach ($this->pieces($take->reading, $take) as [$difference, $piece]) {
                    $id = $this->isOfAnother($situation, $difference, $piece)
                        ? self::OF_ANOTHER
                        : CauseId::from($difference->value);
                    $byCause[$id->value][] = [$pass, $take, $frames, $piece];
                }
            }
        }
        foreach ($byCause as $value => $places) {
            $id = CauseId::from($value);
            $fixes = [];
            $says = [];
            $evidence = [];
            foreach ($places as [$pass, $take, $frames, $piece]) {
                $fix = match (true) {
                    $id === self::OF_ANOTHER => Fix::setAside(
                        $situation->part(),
                        $take->path(),
                        count($frames),
                        $situation->subject->isNumbered() ? $frames : null,
                    ),
                    self::isOfAnotherVersion($situation, $take) => $this->deliverRightOne(
                        $situation,
                        $take,
                        $pass->expected === null || $frames->and($pass->expected)->isEmpty()
                            ? $pass->expected ?? $frames
                            : $frames,
                    ),
                    default => RenameFix::of($situation, $pass, $take, $frames),
                };
                $fixes[serialize($fix->details)] = $fix;
                if ($fix->kind === FixKind::Deliver) {
                    $aside = Fix::setAside(
                        $situation->part(),
                        $take->path(),
                        count($frames),
                        $situation->subject->isNumbered() ? $frames : null,
                    );
                    $fixes[serialize($aside->details)] = $aside;
                }
                $text = $id === self::OF_ANOTHER
                    ? $this->saysOfAnother($piece).' If they were only named so, rename them.'
                    : $this->says(Difference::from($value), $piece, $situation);
                $says[$text] = true;
                $evidence[] = Text::shown($take->sequence->sampleName());
            }
            yield Finding::of(
                $id,
                Side::Files,
                implode(' ', array_keys($says)),
                array_slice(array_values(array_unique($evidence)), 0, 10),
                [RequirementId::NAMING_PATTERN],
                array_values($fixes),
            );
        }
    }

    /** A picture without a number is one frame, whichever; the next would have been written over it. */
    private function lone(Situation $situation, Take $take): Finding
    {
        $name = Text::shown($take->sequence->sampleName());
        $typed = $situation->asTyped(RequirementId::NAMING_PATTERN);

        return Finding::of(
            CauseId::FixedNameOverwrites,
            Side::Files,
            "The name “{$name}” has no frame number: every frame would overwrite the one before.",
            [$name],
            [RequirementId::NAMING_PATTERN],
            [
                Fix::set($situation->part(), RequirementId::NAMING_PATTERN, 'the output name', $name, $typed),
                Fix::setAside($situation->part(), $take->path(), 1),
            ],
        )->rendering();
    }

    /** Without proof that it is the one asked. */
    public static function isOfAnotherVersion(Situation $situation, Take $take): bool
    {
        foreach ($take->reading->pieces ?? [] as $piece) {
            if (in_array(Difference::Version, $piece->differences, true)) {
                return ! self::isProvenToBe($piece, $situation);
            }
        }

        return false;
    }

    /** The scene is at the version asked, and writes the other one into its names. */
    private static function isProvenToBe(PieceReading $piece, Situation $situation): bool
    {
        $file = $situation->scene()->file ?? '';
        $name = $situation->scene()?->get(RequirementId::NAMING_PATTERN) ?? '';

        return self::isAt($file, $piece->asked)
            && ! self::isAt($file, $piece->found)
            && self::isAt($name, $piece->found)
            && ! self::isAt($name, $piece->asked);
    }

    private static function isAt(string $text, string $version): bool
    {
        return preg_match('~(?<!\d)0*'.preg_quote(ltrim($version, '0'), '~').'(?!\d)~', $text) === 1;
    }

    private function deliverRightOne(Situation $situation, Take $take, FrameRange $frames): Fix
    {
        $typed = $situation->asTyped(RequirementId::NAMING_PATTERN);
        $numbered = $situation->subject->isNumbered();
        $which = $numbered ? ', '.mb_strimwidth((string) $frames, 0, 90, '…') : '';

        return Fix::deliver(
            $situation->part(),
            $typed,
            $numbered ? $frames : null,
            "Deliver {$typed}{$which}, and not ".Text::shown($take->path()).'.',
            Text::shown($take->path()),
        );
    }

    /** With `#` for the digits of the frame number, as names are shown. */
    public static function asShown(string $pattern): string
    {
        return (string) preg_replace_callback(
            '~\{frame(?::(\d+))?\}~',
            static fn (array $m): string => str_repeat('#', (int) ($m[1] ?? 1)),
            $pattern,
        );
    }

    /** A word that is no slip of the pen, since somebody else's deliverable is called just that. */
    private function isOfAnother(Situation $situation, Difference $difference, PieceReading $piece): bool
    {
        return $difference === Difference::Another
            || in_array($difference, [Difference::Misspelled, Difference::Value], true)
            && in_array(
                strtolower($piece->found),
                array_map(strtolower(...), $situation->subject->others[$piece->piece] ?? []),
                true,
            );
    }

    private function saysOfAnother(PieceReading $piece): string
    {
        $what = $piece->piece === 'separator' ? 'name' : str_replace('_', ' ', $piece->piece);

        return '“'.Text::shown($piece->found)."” is another’s {$what}, and “{$piece->asked}” is asked.";
    }

    /** @return iterable<array{Difference, PieceReading}> */
    private function pieces(NameReading $reading, ?Take $take): iterable
    {
        if (! $reading->aligns() && ! $reading->isNear()) {
            // nothing of it was meant by the pattern; told as a whole
            $asked = implode('', array_map(static fn (PieceReading $p): string => $p->asked, $reading->pieces));
            yield [Difference::Value, new PieceReading('name', $asked, $reading->name, [Difference::Value])];

            return;
        }
        foreach ($reading->differing() as $piece) {
            // a wrong extension that the content contradicts is told as such
            if (
                $piece->piece === 'ext'
                && $take !== null
                && $piece->differences === [Difference::Value]
                && $this->namesAKind($take)
            ) {
                continue;
            }
            foreach ($piece->differences as $difference) {
                yield [$difference, $piece];
            }
        }
    }

    private function namesAKind(Take $take): bool
    {
        return Kind::fromExtension(Extension::of($take->sequence->sampleName())) !== null;
    }

    private function says(Difference $difference, PieceReading $piece, Situation $situation): string
    {
        $what = $piece->piece === 'frame' ? 'frame number' : $piece->piece;
        [$found, $asked] = [Text::shown($piece->found), $piece->asked];

        return match ($difference) {
            Difference::TooFewDigits => "The {$what} has "
                .Text::count(strlen(ltrim($piece->found, '-')), 'digit')
                .', and '
                .strlen(ltrim($asked, '-'))
                .' are asked.',
            Difference::TooManyDigits => "The {$what} has "
                .Text::count(strlen(ltrim($piece->found, '-')), 'digit')
                .', and '
                .strlen(ltrim($asked, '-'))
                .' are asked.',
            Difference::Separator => $piece->piece === 'separator'
                ? (
                    $found === ''
                        ? "A separator “{$asked}” is missing."
                        : "The separator is “{$found}”, and “{$asked}” is asked."
                )
                : "The separators inside “{$found}” differ from “{$asked}”.",
            Difference::NumberPlace => 'The frame number is not where the pattern has it.',
            Difference::Case => "“{$found}” differs from “{$asked}” in upper and lower case.",
            Difference::Version => $this->version($piece, $situation),
            Difference::Another => $this->saysOfAnother($piece),
            Difference::Misspelled => "“{$found}” is not quite “{$asked}”.",
            Difference::Dots => $piece->piece === 'extra'
                ? "A dot too many: “{$found}”."
                : "A dot stands inside “{$found}”, and “{$asked}” is asked.",
            Difference::Spaces => $piece->piece === 'extra'
                ? 'A space stands in the name where none belongs.'
                : "A space stands inside “{$found}”, and “{$asked}” is asked.",
            Difference::Extension => $piece->piece === 'extra'
                ? "The extension stands twice; “{$found}” is too much."
                : "The extension is written “{$found}”, and “{$asked}” is asked.",
            Difference::CopySuffix => "The name carries the mark of a copy, “{$found}”.",
            Difference::Value => $found === ''
                ? "The {$what} “{$asked}” is missing from the name."
                : (
                    $asked === ''
                        ? "“{$found}” stands in the name and is not asked."
                        : "The {$what} is “{$found}”, and “{$asked}” is asked."
                ),
        };
    }

    /** Which version is the right one, as far as the scene's own name tells. */
    private function version(PieceReading $piece, Situation $situation): string
    {
        $says = "The version is {$piece->found}, and {$piece->asked} is asked.";
        $scene = ($situation->scene()->file ?? '').' '.($situation->scene()?->get(RequirementId::NAMING_PATTERN) ?? '');
        $is = static fn (string $version): bool => self::isAt($scene, $version);
        if (self::isProvenToBe($piece, $situation)) {
            return "{$says} The scene is at {$piece->asked} and writes {$piece->found} into its names, so they are "
                .'the right ones.';
        }

        return match (true) {
            trim($scene) === '' => "{$says} Whether they are older files or only named so, nothing here tells.",
            $is($piece->asked)
                && ! $is($piece->found) => "{$says} The scene is at {$piece->asked}, so these files are of another "
                    .'version: deliver the right ones.',
            $is($piece->found) && ! $is($piece->asked) => "{$says} The scene is at {$piece->found} too.",
            default => $says,
        };
    }

    /** @return iterable<Finding> */
    private function scene(Situation $situation): iterable
    {
        $set = $situation->scene()?->get(RequirementId::NAMING_PATTERN) ?? '';
        $set = self::asShown($set);
        $asked = $situation->asTyped(RequirementId::NAMING_PATTERN);
        $fix = [Fix::set($situation->part(), RequirementId::NAMING_PATTERN, 'the output name', $set, $asked)];
        if ($set !== '' && NamingRules::lacksNumber($situation->subject)) {
            yield Finding::of(
                CauseId::FixedNameOverwrites,
                Side::Scene,
                "The output name “{$set}” has no frame number: every frame would overwrite the one before.",
                ["naming.pattern is {$set}"],
                [RequirementId::NAMING_PATTERN, RequirementId::OUTPUT_OVERWRITES],
                $fix,
            );
        } elseif (
            $situation->inScene(RequirementId::OUTPUT_OVERWRITES)
            && ! ($under = OverwritesRule::writtenOver($situation->subject) ?? FrameRange::none())->isEmpty()
        ) {
            $next = $situation->subject->part->single(RequirementId::NAMING_PATTERN) ?? '';
            yield Finding::of(
                CauseId::FixedNameOverwrites,
                Side::Scene,
                'The output falls on good files of an earlier delivery: '
                    .Text::count(count($under), 'file')
                    .": {$under}.",
                [
                    "the scene writes {$set}",
                    'the files lie there already, under the same name in a folder of the same name',
                ],
                [RequirementId::OUTPUT_OVERWRITES],
                [
                    Fix::set(
                        $situation->part(),
                        RequirementId::OUTPUT_FOLDER,
                        'the output folder',
                        $situation->scene()?->get(RequirementId::OUTPUT_FOLDER),
                        'another',
                        'Give the scene another output folder, or raise its version'
                            .(str_contains($next, '{version') ? '' : ' in the name')
                            .', so that nothing is written over.',
                    ),
                ],
            );
        }
        $seen = [];
        foreach ($set === '' ? [] : NamingRules::sceneReadings($situation->subject) as $reading) {
            foreach ($this->pieces($reading, null) as [$difference, $piece]) {
                if (
                    $piece->piece === 'ext'
                    && KindRule::otherExtension($situation->subject) !== null
                    && $situation->inScene(RequirementId::FORMAT_KIND)
                ) {
                    continue;
                }
                $another = $this->isOfAnother($situation, $difference, $piece);
                $id = $another ? self::OF_ANOTHER : CauseId::from($difference->value);
                if (isset($seen[$id->value])) {
                    continue;
                }
                $seen[$id->value] = true;
                yield Finding::of(
                    $id,
                    Side::Scene,
                    $another
                        ? $this->saysOfAnother($piece).' Its frames would land among that one’s.'
                        : $this->says($difference, $piece, $situation),
                    ["the scene would write {$reading->name}"],
                    [RequirementId::NAMING_PATTERN],
                    $fix,
                );
            }
        }
    }
}
