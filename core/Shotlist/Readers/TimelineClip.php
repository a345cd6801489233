<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Shotlist\ShotDetails;
use PlainLedger\Core\Shotlist\ShotRow;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** One clip of a timeline, as a deliverable: the range that is seen of it, with its handles. */
final readonly class TimelineClip
{
    /** Media that reaches further beyond a cut than this is a whole take, and no handle. */
    private const LONGEST_HANDLE = 100;

    /** @param  array<mixed>  $clip */
    public function __construct(private array $clip, private TimelineTimes $times) {}

    public function name(): string
    {
        return trim(is_string($this->clip['name'] ?? null) ? $this->clip['name'] : '');
    }

    /** @return array{BigRational, BigRational, FrameRate}|null what its media holds */
    public function available(): ?array
    {
        $several = self::object($this->clip['media_references'] ?? null);
        $told = $this->clip['active_media_reference_key'] ?? null;
        $key = is_string($told) ? $told : 'DEFAULT_MEDIA';
        $media = self::object($several === null ? $this->clip['media_reference'] ?? null : $several[$key] ?? null);

        return $media === null ? null : $this->times->range($media['available_range'] ?? null);
    }

    /** @return array{BigRational, BigRational, FrameRate}|null what the cut takes of it */
    public function range(): ?array
    {
        return $this->times->range($this->clip['source_range'] ?? null) ?? $this->available();
    }

    /**
     * @param  array{BigRational, BigRational}|null  $seen  from and to, in seconds of its own time; null: all of it
     * @param  int  $head  frames of a transition that begins before it, likewise $tail after
     * @return ShotRow|string the row, or why it is none
     */
    public function row(int $line, ?array $seen, int $head, int $tail): ShotRow|string
    {
        $shown = '“'.Text::shown(mb_strimwidth($this->name(), 0, 60, '…')).'”';
        $range = $this->range();
        if ($range === null) {
            return "{$shown} says nothing of its length, and its media is missing.";
        }
        [$from, $to, $rate] = $range;
        $from = $seen === null ? $from : BigRational::max($from, $seen[0]);
        $to = $seen === null ? $to : BigRational::min($to, $seen[1]);
        [$first, $last] = [TimelineTimes::frame($from, $rate), TimelineTimes::frame($to, $rate) - 1];
        if ($last < $first) {
            return "{$shown} shows no frame.";
        }
        [$head, $tail, $fault] = $this->handles($first, $last, $rate, $head, $tail);
        $onFrames = TimelineTimes::isOnFrame($from, $rate) && TimelineTimes::isOnFrame($to, $rate);
        $notes = [
            ...($onFrames ? [] : ['its ends do not fall on whole frames; the nearest are taken.']),
            ...($fault === null ? [] : [$fault]),
            ...$this->warps(),
        ];
        $overrides = [
            RequirementId::TIME_RANGE => $first === $last ? (string) $first : "{$first}-{$last}",
            RequirementId::TIME_RATE => (string) $rate,
        ] + ($head + $tail > 0 ? [RequirementId::TIME_HANDLES => "{$head}+{$tail}"] : []);
        $code = (string) preg_replace('~\.[A-Za-z][A-Za-z0-9]{1,4}$~', '', $this->name());
        $fault = ShotRow::codeFault($code, 'the clip has no name.');

        return new ShotRow($line, $code, new ShotDetails, [], $overrides, $fault === null ? [] : [$fault], $notes);
    }

    /**
     * @return array{int, int, string|null} head and tail as the media has them, and what is wrong where it does not
     *   reach
     */
    private function handles(int $first, int $last, FrameRate $rate, int $head, int $tail): array
    {
        $available = $this->available();
        if ($available === null) {
            return [$head, $tail, null];
        }
        $begin = TimelineTimes::frame($available[0], $rate);
        $end = TimelineTimes::frame($available[1], $rate) - 1;
        $beyond = [$first - $begin, $end - $last];
        if (min($beyond) < 0) {
            return [$head, $tail, "its media is frames {$begin} to {$end} and does not reach."];
        }

        return max($beyond) <= self::LONGEST_HANDLE
            ? [max($head, $beyond[0]), max($tail, $beyond[1]), null]
            : [$head, $tail, null];
    }

    /** @return list<string> */
    private function warps(): array
    {
        $notes = [];
        foreach (is_array($this->clip['effects'] ?? null) ? $this->clip['effects'] : [] as $effect) {
            $effect = self::object($effect) ?? [];
            $schema = is_string($effect['OTIO_SCHEMA'] ?? null) ? $effect['OTIO_SCHEMA'] : '';
            $speed = $effect['time_scalar'] ?? null;
            if (str_starts_with($schema, 'LinearTimeWarp') && is_numeric($speed) && (float) $speed !== 1.0) {
                $shown = Text::shown((string) $speed);
                $notes[] = "it is played at {$shown} of its speed; the range is that of the cut.";
            }
        }

        return array_values(array_unique($notes));
    }

    /** @return array<mixed>|null */
    private static function object(mixed $data): ?array
    {
        return is_array($data) && ! array_is_list($data) ? $data : null;
    }
}
