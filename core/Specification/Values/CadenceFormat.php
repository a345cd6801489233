<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;

/** How long each picture stands: `every`, `2`, `on twos`, `2-3`. */
final readonly class CadenceFormat extends ValueFormat
{
    private const AROUND = '~^(?:drawn\s+)?on\s+|\s*frames?(?:\s+each)?$|\s*pull-?down$~i';

    private const WORDS = [
        'ones' => 'every', 'one' => 'every', '1' => 'every', 'each' => 'every', 'all' => 'every', 'every' => 'every',
        'every frame' => 'every',
        'twos' => '2', 'threes' => '3', 'fours' => '4',
    ];

    public function canonical(string $text, Descriptor $descriptor): string
    {
        $plain = strtolower(trim((string) preg_replace(self::AROUND, '', trim($text))));
        if (isset(self::WORDS[$plain])) {
            return self::WORDS[$plain];
        }
        if (preg_match('~^([1-9]\d?)(?:\s*[-:/]\s*([1-9]\d?))?$~', $plain, $m) !== 1) {
            throw NotUnderstood::as('a cadence', $text, 'every, 2 or 2-3');
        }

        return isset($m[2]) ? min((int) $m[1], (int) $m[2]).'-'.max((int) $m[1], (int) $m[2]) : $m[1];
    }

    public function spoken(string $value): string
    {
        return str_contains($value, '-') ? str_replace('-', ' and ', $value).' frames in turn' : "{$value} frames";
    }
}
