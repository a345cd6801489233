<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\PixelLimits;
use PlainLedger\Core\Specification\RequirementValue;

/** Frames that may be black, from which luminance on they are, and how much of a picture may be dark. */
final readonly class BlackFormat extends FramesOrNoneFormat
{
    private const SHARE = '~^(?:(.*?)[,;]?\s*)?(?:dark share|at most|up to)\s+(\d+(?:\.\d+)?)\s*%(?:\s*dark)?$~i';

    public function write(RequirementValue $value): mixed
    {
        [$threshold, $share] = [$value->pixels->threshold, $value->pixels->share];
        if ($threshold === null && $share === null) {
            return parent::write($value);
        }
        $shown = $share !== null && $value->single() === 'none' ? null : $value->single();
        $document = [
            'value' => $shown,
            'dark_share' => $share === null ? null : self::number($share),
            'threshold' => $threshold,
        ];

        return array_filter($document, static fn (mixed $member): bool => $member !== null);
    }

    protected function fromText(Descriptor $descriptor, string $text): RequirementValue
    {
        if (preg_match('~^(.*?)[,;]?\s*threshold\s+(\S+)$~i', $text, $m) === 1) {
            return $this->fromObject($descriptor, ['value' => $m[1], 'threshold' => $m[2]]);
        }
        if (preg_match(self::SHARE, $text, $m) === 1) {
            return $this->fromObject(
                $descriptor,
                ['dark_share' => $m[2]] + (trim($m[1]) === '' ? [] : ['value' => $m[1]]),
            );
        }

        return parent::fromText($descriptor, $text);
    }

    protected function fromObject(Descriptor $descriptor, array $json): RequirementValue
    {
        $frames = $this->read($descriptor, $json['value'] ?? $json['allowed'] ?? 'none');
        $share = isset($json['dark_share']) ? self::share(Scalar::text($json['dark_share'])) : null;
        $threshold = isset($json['threshold']) ? self::threshold(trim(Scalar::text($json['threshold']))) : null;

        return $share === null && $threshold === null ? $frames : $frames->looking(new PixelLimits($threshold, $share));
    }

    private static function share(string $text): string
    {
        $share = Fraction::parse(rtrim($text, "% \t"), 'a share in percent', '60');
        if ($share->isLessThan(0) || $share->isGreaterThan(100)) {
            throw NotUnderstood::because('the share of dark pixels is from 0 to 100 percent.');
        }

        return Fraction::decimal($share, 3);
    }

    private static function threshold(string $text): string
    {
        $threshold = Fraction::parse(rtrim($text, "% \t"), 'a threshold', '1/255, 0.01 or 1%');
        $threshold = str_ends_with($text, '%') ? $threshold->dividedBy(100)->simplified() : $threshold;
        if ($threshold->isLessThan(0) || $threshold->isGreaterThanOrEqualTo(1)) {
            throw NotUnderstood::because(
                'the threshold of black is a fraction of white, from 0 to below 1, like 1/255 or 0.01.',
            );
        }

        return Fraction::write($threshold);
    }

    private static function number(string $text): int|float
    {
        return str_contains($text, '.') ? (float) $text : (int) $text;
    }
}
