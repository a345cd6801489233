<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Rules\ColourPass;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Remedy\Fix;

/** `black-frames`, `frozen-frames` and `alpha-all-opaque`: what only a look at the pixels shows. */
final readonly class PixelsSeen implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        yield from $this->black($situation);
        yield from $this->frozen($situation);
        if ($situation->inFiles('content.alpha_used') && $situation->found('content.alpha_used') === 'no' && $situation->shared(static fn (MediaFacts $f): ?bool => $f->alpha) === true) {
            yield new Finding('alpha-all-opaque', 'files', 'There is an alpha channel, and it is opaque everywhere.', ['no pixel of any frame is seen through'], ['content.alpha_used'], [Fix::set($situation->part(), 'content.alpha_used', 'the background', 'opaque', 'hidden')], render: true);
        }
    }

    /** @return iterable<Finding> */
    private function black(Situation $situation): iterable
    {
        $frames = $this->wrong($situation, 'content.black');
        if ($frames === null) {
            return;
        }
        $looks = ColourPass::of($situation->subject)->looks ?? [];
        $evidence = [];
        foreach ($frames->numbers() as $number) {
            $light = ($looks[$number] ?? null)?->meanLight();
            if (count($evidence) < 10 && $light !== null) {
                $evidence[] = ($situation->subject->isNumbered() ? "frame {$number}: " : '').'mean luminance '.Fraction::decimal($light, 4).' of white';
            }
        }
        yield new Finding('black-frames', 'files', $this->which($situation, $frames, 'is black', 'are black').' Look at lights, exposure and camera.', $evidence, ['content.black'], render: true);
    }

    /** @return iterable<Finding> */
    private function frozen(Situation $situation): iterable
    {
        $frames = $this->wrong($situation, 'content.frozen');
        if ($frames !== null) {
            yield new Finding('frozen-frames', 'files', $this->which($situation, $frames, 'stands still', 'stand still').' Pixel for pixel these are the same picture.', ["the pixels of {$this->short($frames)} are the same as those of the frame before or after"], ['content.frozen'], render: true);
        }
    }

    private function wrong(Situation $situation, string $id): ?FrameRange
    {
        $sets = $situation->inFiles($id) ? $situation->entry($id)->files->wrong ?? [] : [];

        return $sets === [] ? null : array_values($sets)[0];
    }

    private function which(Situation $situation, FrameRange $frames, string $one, string $many): string
    {
        return ($situation->subject->isNumbered() ? $this->short($frames) : 'The picture').' '.(count($frames) > 1 ? $many : $one).'.';
    }

    private function short(FrameRange $frames): string
    {
        return mb_strimwidth((string) $frames, 0, 120, '…');
    }
}
