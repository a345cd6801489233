<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderPlanning;

use PlainLedger\Core\Measure\NotUnderstood;

/**
 * Machines that render, and the hours of the day in which they may. Moments are whole milliseconds of a clock that
 * knows no zones, from 1970 on.
 */
final readonly class MachinePool
{
    private const DAY = 86_400_000;

    /**
     * @param  int|null  $from  milliseconds of the day from which on it may render; null: all day
     * @param  int|null  $to  until when; before `from` it is that of the next day
     */
    private function __construct(public int $machines, public int $start, private ?int $from, private ?int $to) {}

    /**
     * @param  int  $start  seconds since 1970 of the local clock
     * @param  string  $hours  `19:00-07:00`, or empty for all day
     *
     * @throws NotUnderstood
     */
    public static function of(int $machines, int $start, string $hours = ''): self
    {
        if ($machines < 1 || $machines > 10_000) {
            throw NotUnderstood::because('There are from 1 to 10,000 machines.');
        }
        $hours = trim($hours);
        if ($hours === '' || preg_match('~^(?:all day|any(?: time)?|0?0:00\s*[-–]\s*24:00)$~iu', $hours) === 1) {
            return new self($machines, $start * 1000, null, null);
        }
        [$from, $to] = self::window($hours);

        return $from === $to % self::DAY
            ? new self($machines, $start * 1000, null, null)
            : new self($machines, $start * 1000, $from, $to);
    }

    /**
     * @return array{int, int} milliseconds of the day
     *
     * @throws NotUnderstood
     */
    private static function window(string $hours): array
    {
        $time = '(\d{1,2})(?:[:.](\d{2}))?';
        $understood = preg_match("~^{$time}\\s*(?:-|–|to)\\s*{$time}$~u", $hours, $m) === 1;
        [$fromHour, $fromMinute, $toHour, $toMinute] = array_map(intval(...), array_pad(array_slice($m, 1), 4, '0'));
        if (! $understood || $fromHour > 23 || $toHour > 24 || max($fromMinute, $toMinute) > 59) {
            throw NotUnderstood::as('hours of the day', $hours, '19:00-07:00');
        }

        return [($fromHour * 60 + $fromMinute) * 60_000, ($toHour * 60 + $toMinute) * 60_000];
    }

    public function withMachines(int $machines): self
    {
        return new self($machines, $this->start, $this->from, $this->to);
    }

    /** How long it may render in one go; null where there is no end to it. */
    public function longest(): ?int
    {
        return match (true) {
            $this->from === null || $this->to === null => null,
            $this->to > $this->from => $this->to - $this->from,
            default => $this->to + self::DAY - $this->from,
        };
    }

    /**
     * The first moment from `free` on at which a frame can be begun and finished within the hours; null where none is
     * long enough.
     */
    public function begin(int $free, int $takes): ?int
    {
        $longest = $this->longest();
        if ($longest === null || $this->from === null) {
            return $free;
        }
        if ($takes > $longest) {
            return null;
        }
        // the last opening that lies before or at `free`
        $day = $free % self::DAY;
        $opened = $free - $day + $this->from - ($day < $this->from ? self::DAY : 0);

        return $free + $takes <= $opened + $longest ? $free : $opened + self::DAY;
    }
}
