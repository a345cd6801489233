<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Picked;

use PlainLedger\Core\Delivery\ListedFile;

/**
 * How much of a file is asked for at first: its two ends, and more of them where most files of its kind before it had
 * to be asked for again.
 */
final class FirstSlices
{
    private const HEAD = 4096;

    private const TAIL = 1024;

    /** No more than this on a guess. */
    private const MOST = 16_384;

    /** Of so many files of a kind it is known what they need. */
    private const ENOUGH = 8;

    /** @var array<string, array{int, int}> bytes of head and tail, by extension */
    private array $ends = [];

    /** @var array<string, array{int, int, int, int}> files seen, asked again, and the most they needed of each end */
    private array $seen = [];

    /** @return list<array{int, int}> offset and length */
    public function of(ListedFile $file): array
    {
        [$head, $tail] = $this->ends[self::kind($file)] ?? [self::HEAD, self::TAIL];

        return $file->size <= $head + $tail
            ? [[0, $file->size]]
            : [[0, $head], [$file->size - $tail, $tail]];
    }

    /** @param  list<array{int, int}>  $missing  what it needed beside its first slices */
    public function learn(ListedFile $file, array $missing): void
    {
        $kind = self::kind($file);
        [$files, $again, $head, $tail] = $this->seen[$kind] ?? [0, 0, self::HEAD, self::TAIL];
        foreach ($missing as [$offset, $length]) {
            if ($offset + $length <= self::MOST) {
                $head = max($head, $offset + $length);
            } elseif ($file->size - $offset <= self::MOST) {
                $tail = max($tail, $file->size - $offset);
            }
        }
        $this->seen[$kind] = [$files + 1, $again + ($missing === [] ? 0 : 1), $head, $tail];
        if ($files + 1 >= self::ENOUGH && 2 * $this->seen[$kind][1] > $files + 1) {
            $this->ends[$kind] = [$head, $tail];
        }
    }

    private static function kind(ListedFile $file): string
    {
        return strtolower(pathinfo($file->name, PATHINFO_EXTENSION));
    }

    /** @return array{ends: array<string, array{int, int}>, seen: array<string, array{int, int, int, int}>} */
    public function checkpoint(): array
    {
        return ['ends' => $this->ends, 'seen' => $this->seen];
    }

    /**
     * @param  array{ends?: array<string, array{int, int}>,
     *   seen?: array<string, array{int, int, int, int}>}  $checkpoint
     */
    public static function resume(array $checkpoint): self
    {
        $first = new self;
        $first->ends = $checkpoint['ends'] ?? [];
        $first->seen = $checkpoint['seen'] ?? [];

        return $first;
    }
}
