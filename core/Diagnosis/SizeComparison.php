<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\RequirementId;

/** A size that is there beside the one that is asked, as they stand and as they are shown. */
final readonly class SizeComparison
{
    /** SD pictures are 720 wide and hold their shape in 704 of them (ITU-R BT.601). */
    private const CLEAN = [720 => 704];

    private BigRational $foundPixel;

    private BigRational $askedPixel;

    public function __construct(
        private Situation $situation,
        public Resolution $found,
        public Resolution $asked,
        public Side $side,
    ) {
        $this->askedPixel = Fraction::parse(
            $situation->subject->part->single(RequirementId::PICTURE_PIXEL_ASPECT) ?? '1',
        );
        $told = $side === Side::Scene ? $situation->scene()?->pixelAspect() : self::ofFiles($situation);
        $this->foundPixel = $told ?? $this->askedPixel;
    }

    private static function ofFiles(Situation $situation): ?BigRational
    {
        $text = $situation->shared(
            static fn (MediaFacts $f): ?string => $f->picture->pixelAspect === null
                ? null
                : Fraction::writeFull($f->picture->pixelAspect),
        );

        return is_string($text) ? Fraction::parse($text) : null;
    }

    public function seen(): string
    {
        return $this->side === Side::Scene
            ? "the scene is set to {$this->found}"
            : "every whole file is {$this->found}";
    }

    public function setSize(): Fix
    {
        return Fix::set(
            $this->situation->part(),
            RequirementId::PICTURE_RESOLUTION,
            'the size',
            (string) $this->found,
            (string) $this->asked,
            "Set the size to {$this->asked->spoken()}; it is {$this->found->spoken()}.",
        );
    }

    public function pixels(): string
    {
        return self::spoken($this->foundPixel);
    }

    public function pixelsAsked(): string
    {
        return self::spoken($this->askedPixel);
    }

    private static function spoken(BigRational $aspect): string
    {
        return $aspect->isEqualTo(1) ? 'square pixels' : 'pixels '.Fraction::writeFull($aspect).' wide to high';
    }

    /** Another size, that has the shape asked since one of the two has square pixels and the other has not. */
    public function isSameOnScreen(): bool
    {
        if (Fraction::near($this->foundPixel, $this->askedPixel) || $this->found->equals($this->asked)) {
            return false;
        }
        foreach ([self::clean($this->asked), $this->asked->width] as $askedWidth) {
            $shape = BigRational::nd($askedWidth, $this->asked->height)->multipliedBy($this->askedPixel);
            $exact = $shape->multipliedBy($this->found->height)->dividedBy($this->foundPixel);
            foreach ([self::clean($this->found), $this->found->width] as $width) {
                if ($exact->minus($width)->abs()->isLessThanOrEqualTo(2)) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function clean(Resolution $size): int
    {
        return $size->height <= 576 ? self::CLEAN[$size->width] ?? $size->width : $size->width;
    }

    /**
     * Whether it is the asked size made larger or smaller, to the pixel. The shape line, where there is one, knows
     * better.
     */
    public function isSameShape(): bool
    {
        $line = $this->situation->isUnequal(RequirementId::PICTURE_PIXEL_ASPECT)
            ? null
            : $this->situation->entry(RequirementId::PICTURE_DISPLAY_ASPECT);
        $cell = $this->side === Side::Scene ? $line?->scene : $line?->files;
        if ($cell !== null) {
            return ! $cell->isUnequal();
        }
        // a wrong pixel aspect is a mistake of its own
        $exact = BigRational::nd($this->asked->width, $this->asked->height)->multipliedBy($this->found->height);

        return $exact->minus($this->found->width)->abs()->isLessThanOrEqualTo(1);
    }

    /** How many pixels a crop to the asked shape would cut, and how much they would be squeezed instead. */
    public function whatIsLost(): string
    {
        [$found, $asked] = [
            $this->found->displayAspect($this->askedPixel),
            $this->asked->displayAspect($this->askedPixel),
        ];
        $wider = $found->isGreaterThan($asked);
        $side = $wider ? $this->found->width : $this->found->height;
        $kept = BigRational::of($side)->multipliedBy($wider ? $asked->dividedBy($found) : $found->dividedBy($asked))
            ->toScale(0, RoundingMode::HALF_UP)
            ->toInt();
        $lost = $side - $kept;
        if ($lost < 1) {
            return '';
        }
        $what = $wider ? "{$lost} of its {$side} columns" : "{$lost} of its {$side} lines";
        $percent = $wider ? $found->dividedBy($asked) : $asked->dividedBy($found);

        return " Cut to the shape asked, it loses {$what}; kept whole, it would be squeezed to "
            .Fraction::decimal(BigRational::of(100)->dividedBy($percent), 1)
            .' % of its '
            .($wider ? 'width' : 'height')
            .'.';
    }
}
