<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderLog;

use PlainLedger\Core\Measure\Duration;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Text\Text;

/**
 * Reads a log as it comes, piece by piece, and keeps of it only numbers and what differs: memory grows with the frames,
 * not with the log. It can be put aside between two pieces and taken up again.
 */
final class LogReader
{
    private const LONGEST_LINE = 16_384;

    private const MOST_FRAMES = 2_000_000;

    private const MOST_MESSAGES = 100;

    private string $rest = '';

    private bool $skipping = false;

    private ?string $encoding = null;

    private int $bytes = 0;

    private int $lines = 0;

    /** @var array<int, int|null> milliseconds by frame; null where only that it is finished is told */
    private array $finished = [];

    /** @var array<int, true> frames begun and not finished */
    private array $begun = [];

    private ?int $last = null;

    private int $files = 0;

    private ?string $lastFile = null;

    /**
     * @var array<string, array<string, array{string, int}>> by event, and by what is said with numbers as `#`: the
     *   first of them, and how often
     */
    private array $messages = ['warning' => [], 'error' => []];

    /** @var array<string, int> */
    private array $counts = ['warning' => 0, 'error' => 0];

    private ?string $firstClock = null;

    private ?string $lastClock = null;

    public function __construct(private readonly LogShape $shape) {}

    /**
     * The shape by which most frames of the beginning are read; of equals the first.
     *
     * @param  list<LogShape>  $shapes
     */
    public static function guess(string $head, array $shapes): ?LogShape
    {
        $best = [null, 0];
        foreach ($shapes as $shape) {
            try {
                $reader = new self($shape);
                $reader->feed(substr($head, 0, 300_000));
                $reading = $reader->reading();
                $weight = 3 * count($reading->frames->finished)
                    + 2 * count(array_filter($reading->frames->milliseconds, is_int(...)))
                    + $reading->files
                    + count($reading->frames->begun);
            } catch (LogPatternRefused) {
                continue;
            }
            $best = $weight > $best[1] ? [$shape, $weight] : $best;
        }

        return $best[0];
    }

    /** @throws LogPatternRefused */
    public function feed(string $bytes): void
    {
        if ($this->bytes === 0) {
            $this->encoding = ["\xFF\xFE" => 'UTF-16LE', "\xFE\xFF" => 'UTF-16BE'][substr($bytes, 0, 2)] ?? null;
        }
        $this->bytes += strlen($bytes);
        $text = $this->rest.$bytes;
        $this->encoding === null ? $this->feedText($text) : $this->feedWide($text, $this->encoding);
    }

    /** Line ends are found in pairs of bytes. */
    private function feedWide(string $text, string $encoding): void
    {
        $at = self::lastWideEnd($text, $encoding === 'UTF-16LE' ? "\n\0" : "\0\n");
        if ($at === null && strlen($text) < 4 * self::LONGEST_LINE) {
            $this->rest = $text;

            return;
        }
        $cut = $at === null ? strlen($text) - strlen($text) % 2 : $at + 2;
        $this->rest = substr($text, $cut);
        $this->all(explode("\n", rtrim($this->asUtf8(substr($text, 0, $cut)), "\n")));
    }

    private static function lastWideEnd(string $text, string $end): ?int
    {
        for ($from = strlen($text); ($at = strrpos(substr($text, 0, $from), $end)) !== false; $from = $at + 1) {
            if ($at % 2 === 0) {
                return $at;
            }
        }

        return null;
    }

    private function feedText(string $text): void
    {
        $cut = max((int) strrpos($text, "\n"), (int) strrpos($text, "\r"));
        if ($cut === 0) {
            $this->rest = strlen($text) > self::LONGEST_LINE ? $this->passedOver($text) : $text;

            return;
        }
        $lines = preg_split('~\r\n|\n|\r~', substr($text, 0, $cut)) ?: [];
        if ($this->skipping) {
            array_shift($lines);
            $this->skipping = false;
        }
        $this->rest = substr($text, $cut + 1);
        $this->all($lines);
    }

    /** A line without an end: its beginning is read, the rest of it passed over. */
    private function passedOver(string $text): string
    {
        if (! $this->skipping) {
            $this->line(substr($text, 0, self::LONGEST_LINE));
        }
        $this->skipping = true;

        return '';
    }

    private function asUtf8(string $bytes): string
    {
        return $this->encoding === null ? $bytes : (string) mb_convert_encoding($bytes, 'UTF-8', $this->encoding);
    }

    /** @param  list<string>  $lines */
    private function all(array $lines): void
    {
        foreach ($lines as $line) {
            if ($line !== '') {
                $this->line(strlen($line) > self::LONGEST_LINE ? substr($line, 0, self::LONGEST_LINE) : $line);
            }
        }
    }

