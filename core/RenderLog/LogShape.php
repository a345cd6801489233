<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderLog;

/** How a program's log is read: named patterns, each for one thing that a line can tell. */
final readonly class LogShape
{
    private const MOST = 20;

    /**
     * @param  non-empty-list<array{LogEvent, LogPattern}>  $patterns
     * @param  string  $example  a line that reads so; empty where none is known
     */
    private function __construct(public string $name, public array $patterns, public string $example) {}

    /**
     * @param  list<array{event: string, pattern: string}>  $patterns
     * @param  string  $example  a line of such a log; one that does not read so is replaced
     *
     * @throws LogPatternRefused
     */
    public static function of(string $name, array $patterns, string $example = ''): self
    {
        $read = [];
        foreach (array_slice($patterns, 0, self::MOST) as ['event' => $event, 'pattern' => $pattern]) {
            $read[] = [
                LogEvent::tryFrom($event)
                    ?? throw LogPatternRefused::because(
                        'A line tells one of '
                            .implode(', ', array_map(static fn (LogEvent $e): string => $e->value, LogEvent::cases()))
                            .'.',
                    ),
                LogPattern::parse($pattern),
            ];
        }
        if ($read === []) {
            throw LogPatternRefused::because('A shape has at least one pattern.');
        }

        $shape = new self($name, $read, trim($example));

        return trim($example) !== '' && $shape->read($example) !== []
            ? $shape
            : new self($name, $read, self::exampleOf($read));
    }

    /**
     * Of the line that tells that a frame is finished, where there is one; else of the first.
     *
     * @param  non-empty-list<array{LogEvent, LogPattern}>  $patterns
     */
    private static function exampleOf(array $patterns): string
    {
        $finished = array_filter($patterns, static fn (array $p): bool => $p[0] === LogEvent::Finished);

        return [...$finished, ...$patterns][0][1]->example();
    }

    /** @return list<self> the shapes that come with the program */
    public static function standard(): array
    {
        $trouble = [
            ['event' => 'error', 'pattern' => '/\b(?:error|fatal)\b[ :\]\-]+(?<message>.{1,500})/'],
            ['event' => 'warning', 'pattern' => '/\bwarning\b[ :\]\-]+(?<message>.{1,500})/'],
        ];

        return [
            self::of(
                'frame done in seconds',
                [
                    ['event' => 'started', 'pattern' => 'frame {frame} begins'],
                    ['event' => 'finished', 'pattern' => 'frame {frame} done in {seconds} s'],
                    ['event' => 'file', 'pattern' => 'wrote {file}'],
                    ...$trouble,
                ],
            ),
            self::of(
                'frame and its time',
                [
                    [
                        'event' => 'started',
                        'pattern' => '/\b(?:rendering|starting|begin|start)\w* frame[ #:]+(?<frame>-?\d{1,9})/',
                    ],
                    [
                        'event' => 'finished',
                        'pattern' => '/\bframe[ #:]+(?<frame>-?\d{1,9})\b.{0,200}?\btime\b[ '
                            .':=]{0,3}(?<time>\d{1,4}:\d{2}(?::\d{2})?(?:\.\d{1,6})?|\d{1,9}(?:\.\d{1,6})? ?s\b)/',
                    ],
                    ...$trouble,
                ],
                'Frame 1001 (1/96), time 0:01:01.5',
            ),
            self::of(
                'finished frame, seconds after it',
                [
                    [
                        'event' => 'finished',
                        'pattern' => '/\b(?:finished|completed|rendered|done)[ :]+frame[ '
                            .'#:]+(?<frame>-?\d{1,9})\b(?:.{0,200}?(?<seconds>\d{1,9}(?:\.\d{1,6})?) '
                            .'?s(?:ec(?:onds?)?)?\b)?/',
                    ],
                    [
                        'event' => 'started',
                        'pattern' => '/\b(?:rendering|starting)[ :]+frame[ #:]+(?<frame>-?\d{1,9})/',
                    ],
                    ...$trouble,
                ],
                'Finished frame 1001 in 61.5 s',
            ),
            self::of(
                'saved files alone',
                [
                    [
                        'event' => 'file',
                        'pattern' => '/\b(?:saved|wrote|writing|written)\b[ '
                            .':]+["\']?(?<file>[^"\'\r\n]{1,500}?\.[A-Za-z]{3,4})\b/',
                    ],
                    ...$trouble,
                ],
                'Saved: TC_010/TC_010.1001.exr',
            ),
        ];
    }

    /** @return list<array{event: string, pattern: string}> */
    public function toArray(): array
    {
        return array_map(
            static fn (array $p): array => ['event' => $p[0]->value, 'pattern' => $p[1]->source],
            $this->patterns,
        );
    }

    /**
     * What one line tells, by the first pattern of each kind that fits.
     *
     * @return list<array{event: LogEvent, pieces: array<string, string>}>
     *
     * @throws LogPatternRefused
     */
    public function read(string $line): array
    {
        $told = [];
        foreach ($this->patterns as [$event, $pattern]) {
            $pieces = isset($told[$event->value]) ? null : $pattern->in($line);
            if ($pieces !== null) {
                $told[$event->value] = ['event' => $event, 'pieces' => $pieces];
            }
        }

        return array_values($told);
    }
}
