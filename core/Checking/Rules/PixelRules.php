<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use Brick\Math\BigRational;
use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Pixels;
use PlainLedger\Core\Media\PixelSample;
use PlainLedger\Core\Media\PixelSampler;
use PlainLedger\Core\Media\SampleOptions;
use PlainLedger\Core\Specification\ApprovedPicture;
use PlainLedger\Core\Specification\Catalogue\ContentRequirements;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** `content.black` and `content.alpha_used`: what each picture shows by itself. */
final readonly class PixelRules implements Rule
{
    /** Those that compare pictures with each other. */
    private const COMPARES = [RequirementId::CONTENT_LOOP, RequirementId::CONTENT_HOLD];

    private const BLACK = '1/255';

    /**
     * What has to be looked for in pixels, in plain values that can be compared; null where nothing asks for it.
     *
     * @return array{compares: bool, dark: string|null, approved: array<int, string>}|null
     */
    public static function sampleOptionsFor(Specification $specification): ?array
    {
        if (! $specification->asksAny(ContentRequirements::OF_PIXELS)) {
            return null;
        }

        return [
            'compares' => $specification->asksAny(self::COMPARES),
            'dark' => self::darkness($specification),
            'approved' => ApprovedPicture::in($specification),
        ];
    }

    /**
     * What is to look at pixels while files are scanned; null where nothing asks what is in them.
     *
     * @param  array<int, Pixels|null>  $approved  approved pictures by frame
     */
    public static function sampler(Specification $specification, array $approved = []): ?PixelSampler
    {
        $for = self::sampleOptionsFor($specification);

        return $for === null
            ? null
            : PixelSampler::standard(
                new SampleOptions(
                    $for['compares'],
                    $for['dark'] === null ? null : Fraction::parse($for['dark']),
                    $approved,
                ),
            );
    }

    /** How light a pixel may be to count as dark, where a share of dark pixels is asked; the last one asked holds. */
    private static function darkness(Specification $specification): ?string
    {
        $dark = null;
        foreach ($specification->parts as $part) {
            foreach ([$part->requirements, ...array_values($part->ofPasses)] as $requirements) {
                $ask = ($requirements[RequirementId::CONTENT_BLACK] ?? null)?->value;
                $dark = $ask?->pixels->share === null ? $dark : $ask->pixels->threshold ?? self::BLACK;
            }
        }

        return $dark;
    }

    public function answers(string $id): bool
    {
        return $id === RequirementId::CONTENT_BLACK || $id === RequirementId::CONTENT_ALPHA_USED;
    }

    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $pass = PassSamples::of($subject);
        if ($pass === null) {
            return null;
        }

        return $requirement->id() === RequirementId::CONTENT_BLACK
            ? $this->black($requirement, $pass)
            : $this->alpha($requirement, $pass);
    }

    private function black(Requirement $requirement, PassSamples $pass): Cell
    {
        $asked = $requirement->value->single() ?? 'none';
        $allowed = $asked === 'none' ? FrameRange::none() : FrameRange::parse($asked);
        if ($requirement->value->pixels->share !== null) {
            return $this->dark($requirement->value->pixels->share, $pass, $allowed);
        }
        $black = self::blackIn($pass, Fraction::parse($requirement->value->pixels->threshold ?? self::BLACK));
        $wrong = $black->minus($allowed);
        if (! $wrong->isEmpty()) {
            $shown = $pass->isNumbered ? (string) $black : 'black';

            return Cell::of(Mark::Unequal, $shown, [], [$pass->place => $wrong]);
        }

        return $pass->hasUndecoded()
            ? $pass->unknown()
            : Cell::of(Mark::Equal, $black->isEmpty() ? 'none' : (string) $black);
    }

    private static function blackIn(PassSamples $pass, BigRational $threshold): FrameRange
    {
        $means = array_map(
            static fn (?PixelSample $sample): ?BigRational => $sample?->brightness?->mean(),
            $pass->samples,
        );
        $black = array_filter(
            $means,
            static fn (?BigRational $mean): bool => $mean?->isLessThanOrEqualTo($threshold) ?? false,
        );

        return FrameRange::fromNumbers(array_keys($black));
    }

    /** At most so many percent of a picture's pixels are dark. */
    private function dark(string $share, PassSamples $pass, FrameRange $allowed): Cell
    {
        $most = Fraction::parse($share)->dividedBy(100);
        $shares = array_filter(
            array_map(
                static fn (?PixelSample $sample): ?BigRational => $sample?->brightness?->darkShare(),
                $pass->samples,
            ),
        );
        $largest = $shares === [] ? null : BigRational::max(...array_values($shares));
        $found = $largest === null ? null : 'up to '.Fraction::decimal($largest->multipliedBy(100), 1).' % dark';
        $over = array_filter($shares, static fn (BigRational $own): bool => $own->isGreaterThan($most));
        $wrong = FrameRange::fromNumbers(array_keys($over))->minus($allowed);
        if (! $wrong->isEmpty()) {
            $runs = [['frames' => (string) $wrong, 'found' => "more than {$share} % dark"]];

            return Cell::of(Mark::Unequal, $found, $pass->isNumbered ? $runs : [], [$pass->place => $wrong]);
        }

        return $pass->hasUndecoded() ? $pass->unknown() : Cell::of(Mark::Equal, $found);
    }

    /** Opaque pictures are right among others that are not: a whole frame may be covered. */
    private function alpha(Requirement $requirement, PassSamples $pass): Cell
    {
        $used = false;
        foreach ($pass->samples as $sample) {
            $used = $used || ($sample->seenThrough ?? false);
        }
        if (! $used && $pass->hasUndecoded()) {
            return $pass->unknown();
        }
        $found = $used ? 'yes' : 'no';
        $equal = $requirement->value->single() === $found;

        return Cell::of(
            $equal ? Mark::Equal : Mark::Unequal,
            $found,
            [],
            $equal ? [] : [$pass->place => FrameRange::fromNumbers(array_keys($pass->samples))],
        );
    }
}
