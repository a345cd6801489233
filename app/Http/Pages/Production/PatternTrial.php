<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\ByKey;
use PlainLedger\Core\RenderLog\LogEvent;
use PlainLedger\Core\RenderLog\LogPattern;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** Patterns of a log that are being written, tried on some lines. */
final class PatternTrial
{
    /** Nanoseconds that one pattern may take on all lines together. */
    private const LONGEST = 150_000_000;

    private const LONGEST_LINE = 4000;

    /** @var array<array-key, string> by place of the pattern */
    private array $faults = [];

    /** @var array<array-key, array{LogEvent, LogPattern}> */
    private array $patterns = [];

    /** @var array<array-key, int> nanoseconds */
    private array $spent = [];

    /** @param  array<array-key, array{event: string, pattern?: string|null}>  $patterns */
    public function __construct(array $patterns)
    {
        foreach ($patterns as $at => $line) {
            try {
                if (trim($line['pattern'] ?? '') !== '') {
                    $this->patterns[$at] = [LogEvent::from($line['event']), LogPattern::parse($line['pattern'])];
                }
            } catch (PlainSentence|\ValueError $refused) {
                $isPlain = $refused instanceof PlainSentence;
                $this->faults[$at] = $isPlain ? $refused->getMessage() : 'There is no such event.';
            }
        }
    }

    /** @param  list<string>  $texts */
    public function lines(array $texts): TriedPatterns
    {
        $lines = [];
        foreach ($texts as $text) {
            $lines[] = ['text' => mb_strimwidth(Text::shown($text), 0, 300, '…'), 'told' => $this->read($text)];
        }

        return new TriedPatterns($lines, new ByKey($this->faults));
    }

    /** @return list<array{event: string, at: int|string, pieces: ByKey<string>}> what each pattern finds in a line */
    private function read(string $line): array
    {
        $told = [];
        foreach ($this->patterns as $at => [$event, $pattern]) {
            $pieces = isset($this->faults[$at]) ? null : $this->pieces($at, $pattern, $line);
            if ($pieces !== null) {
                $told[] = ['event' => $event->value, 'at' => $at, 'pieces' => new ByKey($pieces)];
            }
        }

        return $told;
    }

    /**
     * All lines share one budget: what uses it up is switched off.
     *
     * @return array<string, string>|null
     */
    private function pieces(int|string $at, LogPattern $pattern, string $line): ?array
    {
        $began = hrtime(true);
        try {
            $pieces = $pattern->in(mb_substr($line, 0, self::LONGEST_LINE));
        } catch (PlainSentence $refused) {
            $this->faults[$at] = $refused->getMessage();

            return null;
        }
        $this->spent[$at] = ($this->spent[$at] ?? 0) + hrtime(true) - $began;
        if ($this->spent[$at] > self::LONGEST) {
            $this->faults[$at] = 'This pattern takes too long on these lines, and is not looked for in the rest of '
                .'them. Say more exactly what stands between its pieces.';
        }

        return $pieces;
    }
}
