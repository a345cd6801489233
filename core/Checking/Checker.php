<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Checking\Rules\BurnInRule;
use PlainLedger\Core\Checking\Rules\CadenceRule;
use PlainLedger\Core\Checking\Rules\CameraRules;
use PlainLedger\Core\Checking\Rules\ChecksumsRule;
use PlainLedger\Core\Checking\Rules\ColourPass;
use PlainLedger\Core\Checking\Rules\ContentRules;
use PlainLedger\Core\Checking\Rules\DeliveryRules;
use PlainLedger\Core\Checking\Rules\DurationRule;
use PlainLedger\Core\Checking\Rules\FileSizeRule;
use PlainLedger\Core\Checking\Rules\FormatRules;
use PlainLedger\Core\Checking\Rules\FrameInHeaderRule;
use PlainLedger\Core\Checking\Rules\HeaderRules;
use PlainLedger\Core\Checking\Rules\KindRule;
use PlainLedger\Core\Checking\Rules\MovieRules;
use PlainLedger\Core\Checking\Rules\NamingRules;
use PlainLedger\Core\Checking\Rules\OutputFolderRule;
use PlainLedger\Core\Checking\Rules\OverwritesRule;
use PlainLedger\Core\Checking\Rules\PassesRule;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Checking\Rules\ProjectionRule;
use PlainLedger\Core\Checking\Rules\RangeRules;
use PlainLedger\Core\Checking\Rules\RateRule;
use PlainLedger\Core\Checking\Rules\ReferenceRule;
use PlainLedger\Core\Checking\Rules\RegionRule;
use PlainLedger\Core\Checking\Rules\ResolutionRule;
use PlainLedger\Core\Checking\Rules\Rule;
use PlainLedger\Core\Checking\Rules\SceneStateRules;
use PlainLedger\Core\Checking\Rules\SettingRule;
use PlainLedger\Core\Checking\Rules\ShapeRules;
use PlainLedger\Core\Checking\Rules\StartTimecodeRule;
use PlainLedger\Core\Checking\Rules\StillnessRules;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** Lays requirements, scene and files beside each other, line by line, and the files of each pass by themselves. */
final readonly class Checker
{
    /** Ids that are looked at together with another and make no line of their own. */
    private const WITHIN = [RequirementId::TIME_HANDLES => RequirementId::TIME_RANGE];

    /** Where nothing came, the first of these that is asked says so. */
    private const TELLS_NOTHING_CAME = [
        RequirementId::TIME_RANGE, RequirementId::TIME_COUNT, RequirementId::FORMAT_KIND, RequirementId::NAMING_PATTERN,
        RequirementId::CONTENT_WHOLE, RequirementId::PICTURE_RESOLUTION,
    ];

    /** Lines that a pass which is missing altogether has all the same. */
    private const TELLS_A_PASS_MISSING = [RequirementId::TIME_RANGE, RequirementId::TIME_COUNT];

    /** Asked of the picture itself: masks and depths may well be opaque, and black. */
    private const OF_COLOUR_PASS = [
        RequirementId::FORMAT_ALPHA,
        RequirementId::CONTENT_ALPHA_USED,
        RequirementId::CONTENT_BLACK,
    ];

    /** @param  list<Rule>  $rules the first that answers an id is taken */
    public function __construct(private array $rules) {}

    public static function standard(): self
    {
        return new self([
            new ResolutionRule, new ShapeRules, new RegionRule, new RateRule, new RangeRules, new DurationRule,
            new StartTimecodeRule,
            new CameraRules, new SceneStateRules, new OutputFolderRule, new OverwritesRule, new KindRule,
            new FileSizeRule, new HeaderRules,
            new ProjectionRule, new BurnInRule, new FormatRules, new MovieRules, new NamingRules, new PassesRule,
            new ContentRules, new PixelRules,
            new StillnessRules, new CadenceRule, new ReferenceRule, new DeliveryRules, new ChecksumsRule,
            new SettingRule,
        ]);
    }

    /**
     * @param  DeliveredFiles|null  $files  null where none are delivered
     * @param  list<Waiver>  $waivers  unequal lines that are accepted as they are
     */
    public function check(
        Specification $specification,
        ?SceneSettings $scene,
        ?DeliveredFiles $files,
        array $waivers = [],
    ): Check {
        $files ??= new DeliveredFiles(null, null);
        $entries = [];
        $notChecked = [];
        $subjects = [];
        $lines = [];
        $made = $scene === null ? [] : SceneParts::of($scene, $specification);
        foreach ($specification->parts as $part) {
            $subject = new Subject(
                $specification,
                $part,
                $made[$part->name] ?? null,
                $files,
                $files->match?->parts[$part->name] ?? null,
            );
            $subjects[] = $subject;
            $own = new PartEntries($waivers);
            $this->fill($own, $subject);
            $entries = [...$entries, ...$own->entries()];
            $notChecked = [...$notChecked, ...$own->notChecked()];
            $lines = [...$lines, ...$own->lines($subject)];
        }

        return new Check($entries, $notChecked, $subjects, $lines);
    }

    private function fill(PartEntries $entries, Subject $subject): void
    {
        $passes = $subject->nothingDelivered() ? [] : $subject->byPass();
        $nothing = $this->tellsNothingCame($subject);
        foreach ($subject->part->requirements as $requirement) {
            $within = self::WITHIN[$requirement->id()] ?? null;
            if ($within !== null && $subject->part->find($within) === null) {
                $entries->leave($requirement, $subject);
            }
            if ($within === null && ! $this->isToldElsewhere($requirement, $subject)) {
                $this->fillLine($entries, $requirement, $subject, $passes, $nothing);
            }
        }
        $this->owedToSource($entries, $subject);
        $this->alongside($entries, $subject, $passes);
        foreach ($subject->part->ofPasses as $pass => $requirements) {
            $own = array_filter($passes, static fn (Subject $s): bool => $s->pass === (string) $pass);
            $this->fillOwnLines($entries, $requirements, (string) $pass, array_values($own)[0] ?? null, $subject);
        }
    }

    /**
     * @param  array<int, Subject>  $passes  by their place
     * @param  list<string>  $nothing  the lines that tell that nothing came
     */
    private function fillLine(
        PartEntries $entries,
        Requirement $requirement,
        Subject $subject,
        array $passes,
        array $nothing,
    ): void {
        $id = $requirement->id();
        $cells = $this->ofEachPass($requirement, $passes, $subject);
        $files = match (true) {
            $cells !== [] => self::together($id, $cells, $passes),
            $passes !== [] && ! self::isOfWholePart($id) => null,
            default => $this->files($requirement, $subject, in_array($id, $nothing, true)),
        };
        $scene = $subject->scene === null ? null : $this->ruleFor($id)->scene($requirement, $subject);
        $entries->add($requirement, $subject, self::required($requirement, $subject), $scene, $files, $cells);
    }

    /** What a part that is made from another owes it, as far as somebody has set or delivered it. */
    private function owedToSource(PartEntries $entries, Subject $subject): void
    {
        $source = $subject->source();
        if ($source === null || $subject->nothingDelivered()) {
            return;
        }
        $found = $subject->deliveryMatch?->parts[$source->name] ?? null;
        foreach (SourceRequirements::owed($subject->part, $source, $found) as $requirement) {
            $scene = $subject->scene === null
                ? null
                : $this->ruleFor($requirement->id())->scene($requirement, $subject);
            $scene = $scene?->mark === Mark::Unknown ? null : $scene;
            $files = $this->files($requirement, $subject, false);
            if ($scene !== null || $files !== null) {
                $entries->add($requirement, $subject, $requirement->required(), $scene, $files, []);
            } elseif ($subject->match !== null) {
                $entries->leave($requirement, $subject);
            }
        }
    }

    /**
     * What is asked of one pass alone.
     *
     * @param  array<string, Requirement>  $requirements
     * @param  Subject|null  $own  the pass, where it is there
     */
    private function fillOwnLines(
        PartEntries $entries,
        array $requirements,
        string $pass,
        ?Subject $own,
        Subject $part,
    ): void {
        $seen = $own ?? $part;
        foreach ($requirements as $requirement) {
            $cell = $own === null || $own->nothingDelivered()
                ? null
                : $this->ruleFor($requirement->id())->files($requirement, $own);
            $entries->addOfPass($requirement, $seen, self::required($requirement, $seen), $cell, $pass);
        }
    }

    /**
     * What nobody asks and files contradict themselves in.
     *
     * @param  array<int, Subject>  $passes
     */
    private function alongside(PartEntries $entries, Subject $subject, array $passes): void
    {
        $cells = array_filter(array_map(FrameInHeaderRule::cell(...), $passes === [] ? [$subject] : $passes));
        if ($cells !== []) {
            $joined = $passes === []
                ? $cells[0]
                : Cell::together($cells, array_map(static fn (Subject $s): string => (string) $s->pass, $passes));
            $entries->add(
                FrameInHeaderRule::requirement(),
                $subject,
                'as named',
                null,
                $joined,
                $passes === [] ? [] : $cells,
            );
        }
    }

    /**
     * @param  non-empty-array<int, Cell>  $cells  by the pass's place
     * @param  array<int, Subject>  $passes
     */
    private static function together(string $id, array $cells, array $passes): Cell
    {
        $all = Cell::together($cells, array_map(static fn (Subject $s): string => (string) $s->pass, $passes));

        return str_starts_with($id, 'naming.') ? $all->plainWhereEqual() : $all;
    }

    private static function required(Requirement $requirement, Subject $subject): string
    {
        return $requirement->id() === RequirementId::TIME_RANGE && $subject->expected !== null
            ? (string) $subject->expected
            : $requirement->required();
    }

    private function files(Requirement $requirement, Subject $subject, bool $tellsNothingCame): ?Cell
    {
        return match (true) {
            $tellsNothingCame => Cell::of(
                Mark::Unequal,
                $requirement->id() === RequirementId::TIME_COUNT ? '0' : 'none',
                [],
                $subject->expected === null ? [] : [0 => $subject->expected],
            ),
            $subject->match === null
                || ($subject->nothingDelivered() && ! str_starts_with($requirement->id(), 'delivery.')) => null,
            default => $this->ruleFor($requirement->id())->files($requirement, $subject),
        };
    }

    /**
     * @param  array<int, Subject>  $passes
     * @return array<int, Cell> by the pass's place; empty where it is about the part as a whole
     */
    private function ofEachPass(Requirement $requirement, array $passes, Subject $subject): array
    {
        $id = $requirement->id();
        if (self::isOfWholePart($id)) {
            return [];
        }
        $colour = in_array($id, self::OF_COLOUR_PASS, true) ? ColourPass::placeIn($subject) : null;
        $cells = [];
        foreach ($passes as $place => $own) {
            $askedAlone = isset($subject->part->ofPasses[(string) $own->pass][$id]);
            $cell = $askedAlone || ($colour !== null && $place !== $colour)
                ? null
                : $this->ofOnePass($requirement, $own, $place);
            $cells += $cell === null ? [] : [$place => $cell];
        }

        return $cells;
    }

    private function ofOnePass(Requirement $requirement, Subject $pass, int $place): ?Cell
    {
        if (! $pass->nothingDelivered()) {
            return $this->files($requirement, $pass, false);
        }
        $tells = in_array($requirement->id(), self::TELLS_A_PASS_MISSING, true);
        $cell = $tells ? $this->files($requirement, $pass, true) : null;
        $missing = $pass->expected === null ? [] : [$place => $pass->expected];

        return $cell === null ? null : Cell::of(Mark::Unequal, $cell->found, [], $missing);
    }

    private static function isOfWholePart(string $id): bool
    {
        return $id === RequirementId::PASSES || str_starts_with($id, 'delivery.');
    }

    /** @return list<string> */
    private function tellsNothingCame(Subject $subject): array
    {
        if (! $subject->nothingDelivered()) {
            return [];
        }
        $asked = array_keys($subject->part->requirements);
        $ranges = array_values(array_intersect([RequirementId::TIME_RANGE, RequirementId::TIME_COUNT], $asked));
        if ($ranges !== [] && $subject->isNumbered()) {
            return $ranges;
        }
        $telling = array_values(array_intersect(self::TELLS_NOTHING_CAME, $asked));
        // failing these, the first thing that files of this part would have shown
        $shown = array_filter(
            $subject->part->requirements,
            static fn (Requirement $r): bool => $r->descriptor->inFiles(),
        );

        return array_slice([...$telling, ...array_keys($shown)], 0, 1);
    }

    /** What concerns the whole delivery stands with the first part that asks it. */
    private function isToldElsewhere(Requirement $requirement, Subject $subject): bool
    {
        foreach (str_starts_with($requirement->id(), 'delivery.') ? $subject->specification->parts : [] as $part) {
            if ($part->find($requirement->id()) !== null) {
                return $part->name !== $subject->part->name;
            }
        }

        return false;
    }

    private function ruleFor(string $id): Rule
    {
        foreach ($this->rules as $rule) {
            if ($rule->answers($id)) {
                return $rule;
            }
        }
        throw new \LogicException("No rule answers {$id}.");
    }
}
