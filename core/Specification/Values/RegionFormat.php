<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;

/** A render region: `full`, `on`, or left, top, width and height in pixels. */
final readonly class RegionFormat extends ValueFormat
{
    private const NONE = ['full', 'off', 'no', 'false', 'none', '0', 'disabled', ''];

    public function canonical(string $text, Descriptor $descriptor): string
    {
        $text = strtolower(trim($text));
        if (in_array($text, self::NONE, true)) {
            return 'full';
        }
        if (in_array($text, ['on', 'yes', 'true', '1', 'enabled'], true)) {
            return 'on';
        }
        if (preg_match('~^(-?\d{1,7})[,;\s]+(-?\d{1,7})[,;\s]+(\d{1,7})[,;\sx]+(\d{1,7})$~', $text, $m) !== 1) {
            throw NotUnderstood::as('a region', $text, 'full, or x,y,width,height');
        }

        return (int) $m[1].','.(int) $m[2].','.(int) $m[3].','.(int) $m[4];
    }
}
