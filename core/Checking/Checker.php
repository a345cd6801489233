<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Checking\Rules\BurnInRule;
use PlainLedger\Core\Checking\Rules\CameraRules;
use PlainLedger\Core\Checking\Rules\ContentRules;
use PlainLedger\Core\Checking\Rules\DeliveryRules;
use PlainLedger\Core\Checking\Rules\FileSizeRule;
use PlainLedger\Core\Checking\Rules\FormatRules;
use PlainLedger\Core\Checking\Rules\HeaderRules;
use PlainLedger\Core\Checking\Rules\KindRule;
use PlainLedger\Core\Checking\Rules\NamingRules;
use PlainLedger\Core\Checking\Rules\OutputFolderRule;
use PlainLedger\Core\Checking\Rules\OverwritesRule;
use PlainLedger\Core\Checking\Rules\PassesRule;
use PlainLedger\Core\Checking\Rules\PixelRules;
use PlainLedger\Core\Checking\Rules\PlainSetting;
use PlainLedger\Core\Checking\Rules\ProjectionRule;
use PlainLedger\Core\Checking\Rules\RangeRules;
use PlainLedger\Core\Checking\Rules\RateRule;
use PlainLedger\Core\Checking\Rules\RegionRule;
use PlainLedger\Core\Checking\Rules\ResolutionRule;
use PlainLedger\Core\Checking\Rules\Rule;
use PlainLedger\Core\Checking\Rules\SceneStateRules;
use PlainLedger\Core\Checking\Rules\ShapeRules;
use PlainLedger\Core\Checking\Rules\StillnessRules;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Matching\DeliveryMatch;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\Specification;

/** Lays requirements, scene and files beside each other, line by line. */
final readonly class Checker
{
    /** Ids that are looked at together with another and make no line of their own. */
    private const WITHIN = ['time.handles' => 'time.range'];

    /** Where nothing came, the first of these that is asked says so. */
    private const TELLS_NOTHING_CAME = ['time.range', 'time.count', 'format.kind', 'naming.pattern', 'content.whole', 'picture.resolution'];

    /** @param  list<Rule>  $rules the first that answers an id is taken */
    public function __construct(private array $rules) {}

    public static function standard(): self
    {
        return new self([
            new ResolutionRule, new ShapeRules, new RegionRule, new RateRule, new RangeRules, new CameraRules, new SceneStateRules,
            new OutputFolderRule, new OverwritesRule, new KindRule, new FileSizeRule, new HeaderRules, new ProjectionRule, new BurnInRule, new FormatRules, new NamingRules, new PassesRule, new ContentRules, new PixelRules, new StillnessRules, new DeliveryRules, new PlainSetting,
        ]);
    }

    /**
     * @param  DeliveryMatch|null  $match  of this very delivery
     * @param  list<Waiver>  $waivers  unequal lines that are accepted as they are
     * @param  EarlierFiles|null  $earlier  what the scene must not write over
     * @param  array<string, list<string>>  $others  values of other deliverables, by piece of a name
     */
    public function check(Specification $specification, ?SceneSettings $scene, ?Delivery $delivery, ?DeliveryMatch $match, array $waivers = [], ?EarlierFiles $earlier = null, array $others = []): Check
    {
        $entries = [];
        $notChecked = [];
        $subjects = [];
        $passSubjects = [];
        foreach ($specification->parts as $part) {
            $subject = new Subject($specification, $part, $scene, $delivery, $match, $match?->parts[$part->name] ?? null, null, $earlier, $others);
            $subjects[] = $subject;
            $nothing = $this->tellsNothingCame($subject);
            foreach ($part->requirements as $requirement) {
                $entry = $this->entry($requirement, $subject->without($requirement->id()), in_array($requirement->id(), $nothing, true));
                if ($entry !== null) {
                    $entries[] = $entry;
                } elseif (! $this->isTold($requirement, $subject)) {
                    $notChecked[] = ['id' => $requirement->id(), 'part' => $part->name];
                }
            }
            foreach ($part->ofPasses as $pass => $requirements) {
                $own = $subject->nothingDelivered() ? null : $subject->ofPass((string) $pass);
                foreach ($requirements as $requirement) {
                    $entry = $own === null || $own->nothingDelivered() ? null : $this->entry($requirement, $own, false);
                    if ($entry !== null) {
                        $entries[] = $entry;
                    } else {
                        $notChecked[] = ['id' => $requirement->id(), 'part' => $part->name, 'pass' => (string) $pass];
                    }
                }
                $passSubjects = [...$passSubjects, ...($own === null ? [] : [$own])];
            }
        }

        $entries = array_map(static function (Entry $entry) use ($waivers): Entry {
            foreach ($waivers as $waiver) {
                if ($waiver->holdsFor($entry)) {
                    return $entry->waived($waiver);
                }
            }

            return $entry;
        }, $entries);

        return new Check($entries, $notChecked, $subjects, $passSubjects);
    }

    private function entry(Requirement $requirement, Subject $subject, bool $tellsNothingCame): ?Entry
    {
        if (isset(self::WITHIN[$requirement->id()])) {
            return null;
        }
        $rule = $this->ruleFor($requirement->id());
        $scene = $subject->scene === null ? null : $rule->scene($requirement, $subject);
        $files = match (true) {
            $tellsNothingCame => Cell::of(Mark::Unequal, $requirement->id() === 'time.count' ? '0' : 'none', [], $subject->expected === null ? [] : [0 => $subject->expected]),
            $subject->match === null || ($subject->nothingDelivered() && ! str_starts_with($requirement->id(), 'delivery.')) => null,
            default => $rule->files($requirement, $subject),
        };
        $required = $requirement->id() === 'time.range' && $subject->expected !== null ? (string) $subject->expected : $requirement->required();

        return Entry::of($requirement, $subject->part->name, $required, $scene, $files, $subject->pass);
    }

    /** @return list<string> */
    private function tellsNothingCame(Subject $subject): array
    {
        if (! $subject->nothingDelivered()) {
            return [];
        }
        $asked = array_keys($subject->part->requirements);
        $ranges = array_values(array_intersect(['time.range', 'time.count'], $asked));
        if ($ranges !== [] && $subject->isNumbered()) {
            return $ranges;
        }
        $telling = array_values(array_intersect(self::TELLS_NOTHING_CAME, $asked));

        // failing these, the first thing that files of this part would have shown
        $shown = array_filter($subject->part->requirements, static fn (Requirement $r): bool => preg_match('~[FM]~', $r->descriptor->sides) === 1);

        return array_slice([...$telling, ...array_keys($shown)], 0, 1);
    }

    private function isTold(Requirement $requirement, Subject $subject): bool
    {
        $with = self::WITHIN[$requirement->id()] ?? null;
        if ($with !== null) {
            return $subject->part->find($with) !== null;
        }

        // what concerns the whole delivery stands with the first part
        return str_starts_with($requirement->id(), 'delivery.') && $subject->specification->parts[0]->name !== $subject->part->name;
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
