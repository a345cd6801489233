<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementValue;

/** A count of frames, exact seconds, or a share of the rate: `12`, `1/2 s`, `1/2 rate`. */
final readonly class IntervalFormat extends ValueFormat
{
    private const WORDS = [
        '~^(?:every|each)\s+~' => '', '~^half\b~' => '1/2', '~^(?:a\s+)?quarter\b~' => '1/4',
        '~^(?:twice|double)\b~' => '2',
    ];

    public function canonical(string $text, Descriptor $descriptor): string
    {
        $plain = (string) preg_replace(array_keys(self::WORDS), array_values(self::WORDS), strtolower(trim($text)));
        if (
            preg_match('~^(\S+)\s*(?:s|secs?|seconds?)(?:\s+of\s+video)?$~', $plain, $m) === 1
            || preg_match('~^(a|one)\s+second$|^second$~', $plain) === 1
        ) {
            return Fraction::write(Fraction::positive($m[1] ?? '1')).' s';
        }
        if (preg_match('~^(\d+(?:\.\d+)?)\s*%\s*(?:of\s+)?(?:the\s+)?(?:frame\s*)?(?:rate|fps)$~', $plain, $m) === 1) {
            return Fraction::write(Fraction::parse($m[1])->dividedBy(100)->simplified()).' rate';
        }
        if (preg_match('~^(?:(\S+)\s*(?:[x×*]\s*|of\s+)?)?(?:the\s+)?(?:frame\s*)?(?:rate|fps)$~', $plain, $m) === 1) {
            return Fraction::write(Fraction::positive(($m[1] ?? '') === '' ? '1' : $m[1])).' rate';
        }

        return WholeFormat::whole($plain, $descriptor);
    }

    public function spoken(string $value): string
    {
        return preg_match('~^\d+$~', $value) === 1
            ? "{$value} frames"
            : str_replace(['1 rate', ' rate'], ['one second', ' of the rate'], $value);
    }

    /** A most, unless a least is said. */
    protected function fromText(Descriptor $descriptor, string $text): RequirementValue
    {
        if (preg_match('~^(?:between\s+)?(.+?)\s*(?:\.\.|–|\bto\b|\band\b)\s*(.+)$~iu', $text, $m) === 1) {
            return RequirementValue::between($this->one($descriptor, $m[1]), $this->one($descriptor, $m[2]));
        }
        if (preg_match('~^(?:>=|≥|at least|no less than|min)\s*(.+)$~iu', $text, $m) === 1) {
            return RequirementValue::between($this->one($descriptor, $m[1]), null);
        }
        $most = (string) preg_replace('~^(?:<=|≤|at most|up to|no more than|not above|max)\s*~iu', '', $text);

        return RequirementValue::between(null, $this->one($descriptor, $most));
    }

    protected function fromObject(Descriptor $descriptor, array $json): RequirementValue
    {
        if (array_key_exists('value', $json) || ! (isset($json['min']) || isset($json['max']))) {
            return parent::fromObject($descriptor, $json);
        }
        $bound = fn (string $key): ?string => isset($json[$key])
            ? $this->one($descriptor, Scalar::text($json[$key]))
            : null;

        return RequirementValue::between($bound('min'), $bound('max'));
    }
}
