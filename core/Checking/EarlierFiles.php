<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Measure\FrameRange;

/** Files that lie there from an earlier delivery and are good: what a scene must not write over. */
final readonly class EarlierFiles
{
    /**
     * @param  list<array{part: string, folder: string, pattern: string, good: FrameRange}>  $sets folder: its last
     *   word; pattern: `#` for each digit of the frame number
     */
    public function __construct(private array $sets) {}

    /**
     * @param  array<string, list<FrameRange>>  $dueAgain  by part, one for each pass in order: frames that are to be
     *   rendered again anyway
     */
    public static function of(Check $check, array $dueAgain, string $folder): self
    {
        $sets = [];
        foreach ($check->subjects as $subject) {
            foreach ($subject->match->passes ?? [] as $p => $pass) {
                foreach ($pass->takes as $take) {
                    $good = $take->frames->minus($dueAgain[$subject->part->name][$p] ?? FrameRange::none());
                    if (! $good->isEmpty()) {
                        $sets[] = [
                            'part' => $subject->part->name,
                            'folder' => self::lastWord($folder.'/'.$take->sequence->folder()),
                            'pattern' => $take->sequence->pattern(),
                            'good' => $good,
                        ];
                    }
                }
            }
        }

        return new self($sets);
    }

    /** Good files that would be written over. */
    public function under(string $part, string $folder, string $pattern, FrameRange $frames): FrameRange
    {
        $hit = FrameRange::none();
        foreach ($this->sets as $set) {
            if ($set['part'] === $part && $set['pattern'] === $pattern && $set['folder'] === self::lastWord($folder)) {
                $hit = $hit->plus($set['good']->and($frames));
            }
        }

        return $hit;
    }

    private static function lastWord(string $folder): string
    {
        $words = array_values(
            array_filter(
                explode('/', strtr($folder, '\\', '/')),
                static fn (string $w): bool => $w !== '' && $w !== '.',
            ),
        );

        return $words[count($words) - 1] ?? '';
    }
}
