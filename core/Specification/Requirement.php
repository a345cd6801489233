<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Text\Text;

/** One thing asked, resolved: its value, how much it weighs, why, and which layer set it. */
final readonly class Requirement
{
    public function __construct(
        public Descriptor $descriptor,
        public RequirementValue $value,
        public Level $level,
        public ?string $why,
        public SetBy $setBy,
    ) {}

    /**
     * @param  string  $where  for sentences: the file or field it stands in
     *
     * @throws SpecificationRefused
     */
    public static function read(Descriptor $descriptor, mixed $json, SetBy $setBy, string $where): self
    {
        $level = Level::Must;
        $why = null;
        if (is_array($json) && ! array_is_list($json)) {
            $told = $json['level'] ?? 'must';
            $level = is_string($told) ? Level::tryFrom(strtolower($told)) : null;
            if ($level === null) {
                throw SpecificationRefused::requirement($where, $descriptor->id, 'the level is “must” or “should”.');
            }
            $why = is_string($json['why'] ?? null) ? Text::shown($json['why']) : null;
        }
        try {
            return new self($descriptor, RequirementValue::read($descriptor, $json), $level, $why, $setBy);
        } catch (NotUnderstood|PatternRefused $refused) {
            throw SpecificationRefused::requirement($where, $descriptor->id, $refused->getMessage(), $refused);
        }
    }

    /** What a requirement that is written as an object can have in it. */
    private const KEYS = [
        'value', 'level', 'why', 'min', 'max', 'head', 'tail', 'tolerance', 'threshold', 'dark_share', 'allowed',
        'name', 'require', 'frame', 'picture',
    ];

    /**
     * Keys of an object that say nothing here, so that nothing asked is passed over in silence.
     *
     * @return list<string>
     */
    public static function strangeKeys(Descriptor $descriptor, mixed $json): array
    {
        if (! is_array($json) || array_is_list($json) || $descriptor->type === ValueType::Any) {
            return [];
        }

        return array_values(array_diff(array_map(strval(...), array_keys($json)), self::KEYS));
    }

    public function id(): string
    {
        return $this->descriptor->id;
    }

    /** The value as one text for people and machines. */
    public function required(): string
    {
        return $this->descriptor->type === ValueType::Reference
            ? implode(
                '; ',
                array_map(static fn (ApprovedPicture $a): string => $a->typed(), ApprovedPicture::listOf($this->value)),
            )
            : (string) $this->value;
    }

    /** The value as it would be typed, with what is asked of single passes. */
    public function typed(): string
    {
        return $this->value->own === [] ? $this->required() : PassList::write($this->value);
    }

    /** The requirement as a plain sentence. */
    public function sentence(): string
    {
        $value = $this->required();
        $exact = $this->descriptor->wording->exact[$value] ?? null;
        if ($exact !== null) {
            return $exact;
        }
        if ($this->descriptor->type === ValueType::YesNo && $value === 'yes') {
            return str_replace(': %s.', '.', $this->descriptor->wording->sentence);
        }
        if ($this->descriptor->type === ValueType::Region) {
            return "Only the region {$value} is rendered: left, top, width and height.";
        }
        $onePass = $this->descriptor->type === ValueType::Passes && count($this->value->values) === 1;
        $sentence = $onePass ? "The pass is {$this->spoken()}." : $this->descriptor->wording->with($this->spoken());
        $tolerance = $this->value->pixels->tolerance;

        return $sentence
            .($tolerance === null ? '' : " Pictures that differ by at most {$tolerance} of white are the same.")
            .PassList::sentences($this->value);
    }

    /** The value as it would be read out. */
    private function spoken(): string
    {
        $format = $this->descriptor->type->format();
        if ($this->value->values === []) {
            return $this->spokenBounds();
        }
        $spoken = Text::series(
            array_map($format->spoken(...), $this->value->values),
            $format->meansAll($this->descriptor) ? 'and' : 'or',
        );
        [$share, $threshold] = [$this->value->pixels->share, $this->value->pixels->threshold];
        if ($share !== null) {
            return ($spoken === 'none' ? '' : "{$spoken}, and ")."at most {$share} % of a picture may be dark";
        }

        return $threshold === null ? $spoken : "{$spoken}, where black is a mean of at most {$threshold} of white";
    }

    private function spokenBounds(): string
    {
        $format = $this->descriptor->type->format();
        $min = $this->value->min === null ? null : $format->spoken($this->value->min);
        $max = $this->value->max === null ? null : $format->spoken($this->value->max);

        return match (true) {
            $min !== null && $max !== null => "{$min} to {$max}",
            $min !== null => "at least {$min}",
            default => "at most {$max}",
        };
    }
}
