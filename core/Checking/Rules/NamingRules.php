<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Naming\NameReader;
use PlainLedger\Core\Naming\NameReading;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Naming\Piece;
use PlainLedger\Core\Naming\PieceValues;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** `naming.pattern` and `naming.folder`. */
final readonly class NamingRules implements Rule
{
    /** So many other names are shown. */
    private const MOST_RUNS = 200;

    public function answers(string $id): bool
    {
        return $id === RequirementId::NAMING_PATTERN || $id === RequirementId::NAMING_FOLDER;
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        if ($requirement->id() === RequirementId::NAMING_FOLDER) {
            return $this->sceneFolder($requirement, $subject);
        }
        $set = $subject->scene?->get(RequirementId::NAMING_PATTERN);
        if ($set === null || $set === '') {
            return $set === '' ? Cell::when(false, 'none') : Cell::unknown();
        }
        if (self::isBare($subject)) {
            // most programs add a number by themselves, and nothing tells whether this one does
            return Cell::of(Mark::Unknown, $set);
        }
        if (self::lacksNumber($subject)) {
            return Cell::when(false, $set);
        }
        foreach (self::sceneReadings($subject) as $reading) {
            if (! $reading->fits()) {
                return Cell::when(false, $set);
            }
        }

        return Cell::when(true, $set);
    }

    /**
     * The names the scene would write for its first and last expected frame, read by what is asked.
     *
     * @return list<NameReading>
     */
    public static function sceneReadings(Subject $subject): array
    {
        $set = $subject->scene?->get(RequirementId::NAMING_PATTERN) ?? '';
        $asked = NamePattern::parse($subject->part->single(RequirementId::NAMING_PATTERN) ?? '{frame}');
        $values = $subject->specification->pieceValues($subject->part);
        try {
            $own = NamePattern::parse(basename(str_replace('\\', '/', $set)));
        } catch (PatternRefused) {
            return [$asked->read($set, $values)];
        }
        $kind = Kind::tryFrom($subject->scene?->get(RequirementId::FORMAT_KIND) ?? '');
        $usual = $kind === null ? [] : [$kind->usualExtension()];
        $values = $values->withExtensions(array_values(array_unique([...$usual, ...$values->extensions])));
        $expected = $subject->expected ?? FrameRange::of(1, 1);

        $reader = NameReader::of($asked, $values);

        return array_map(
            static fn (int $frame): NameReading => $reader->read(
                self::written($own, $asked, $values, $frame, $subject),
            ),
            array_values(array_unique([$expected->first(), $expected->last()])),
        );
    }

    private static function written(
        NamePattern $own,
        NamePattern $asked,
        PieceValues $values,
        int $frame,
        Subject $subject,
    ): string {
        $name = $own->make($values, $frame);
        if (self::lacksNumber($subject)) {
            // the missing number is told by itself; the rest is read as if it were there
            $name = (string) preg_replace('~(?=\.[A-Za-z]\w*$|$)~', self::numberAsAsked($asked, $frame), $name, 1);
        }
        // many programs add the extension themselves
        $added = Extension::of($name) === '' && $asked->has('ext') ? $values->extensions[0] ?? null : null;

        return $added === null ? $name : "{$name}.{$added}";
    }

    /** Frames are asked with a number, and the scene's name has none. */
    public static function lacksNumber(Subject $subject): bool
    {
        return str_contains($subject->part->single(RequirementId::NAMING_PATTERN) ?? '', '{frame')
            && ! str_contains($subject->scene?->get(RequirementId::NAMING_PATTERN) ?? '', '{frame');
    }

    /** Something in a name that only the program which renders can fill in: what it comes to is not known. */
    private static function hasExpression(string $name): bool
    {
        return preg_match('~\$\w|\$\{|<\w[^<>]*>|\[[A-Za-z][^\[\]]*\]|%[A-Za-z{(]|@{2,}|`~', $name) === 1;
    }

    /** Neither a number nor an extension, or an expression: nothing is known of what the program makes of it. */
    public static function isBare(Subject $subject): bool
    {
        $set = $subject->scene?->get(RequirementId::NAMING_PATTERN) ?? '';

        return self::hasExpression($set)
            || $set !== ''
                && self::lacksNumber($subject)
                && preg_match('~\.[A-Za-z][A-Za-z0-9]{1,4}$|\.\{ext\}$~', $set) !== 1
                && $subject->scene?->get('naming.adds_digits') === null;
    }

    private static function numberAsAsked(NamePattern $asked, int $frame): string
    {
        $before = '';
        foreach ($asked->pieces as $piece) {
            if ($piece->isFrame()) {
                return (preg_match('~[^A-Za-z0-9]+$~', $before, $m) === 1 ? $m[0] : '')
                    .Piece::number($frame, $piece->digits);
            }
            $before = $piece->name === null ? $piece->text : '';
        }

        return '';
    }

    private function sceneFolder(Requirement $requirement, Subject $subject): Cell
    {
        $told = $subject->scene?->get(RequirementId::NAMING_FOLDER)
            ?? $subject->scene?->get(RequirementId::OUTPUT_FOLDER);
        if ($told === null) {
            return Cell::unknown();
        }
        $values = $subject->specification->pieceValues($subject->part);
        $pattern = NamePattern::parse($requirement->value->single() ?? '.');
        $asked = NamePattern::tidyFolder($pattern->make($values));
        try {
            $found = NamePattern::tidyFolder(NamePattern::parseSceneName($told === '' ? '.' : $told)->make($values));
        } catch (PatternRefused) {
            $found = NamePattern::tidyFolder($told);
        }
        $depth = substr_count($asked, '/') + 1;
        $tail = implode('/', array_slice(explode('/', $found), -$depth));

        return Cell::when(
            $asked === '.' || $pattern->matchesFolder($found, $values) || $pattern->matchesFolder($tail, $values),
            $told === '' ? 'none' : $told,
        );
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $isFolder = $requirement->id() === RequirementId::NAMING_FOLDER;
        $frames = [];
        $wrong = [];
        foreach ($subject->match->passes ?? [] as $place => $pass) {
            foreach ($pass->takes as $take) {
                $own = $take->frames->and($pass->relevant());
                if ($own->isEmpty()) {
                    continue;
                }
                $found = self::shown($take, $isFolder);
                $frames[$found][] = $own;
                $wrong[$place][] = self::wronglyNamed($take, $pass, $own, $isFolder);
            }
        }
        if ($frames === []) {
            return null;
        }
        uasort($frames, static fn (array $a, array $b): int => self::count($b) <=> self::count($a));
        $frames = array_map(self::together(...), $frames);
        $wrong = array_filter(
            array_map(self::together(...), $wrong),
            static fn (FrameRange $own): bool => ! $own->isEmpty(),
        );
        $found = (string) array_key_first($frames);
        $runs = [];
        foreach (array_slice($frames, 1, self::MOST_RUNS, true) as $other => $own) {
            $runs[] = ['frames' => (string) $own, 'found' => (string) $other];
        }

        return Cell::of(Mark::when($wrong === []), $found, $runs, $wrong);
    }

    private static function shown(Take $take, bool $isFolder): string
    {
        return Text::shown(
            $isFolder ? NamePattern::tidyFolder($take->sequence->folder()) : $take->sequence->pattern(),
        );
    }

    /** @param  list<FrameRange>  $ranges */
    private static function count(array $ranges): int
    {
        return array_sum(array_map(static fn (FrameRange $range): int => count($range), $ranges));
    }

    /** @param  list<FrameRange>  $ranges */
    private static function together(array $ranges): FrameRange
    {
        return array_reduce(
            $ranges,
            static fn (FrameRange $all, FrameRange $one): FrameRange => $all->plus($one),
            FrameRange::none(),
        );
    }

    /** The frames of a take that lie elsewhere, or have another name. */
    private static function wronglyNamed(Take $take, PassMatch $pass, FrameRange $own, bool $folder): FrameRange
    {
        return match (true) {
            $folder => $take->folderFits ? FrameRange::none() : $own,
            $pass->lone => $own,
            default => $take->misnamed()->and($pass->relevant()),
        };
    }
}
