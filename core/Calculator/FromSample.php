<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\NotUnderstood;

/** How much room all frames will take, from the sizes of a few. */
final readonly class FromSample implements Calculation
{
    public function word(): string
    {
        return 'from-sample';
    }

    public function title(): string
    {
        return 'Room from a sample of real frames';
    }

    public function fields(): array
    {
        return [
            new Field('sizes', 'Sizes of some frames', '14.1 MB, 12.8 MB, 15 MB', '14.1 MB, 12.8 MB, 15 MB'),
            new Field('frames', 'Frames in all', '96 or 1001-1096', '96'),
        ];
    }

    public function work(Inputs $given): array
    {
        $text = $given->text('sizes');
        $frames = $given->frames('frames');
        if ($text === null || $frames === null) {
            return [];
        }
        // the comma is between the sizes, the point inside them
        $sizes = array_map(
            static fn (string $each): int => ByteSize::parse($each)->bytes,
            preg_split('~\s*[,;\n]\s*|\s{2,}~', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [],
        );
        if ($sizes === [] || count($sizes) > 10_000) {
            throw NotUnderstood::as('sizes of frames', $text, '14.1 MB, 12.8 MB');
        }
        $mean = BigRational::of(array_sum($sizes))->dividedBy(count($sizes));
        $times = static fn (BigRational $one): string => (string) ByteSize::of(
            min(
                PHP_INT_MAX,
                $one->multipliedBy($frames)->isGreaterThan(PHP_INT_MAX)
                    ? PHP_INT_MAX
                    : $one->multipliedBy($frames)->toScale(0, RoundingMode::UP)->toInt(),
            ),
        );
        $results = [
            new Result(
                'one frame, in the mean',
                (string) ByteSize::of($mean->toScale(0, RoundingMode::HALF_UP)->toInt()),
                'the sum of '.count($sizes).' sizes ÷ '.count($sizes),
            ),
            new Result('all frames', $times($mean), "mean × {$frames}"),
        ];
        if (count($sizes) > 1) {
            $results[] = new Result(
                'and between',
                $times(BigRational::of(min($sizes))).' and '.$times(BigRational::of(max($sizes))),
                "smallest × {$frames}, largest × {$frames}",
            );
        }

        return $results;
    }
}