    private function line(string $line): void
    {
        $this->lines++;
        if (preg_match('~^\W{0,3}(\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}:\d{2})~', $line, $m) === 1) {
            $this->moment($m[1]);
        }
        foreach ($this->shape->read($line) as ['event' => $event, 'pieces' => $pieces]) {
            if (isset($pieces['clock'])) {
                $this->moment($pieces['clock']);
            }
            $frame = self::frameOf($pieces);
            match ($event) {
                LogEvent::Started => $this->begin($frame),
                LogEvent::Finished => $this->finish($frame, $pieces),
                LogEvent::File => $this->wrote($frame, $pieces['file'] ?? ''),
                LogEvent::Warning, LogEvent::Error => $this->message($event->value, $pieces['message'] ?? $line),
            };
        }
    }

    /** @param  array<string, string>  $pieces */
    private static function frameOf(array $pieces): ?int
    {
        if (isset($pieces['frame'])) {
            return (int) $pieces['frame'];
        }

        return isset($pieces['file']) ? self::numberOf($pieces['file']) : null;
    }

    /** By the clock that stands at the head of the line, or where the pattern has it. */
    private function moment(string $clock): void
    {
        $clock = strtr($clock, 'T', ' ');
        $this->firstClock ??= $clock;
        $this->lastClock = $clock;
    }

    private function begin(?int $frame): void
    {
        if ($frame !== null && ! array_key_exists($frame, $this->finished) && count($this->begun) < self::MOST_FRAMES) {
            $this->begun[$frame] = true;
        }
    }

    /** @param  array<string, string>  $pieces */
    private function finish(?int $frame, array $pieces): void
    {
        // a program that begins one frame at a time need not say which one it has finished
        $frame ??= count($this->begun) === 1 ? array_key_first($this->begun) : null;
        if (
            $frame === null
            || (count($this->finished) >= self::MOST_FRAMES && ! array_key_exists($frame, $this->finished))
        ) {
            return;
        }
        $this->finished[$frame] = self::milliseconds($pieces) ?? $this->finished[$frame] ?? null;
        $this->last = $frame;
        unset($this->begun[$frame]);
    }

    private function wrote(?int $frame, string $file): void
    {
        $this->files++;
        $this->lastFile = mb_strimwidth(Text::shown($file), 0, 300, '…');
        if ($frame !== null && ! array_key_exists($frame, $this->finished)) {
            $this->finish($frame, []);
        }
    }

    private function message(string $event, string $message): void
    {
        $this->counts[$event]++;
        $text = mb_strimwidth(Text::shown(trim($message)), 0, 200, '…');
        // the same said of another frame is the same
        $key = (string) preg_replace('~\d+~', '#', $text);
        if (isset($this->messages[$event][$key]) || count($this->messages[$event]) < self::MOST_MESSAGES) {
            $this->messages[$event][$key] = [
                $this->messages[$event][$key][0] ?? $text,
                ($this->messages[$event][$key][1] ?? 0) + 1,
            ];
        }
    }

    /** @return array<string, int> how often, by the first of those that say the same; the most frequent first */
    private function said(string $event): array
    {
        $said = array_column($this->messages[$event], 1, 0);
        arsort($said);

        return $said;
    }

    /** The last number in a file's name. */
    private static function numberOf(string $file): ?int
    {
        return preg_match('~(-?\d{1,9})(?:\.[A-Za-z0-9]{1,5})?["\']?$~', basename(strtr($file, '\\', '/')), $m) === 1
            ? (int) ltrim(preg_match('~[._]-\d~', $file) === 1 ? $m[1] : ltrim($m[1], '-'), '')
            : null;
    }

    /** @param  array<string, string>  $pieces */
    private static function milliseconds(array $pieces): ?int
    {
        try {
            $seconds = match (true) {
                isset($pieces['seconds']) => Fraction::parse($pieces['seconds']),
                isset($pieces['time']) => Duration::parse(
                    (string) preg_replace('~(\d)\s*([hms])[a-z]*\s*~i', '$1 $2 ', $pieces['time']),
                )->seconds(null),
                default => null,
            };
        } catch (NotUnderstood) {
            return null;
        }

        return $seconds?->multipliedBy(1000)->toScale(0, \Brick\Math\RoundingMode::HALF_UP)->toInt();
    }

    public function reading(): LogReading
    {
        $numbers = array_keys($this->finished);
        sort($numbers);
        $begun = array_keys($this->begun);
        sort($begun);

        return new LogReading(
            new LoggedFrames(
                FrameRange::fromNumbers($numbers),
                FrameRange::fromNumbers($begun),
                $this->finished,
                $this->last,
            ),
            new LoggedMessages($this->counts['warning'], $this->said('warning')),
            new LoggedMessages($this->counts['error'], $this->said('error')),
            $this->files,
            $this->lastFile,
            new LoggedTime($this->firstClock, $this->lastClock, $this->lines),
            $this->bytes,
        );
    }

    /** The line that has no end yet is read as it stands. */
    public function close(): LogReading
    {
        if ($this->rest !== '') {
            $rest = $this->rest;
            $this->rest = '';
            $this->all([$this->asUtf8($rest)]);
        }

        return $this->reading();
    }
}
