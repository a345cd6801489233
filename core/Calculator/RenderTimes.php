<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Shotlist\DueDate;
use PlainLedger\Core\Text\Text;

/** When frames will be ready: time a frame, over so many machines, against the due time. */
final readonly class RenderTimes implements Calculation
{
    public function word(): string
    {
        return 'render-times';
    }

    public function title(): string
    {
        return 'Render time';
    }

    public function fields(): array
    {
        return [
            new Field('seconds', 'Time for a frame', '4 min 30 s', '4 min 30 s'),
            new Field('frames', 'Frames', '96 or 1001-1096', '96'),
            new Field('machines', 'Machines', '4', '4'),
            new Field('start', 'It starts', '2026-12-01 18:00'),
            new Field('due', 'It is due', '2026-12-02 09:00'),
        ];
    }

    public function work(Inputs $given): array
    {
        $seconds = $given->seconds('seconds');
        $frames = $given->frames('frames');
        if ($seconds === null || $frames === null) {
            return [];
        }
        $machines = $given->whole('machines', 1, 100_000) ?? 1;
        // a machine renders whole frames, so the last round may leave some idle
        $rounds = intdiv($frames + $machines - 1, $machines);
        $wall = $seconds->multipliedBy($rounds);
        $start = self::moment($given->text('start'));
        $due = self::moment($given->text('due'));
        $ready = $start === null ? null : $start + $wall->toScale(0, RoundingMode::UP)->toInt();
        $round = "time × {$rounds} rounds ({$frames} ÷ {$machines}, rounded up)";

        return [
            new Result('machine time', self::spoken($seconds->multipliedBy($frames)), "time × {$frames}"),
            new Result('ready after', self::spoken($wall), $round),
            ...($ready === null ? [] : [new Result('ready by', gmdate('Y-m-d H:i', $ready), 'start + ready after')]),
            ...($ready === null || $due === null ? [] : [self::spare($due - $ready)]),
            ...($start === null || $due === null ? [] : [self::machinesNeeded($due - $start, $seconds, $frames)]),
        ];
    }

    /** @param  int  $seconds  between the two; less than nothing where it comes too late */
    private static function spare(int $seconds): Result
    {
        $time = self::spoken(BigRational::of(abs($seconds)));

        return $seconds < 0
            ? new Result('late by', $time, 'ready by − due')
            : new Result('to spare', $time, 'due − ready by');
    }

    /** @param  int  $time  there is, in seconds */
    private static function machinesNeeded(int $time, BigRational $ofFrame, int $frames): Result
    {
        if ($ofFrame->isGreaterThan($time)) {
            return new Result('machines needed', 'none would do', 'a single frame takes longer than there is');
        }
        $rounds = BigRational::of($time)->dividedBy($ofFrame)->toScale(0, RoundingMode::DOWN)->toInt();
        $formula = Text::count($rounds, 'round')." fit before it is due; {$frames} ÷ {$rounds}, rounded up";

        return new Result('machines needed', (string) intdiv($frames + $rounds - 1, $rounds), $formula);
    }

    /** Seconds of a moment, as if the clock knew no zones: only differences are taken. */
    private static function moment(?string $text): ?int
    {
        if ($text === null) {
            return null;
        }
        $moment = \DateTimeImmutable::createFromFormat('!Y-m-d H:i', DueDate::parse($text), new \DateTimeZone('UTC'));
        if ($moment === false) {
            throw NotUnderstood::as('a date', $text, '2026-12-01 18:00');
        }

        return $moment->getTimestamp();
    }

    /** `7 h 12 min`, `4 min 30 s`, `12 s`; rounded to the second. */
    public static function spoken(BigRational $seconds): string
    {
        $whole = $seconds->toScale(0, RoundingMode::HALF_UP)->toInt();
        [$days, $hours, $minutes, $rest] = [
            intdiv($whole, 86_400),
            intdiv($whole, 3600) % 24,
            intdiv($whole, 60) % 60,
            $whole % 60,
        ];

        return match (true) {
            $days > 0 => "{$days} d {$hours} h".($minutes > 0 ? " {$minutes} min" : ''),
            $hours > 0 => "{$hours} h".($minutes > 0 ? " {$minutes} min" : ''),
            $minutes > 0 => "{$minutes} min".($rest > 0 ? " {$rest} s" : ''),
            default => "{$rest} s",
        };
    }
}
