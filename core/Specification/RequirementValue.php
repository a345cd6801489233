<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use Brick\Math\BigDecimal;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Measure\Duration;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\PatternRefused;

/** The value of a requirement: one text, one of several, or bounds. */
final readonly class RequirementValue
{
    /**
     * @param  list<string>  $values  canonical texts of the descriptor's type; one of them will do (for passes: all)
     * @param  string|null  $min  a canonical number (or duration), likewise $max
     * @param  array<string, array<string, mixed>>  $own  of passes: what is asked of one alone, by its name, still as it was written
     * @param  string|null  $threshold  of black frames: the mean luminance that is still black, as a fraction of white
     * @param  bool  $number  of a fact of their own: asked as a number, not as the text of one
     * @param  string|null  $share  of black frames: the most percent of a picture's pixels that may be dark
     * @param  string|null  $tolerance  of held frames: the mean difference that is none, as a fraction of white
     */
    public function __construct(public array $values, public ?string $min, public ?string $max, public array $own = [], public ?string $threshold = null, public bool $number = false, public ?string $share = null, public ?string $tolerance = null) {}

    /**
     * What somebody typed into one field: a fact of their own that is plainly a number is one. `4.10` stays text,
     * since it may be a version.
     */
    public static function typed(Descriptor $descriptor, string $text): string|int|float
    {
        if ($descriptor->type !== ValueType::Any || preg_match('~^\s*-?(?:0|[1-9]\d{0,11})(?:\.\d{0,6}[1-9])?\s*$~D', $text) !== 1) {
            return $text;
        }

        return str_contains($text, '.') ? (float) $text : (int) $text;
    }

    /**
     * @param  mixed  $json  a scalar, a list, or an object with value, min, max, head, tail
     *
     * @throws NotUnderstood|PatternRefused
     */
    public static function read(Descriptor $descriptor, mixed $json): self
    {
        if (is_array($json) && ! array_is_list($json)) {
            return self::fromObject($descriptor, $json);
        }
        if ($descriptor->type === ValueType::Channels && is_array($json)) {
            return new self([self::one($descriptor, implode(',', array_map(self::scalar(...), $json)))], null, null);
        }
        if ($descriptor->type === ValueType::Passes) {
            return self::passes($json);
        }
        if ($descriptor->type === ValueType::Reference) {
            return new self(ApprovedPicture::canonical($json), null, null);
        }
        if (is_array($json)) {
            if ($json === []) {
                throw NotUnderstood::because('the list of values is empty.');
            }

            $values = array_values(array_unique(array_map(static fn (mixed $v): string => self::one($descriptor, self::scalar($v)), $json)));

            return new self($values, null, null, number: $descriptor->type === ValueType::Any && array_filter($json, self::isNumber(...)) === $json);
        }
        if ($descriptor->type === ValueType::Any && self::isNumber($json)) {
            return new self([self::scalar($json)], null, null, number: true);
        }
        $text = trim(self::scalar($json));
        if ($descriptor->type === ValueType::Black && preg_match('~^(.*?)[,;]?\s*threshold\s+(\S+)$~i', $text, $m) === 1) {
            return self::black($descriptor, ['value' => $m[1], 'threshold' => $m[2]]);
        }
        if ($descriptor->type === ValueType::Black && preg_match('~^(?:(.*?)[,;]?\s*)?(?:dark share|at most|up to)\s+(\d+(?:\.\d+)?)\s*%(?:\s*dark)?$~i', $text, $m) === 1) {
            return self::black($descriptor, ['dark_share' => $m[2]] + (trim($m[1]) === '' ? [] : ['value' => $m[1]]));
        }
        if ($descriptor->type === ValueType::Hold && preg_match('~^(.*?)[,;]?\s*(?:tolerance|within)\s+(\S+)$~i', $text, $m) === 1) {
            return self::held($m[1], $m[2]);
        }
        if ($descriptor->type === ValueType::Frozen) {
            return self::frozen($descriptor, $text);
        }
        if ($descriptor->type === ValueType::Duration) {
            return self::duration($text);
        }
        if ($descriptor->type === ValueType::Interval) {
            return self::interval($descriptor, $text);
        }
        // a decimal comma, in the rates that have one
        $text = $descriptor->type === ValueType::Rate ? (string) preg_replace('~\b(23|29|47|59|119),(\d{2,3})\b~', '$1.$2', $text) : $text;
        $text = $descriptor->bounds ? self::usualBounds($descriptor, $text) : $text;
        if ($descriptor->bounds && preg_match('~^\s*(?:(>=|<=|≥|≤|at least|at most|no less than|no more than|not above|not below|up to|from|min|max)\s*)?(\d+(?:\.\d+)?\s*(?!to\b)[A-Za-z/]*)(?:\s*(?:\.\.|–|-|\bto\b)\s*(\d+(?:\.\d+)?\s*[A-Za-z/]*))?\s*$~u', $text, $m) === 1 && ($m[1] !== '' || isset($m[3])) && self::canBeBounds($descriptor, $m[2], $m[3] ?? '0')) {
            // “5 to 8 Mbit/s”: the unit is written once
            $unit = isset($m[3]) && preg_match('~[A-Za-z]~', $m[2]) !== 1 && preg_match('~[A-Za-z/]+\s*$~', $m[3], $u) === 1 ? ' '.trim($u[0]) : '';
            $first = self::one($descriptor, trim($m[2]).$unit);
            if (isset($m[3])) {
                $last = self::one($descriptor, trim($m[3]));
                $counted = static fn (string $bound): string => $bound === 'none' ? '0' : $bound;

                return $first === 'none' && $last === 'none' ? new self(['none'], null, null) : self::bounds($counted($first), $counted($last));
            }

            if ($first === 'none') {
                return new self(['none'], null, null);
            }

            return in_array($m[1], ['>=', '≥', 'at least', 'no less than', 'not below', 'from', 'min'], true) ? self::bounds($first, null) : self::bounds(null, $first);
        }
        // free text and sizes may hold commas and words of their own
        $between = ($descriptor->type->isFreeText() && $descriptor->id !== 'burn_in') || $descriptor->type === ValueType::Resolution ? '~\s*\|\s*~' : '~\s*(?:\||,|\bor\b)\s*~';
        if ($descriptor->several && preg_match($between, $text) === 1) {
            $pieces = preg_split($between, $text, -1, PREG_SPLIT_NO_EMPTY) ?: [];
            if ($pieces === []) {
                throw NotUnderstood::because('the value is empty.');
            }

            return new self(array_values(array_unique(array_map(static fn (string $v): string => self::one($descriptor, $v), $pieces))), null, null);
        }

        $one = self::one($descriptor, $text);
        if ($descriptor->plain !== null && preg_match('~^\d+$~', $one) === 1) {
            return $descriptor->plain === 'min' ? new self([], $one, null) : new self([], null, $one);
        }

        return new self([$one], null, null);
    }

    /** `between 90 and 150`, `90+`, and of whole numbers `more than 90`, `under 150`, as bounds are written. */
    private static function usualBounds(Descriptor $descriptor, string $text): string
    {
        $text = (string) preg_replace(['~^between\s+(.+?)\s+and\s+(.+)$~i', '~^(\d+(?:\.\d+)?)\s*\+$~', '~^(\d+(?:\.\d+)?)\s+or\s+more$~i', '~^(\d+(?:\.\d+)?)\s+or\s+(?:less|fewer)$~i'], ['$1 to $2', '>= $1', '>= $1', '<= $1'], $text);
        if ($descriptor->type === ValueType::Whole && preg_match('~^(>|<|more than|over|above|fewer than|less than|under|below)\s*(\d{1,12})$~i', $text, $m) === 1) {
            return in_array(strtolower($m[1]), ['>', 'more than', 'over', 'above'], true) ? '>= '.((int) $m[2] + 1) : '<= '.max(0, (int) $m[2] - 1);
        }

        return $text;
    }

    /** With what people write around a number or a word taken off, where it is no value as it stands. */
    private static function tidied(Descriptor $descriptor, string $text): string
    {
        try {
            return $descriptor->canonical($text);
        } catch (NotUnderstood $refused) {
            foreach (in_array($descriptor->type, [ValueType::Whole, ValueType::Percent, ValueType::Word, ValueType::Rate], true) ? LenientValue::readings($descriptor, $text) : [] as $reading) {
                try {
                    return $descriptor->canonical($reading);
                } catch (NotUnderstood) {
                    // the next reading may do
                }
            }
            throw $refused;
        }
    }

    /** The canonical text of one value, which is never empty but where nothing typed means no. */
    private static function one(Descriptor $descriptor, string $text): string
    {
        if (trim($text) === '' && ! in_array($descriptor->type, [ValueType::YesNo, ValueType::OnOff], true)) {
            throw NotUnderstood::because('the value is empty.');
        }
        $canonical = self::tidied($descriptor, $text);
        if ($canonical === '') {
            throw NotUnderstood::because('the value is empty.');
        }
        if (preg_match('~^\d+$~', $canonical) === 1 && (($descriptor->least !== null && (int) $canonical < $descriptor->least) || ($descriptor->most !== null && (int) $canonical > $descriptor->most))) {
            throw NotUnderstood::because("{$canonical} is not possible: it is from {$descriptor->least} to {$descriptor->most}.");
        }

        return $canonical;
    }

    /** `none`, frames that may stand still, or how many in a row may be alike. */
    private static function frozen(Descriptor $descriptor, string $text): self
    {
        if (preg_match('~^(?:<=|≤|at most|up to|max|no more than)?\s*(\d{1,9})(?:\s*frames?)?$~iu', $text, $m) === 1) {
            return new self([], null, (string) max(1, (int) $m[1]));
        }

        $frames = self::one($descriptor, $text);
        if (preg_match('~^-?\d+$~', $frames) === 1) {
            throw NotUnderstood::because('one frame alone does not stand still; a range of frames, or a count of frames in a row, is expected.');
        }

        return new self([$frames], null, null);
    }

    /** A most, unless a least is said. */
    private static function interval(Descriptor $descriptor, string $text): self
    {
        if (preg_match('~^(?:between\s+)?(.+?)\s*(?:\.\.|–|\bto\b|\band\b)\s*(.+)$~iu', $text, $m) === 1) {
            return new self([], self::one($descriptor, $m[1]), self::one($descriptor, $m[2]));
        }
        if (preg_match('~^(?:>=|≥|at least|no less than|min)\s*(.+)$~iu', $text, $m) === 1) {
            return new self([], self::one($descriptor, $m[1]), null);
        }

        return new self([], null, self::one($descriptor, (string) preg_replace('~^(?:<=|≤|at most|up to|no more than|not above|max)\s*~iu', '', $text)));
    }

    private static function duration(string $text): self
    {
        $time = static fn (string $one): string => ValueType::Duration->canonical(trim($one));
        if (preg_match('~^(?:between\s+)?(.+?)\s*(?:\.\.|–|\bto\b|\band\b)\s*(.+)$~iu', $text, $m) === 1) {
            return self::times($time($m[1]), $time($m[2]));
        }
        if (preg_match('~^(>=|≥|at least|min)\s*(.+)$~iu', $text, $m) === 1) {
            return new self([], $time($m[2]), null);
        }
        if (preg_match('~^(<=|≤|at most|up to|no more than|max)\s*(.+)$~iu', $text, $m) === 1) {
            return new self([], null, $time($m[2]));
        }

        return new self([$time($text)], null, null);
    }

    private static function times(?string $min, ?string $max): self
    {
        if ($min !== null && $max !== null && Duration::parse($min)->isLongerThan(Duration::parse($max))) {
            throw NotUnderstood::because("the shortest time, {$min}, is above the longest, {$max}.");
        }

        return new self([], $min, $max);
    }

    /** @param  array<array-key, mixed>  $json */
    private static function fromObject(Descriptor $descriptor, array $json): self
    {
        if ($descriptor->type === ValueType::Reference) {
            return new self(ApprovedPicture::canonical($json), null, null);
        }
        if ($descriptor->type === ValueType::Hold) {
            $hold = isset($json['head']) || isset($json['tail']) ? self::scalar($json['head'] ?? 0).'+'.self::scalar($json['tail'] ?? 0) : self::scalar($json['value'] ?? '');

            return isset($json['tolerance']) ? self::held($hold, self::scalar($json['tolerance'])) : new self([ValueType::Hold->canonical($hold)], null, null);
        }
        if ($descriptor->type === ValueType::Handles && (isset($json['head']) || isset($json['tail']))) {
            return new self([ValueType::Handles->canonical(self::scalar($json['head'] ?? 0).'+'.self::scalar($json['tail'] ?? 0))], null, null);
        }
        if ($descriptor->type === ValueType::Black) {
            return self::black($descriptor, $json);
        }
        if ($descriptor->type === ValueType::Passes && ! array_key_exists('value', $json) && isset($json['name'])) {
            return self::passes([$json]);
        }
        if (array_key_exists('value', $json)) {
            return self::read($descriptor, $json['value']);
        }
        if ($descriptor->type === ValueType::Duration && (isset($json['min']) || isset($json['max']))) {
            $time = static fn (string $key): ?string => isset($json[$key]) ? ValueType::Duration->canonical(self::scalar($json[$key])) : null;

            return self::times($time('min'), $time('max'));
        }
        if ($descriptor->type === ValueType::Frozen && isset($json['max'])) {
            return self::frozen($descriptor, self::scalar($json['max']));
        }
        if ($descriptor->type === ValueType::Interval && (isset($json['min']) || isset($json['max']))) {
            $interval = static fn (string $key): ?string => isset($json[$key]) ? self::one($descriptor, self::scalar($json[$key])) : null;

            return new self([], $interval('min'), $interval('max'));
        }
        if ($descriptor->bounds && (isset($json['min']) || isset($json['max']))) {
            $bound = static fn (string $key): ?string => isset($json[$key]) ? self::bound($descriptor, self::scalar($json[$key])) : null;

            return self::bounds($bound('min'), $bound('max'));
        }
        if (in_array($descriptor->type, [ValueType::Any], true)) {
            return new self([(string) json_encode($json, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)], null, null);
        }
        throw NotUnderstood::because($descriptor->bounds ? 'an object here has "value", "min" or "max".' : 'an object here has "value".');
    }

    private static function bound(Descriptor $descriptor, string $text): string
    {
        $number = $descriptor->type->isFreeText();
        $canonical = $number ? ValueType::Number->canonical($text) : self::one($descriptor, $text);

        return $canonical === 'none' ? '0' : $canonical;
    }

    private static function held(string $frames, string $tolerance): self
    {
        return new self([ValueType::Hold->canonical($frames)], null, null, tolerance: Tolerance::canonical($tolerance));
    }

    /** @param  array<array-key, mixed>  $json with value (or allowed), threshold and dark_share */
    private static function black(Descriptor $descriptor, array $json): self
    {
        $ask = self::read($descriptor, $json['value'] ?? $json['allowed'] ?? 'none');
        if (isset($json['dark_share'])) {
            $share = Fraction::parse(rtrim(self::scalar($json['dark_share']), "% \t"), 'a share in percent', '60');
            if ($share->isLessThan(0) || $share->isGreaterThan(100)) {
                throw NotUnderstood::because('the share of dark pixels is from 0 to 100 percent.');
            }
            $threshold = isset($json['threshold']) ? self::black($descriptor, array_diff_key($json, ['dark_share' => 1]))->threshold : null;

            return new self($ask->values, null, null, threshold: $threshold, share: Fraction::decimal($share, 3));
        }
        if (! isset($json['threshold'])) {
            return $ask;
        }
        $given = trim(self::scalar($json['threshold']));
        $threshold = Fraction::parse(rtrim($given, "% \t"), 'a threshold', '1/255, 0.01 or 1%');
        $threshold = str_ends_with($given, '%') ? $threshold->dividedBy(100)->simplified() : $threshold;
        if ($threshold->isLessThan(0) || $threshold->isGreaterThanOrEqualTo(1)) {
            throw NotUnderstood::because('the threshold of black is a fraction of white, from 0 to below 1, like 1/255 or 0.01.');
        }

        return new self($ask->values, null, null, threshold: Fraction::write($threshold));
    }

    /** What is asked in words of one's own has bounds where those are plain numbers; “5 to 8 Mbit/s” is a text. */
    private static function canBeBounds(Descriptor $descriptor, string $first, string $last): bool
    {
        $number = '~^\d+(?:\.\d+)?$~';

        return ! $descriptor->type->isFreeText() || (preg_match($number, trim($first)) === 1 && preg_match($number, trim($last)) === 1);
    }

    private static function bounds(?string $min, ?string $max): self
    {
        if ($min !== null && $max !== null && BigDecimal::of($min)->isGreaterThan(BigDecimal::of($max))) {
            throw NotUnderstood::because("the smallest value, {$min}, is above the largest, {$max}.");
        }

        return new self([], $min, $max);
    }

    private static function passes(mixed $json): self
    {
        $list = is_array($json) ? $json : PassList::parse(self::scalar($json));
        $names = [];
        $own = [];
        foreach ($list as $pass) {
            $name = trim(is_array($pass) ? self::scalar($pass['name'] ?? '') : self::scalar($pass));
            if ($name === '') {
                throw NotUnderstood::because('a pass needs a name.');
            }
            $names[] = $name;
            if (is_array($pass) && isset($pass['require'])) {
                if (! is_array($pass['require']) || ($pass['require'] !== [] && array_is_list($pass['require']))) {
                    throw NotUnderstood::because("what is asked of the pass “{$name}” alone must be an object, and ".JsonDocument::typeOf($pass['require']).' stands there.');
                }
                /** @var array<string, mixed> $require */
                $require = $pass['require'];
                $own[$name] = $require;
            }
        }
        if ($names === []) {
            throw NotUnderstood::because('the list of passes is empty.');
        }

        return new self(array_values(array_unique($names)), null, null, array_filter($own, static fn (array $r): bool => $r !== []));
    }

    private static function isNumber(mixed $json): bool
    {
        return is_int($json) || (is_float($json) && is_finite($json));
    }

    /** A scalar as people would have typed it: 23.976 stays 23.976. */
    public static function scalar(mixed $value): string
    {
        return match (true) {
            is_string($value) => $value,
            is_bool($value) => $value ? 'yes' : 'no',
            is_int($value) => (string) $value,
            is_float($value) => (string) json_encode($value),
            default => throw NotUnderstood::because('a text, a number or true/false is expected, and '.JsonDocument::typeOf($value).' stands there.'),
        };
    }

    /** The value where one was asked plainly. */
    public function single(): ?string
    {
        return $this->values[0] ?? null;
    }

    /** `zip | zips`, `>= 128`, `90..150`. */
    public function __toString(): string
    {
        return match (true) {
            $this->share !== null => implode(' | ', $this->values).($this->threshold === null ? '' : ", threshold {$this->threshold}").", at most {$this->share} %",
            $this->threshold !== null => implode(' | ', $this->values).", threshold {$this->threshold}",
            $this->tolerance !== null => implode(' | ', $this->values).", tolerance {$this->tolerance}",
            $this->values !== [] => implode(' | ', $this->values),
            $this->min !== null && $this->max !== null => "{$this->min}..{$this->max}",
            $this->min !== null => ">= {$this->min}",
            default => "<= {$this->max}",
        };
    }

    /** Whether a canonical number lies within the bounds, or is one of the values. */
    public function admitsNumber(string $number): bool
    {
        $found = BigDecimal::of($number);
        if ($this->values !== []) {
            foreach ($this->values as $value) {
                if ($found->isEqualTo(BigDecimal::of($value))) {
                    return true;
                }
            }

            return false;
        }

        return ($this->min === null || $found->isGreaterThanOrEqualTo(BigDecimal::of($this->min)))
            && ($this->max === null || $found->isLessThanOrEqualTo(BigDecimal::of($this->max)));
    }
}
