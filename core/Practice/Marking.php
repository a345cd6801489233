<?php

declare(strict_types=1);

namespace PlainLedger\Core\Practice;

use PlainLedger\Core\Diagnosis\CauseGuide;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Text\Text;

/**
 * An answer beside the truth: a point for the verdict and for each line, two for each cause and for the frames of each
 * part. A cause that the same facts allow is worth one; what is wrong takes one away, and nothing comes below zero.
 */
final readonly class Marking
{
    private const OF_CAUSE = 2;

    private const OF_FRAMES = 2;

    /** @param  list<MarkedPoint>  $points */
    private function __construct(public array $points) {}

    public static function of(PracticeTruth $truth, PracticeAnswer $answer, CauseGuide $guide): self
    {
        return new self([
            self::verdict($truth, $answer),
            ...self::lines($truth, $answer),
            ...self::causes($truth, $answer, $guide),
            ...self::frames($truth, $answer),
        ]);
    }

    /** @param  list<MarkedPoint>  $points */
    public static function points(array $points): self
    {
        return new self($points);
    }

    public function earned(): int
    {
        return max(0, array_sum(array_map(static fn (MarkedPoint $p): int => $p->earned, $this->points)));
    }

    public function possible(): int
    {
        return array_sum(array_map(static fn (MarkedPoint $p): int => $p->possible, $this->points));
    }

    public function isPerfect(): bool
    {
        return $this->earned() === $this->possible();
    }

    private static function verdict(PracticeTruth $truth, PracticeAnswer $answer): MarkedPoint
    {
        $isRight = $truth->balances() === $answer->balances;

        return new MarkedPoint(
            'verdict',
            '',
            $isRight ? 'right' : 'wrong',
            $isRight ? 1 : 0,
            1,
            $truth->balances() ? 'It balances: nothing is the matter with it.' : 'It does not balance.',
        );
    }

    /** @return list<MarkedPoint> */
    private static function lines(PracticeTruth $truth, PracticeAnswer $answer): array
    {
        $points = [];
        foreach ($truth->lines as $id) {
            $isNamed = in_array($id, $answer->lines, true);
            $mark = $isNamed ? 'right' : 'missed';
            $points[] = new MarkedPoint('line', $id, $mark, (int) $isNamed, 1, self::named($id).' differs.');
        }
        foreach (array_diff($answer->lines, $truth->lines) as $id) {
            $points[] = new MarkedPoint('line', $id, 'wrong', -1, 0, self::named($id).' does not differ.');
        }

        return $points;
    }

    private static function named(string $id): string
    {
        return Catalogue::standard()->find($id)->label ?? Text::shown($id);
    }

    /** @return list<MarkedPoint> */
    private static function causes(PracticeTruth $truth, PracticeAnswer $answer, CauseGuide $guide): array
    {
        $points = [];
        // one that could be taken for another stands for it, where that was not named
        $near = [];
        foreach (array_diff($answer->causes, array_keys($truth->causes)) as $id) {
            $meant = $truth->others[$id] ?? null;
            if ($meant !== null && ! in_array($meant, $answer->causes, true)) {
                $near[$meant] ??= $id;
            }
        }
        foreach ($truth->causes as $id => $says) {
            $isNamed = in_array($id, $answer->causes, true);
            $points[] = self::cause($id, self::said($truth, $id, $says), $isNamed, $near[$id] ?? null);
        }
        foreach (array_diff($answer->causes, array_keys($truth->causes), $near) as $id) {
            $from = $guide->evidence($id);
            $points[] = new MarkedPoint('cause', $id, 'wrong', -1, 0, $from === null
                ? Text::shown($id).' is none of the causes there are.'
                : Text::shown($id)." is not the matter: it would show as {$from}.");
        }

        return $points;
    }

    private static function cause(string $id, string $says, bool $isNamed, ?string $near): MarkedPoint
    {
        return match (true) {
            $isNamed => new MarkedPoint('cause', $id, 'right', self::OF_CAUSE, self::OF_CAUSE, $says),
            $near !== null => new MarkedPoint(
                'cause',
                $id,
                'near',
                1,
                self::OF_CAUSE,
                "{$near} is possible by the same facts; likelier is this. {$says}",
            ),
            default => new MarkedPoint('cause', $id, 'missed', 0, self::OF_CAUSE, $says),
        };
    }

    private static function said(PracticeTruth $truth, string $id, string $says): string
    {
        $evidence = $truth->evidence[$id] ?? [];

        return $evidence === [] ? $says : "{$says} Seen by: ".implode('; ', $evidence).'.';
    }

    /** @return list<MarkedPoint> */
    private static function frames(PracticeTruth $truth, PracticeAnswer $answer): array
    {
        $points = [];
        foreach ($truth->render as $part => $frames) {
            $given = $answer->render[$part] ?? (count($truth->render) === 1 ? $answer->render[''] ?? null : null);
            $points[] = self::framesOf($part, $frames, $given ?? FrameRange::none());
        }
        foreach ($truth->render === [] ? $answer->render : [] as $part => $frames) {
            $points[] = new MarkedPoint('frames', $part, 'wrong', -1, 0, 'Nothing has to be rendered again.');
        }

        return $points;
    }

    private static function framesOf(string $part, FrameRange $asked, FrameRange $given): MarkedPoint
    {
        if ($given->equals($asked)) {
            $says = "Render {$asked} again.";

            return new MarkedPoint('frames', $part, 'right', self::OF_FRAMES, self::OF_FRAMES, $says);
        }
        $left = $asked->minus($given);
        $more = $given->minus($asked);
        $says = "Render {$asked} again."
            .($left->isEmpty() || $given->isEmpty() ? '' : " You left out {$left}.")
            .($more->isEmpty() ? '' : " {$more} need not be.");

        return $left->isEmpty()
            ? new MarkedPoint('frames', $part, 'near', 1, self::OF_FRAMES, $says)
            : new MarkedPoint('frames', $part, $given->isEmpty() ? 'missed' : 'wrong', 0, self::OF_FRAMES, $says);
    }
}
