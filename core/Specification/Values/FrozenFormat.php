<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementValue;

/** Frames that may stand still: `none`, which ones, or how many in a row may be alike. */
final readonly class FrozenFormat extends FramesOrNoneFormat
{
    protected function fromText(Descriptor $descriptor, string $text): RequirementValue
    {
        if (preg_match('~^(?:<=|≤|at most|up to|max|no more than)?\s*(\d{1,9})(?:\s*frames?)?$~iu', $text, $m) === 1) {
            return RequirementValue::between(null, (string) max(1, (int) $m[1]));
        }
        $frames = $this->one($descriptor, $text);
        if (preg_match('~^-?\d+$~', $frames) === 1) {
            throw NotUnderstood::because(
                'one frame alone does not stand still; a range of frames, or a count of frames in a row, is expected.',
            );
        }

        return RequirementValue::one($frames);
    }

    protected function fromObject(Descriptor $descriptor, array $json): RequirementValue
    {
        return ! array_key_exists('value', $json) && isset($json['max'])
            ? $this->fromText($descriptor, trim(Scalar::text($json['max'])))
            : parent::fromObject($descriptor, $json);
    }
}
