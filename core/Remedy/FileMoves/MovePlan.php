<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\FileMoves;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Text\Text;

/** All files that renaming, moving and setting aside touch, each once, from where it lies to where it ends. */
final readonly class MovePlan
{
    /**
     * @param  list<PlannedMove>  $moves  in the order of their paths
     * @param  list<string>  $left  what else there is to do, which no renaming does
     */
    public function __construct(public array $moves, public array $left = []) {}

    public function isEmpty(): bool
    {
        return $this->moves === [];
    }

    /**
     * Folded: what differs in one number alone stands in one line.
     *
     * @return list<array{from: string, to: string, frames: string, count: int, aside: bool}>
     */
    public function folded(): array
    {
        $folds = [];
        foreach ($this->moves as $move) {
            [$from, $number] = self::pattern($move->from);
            [$to, $other] = self::pattern($move->to);
            $shift = $number === null || $other === null ? null : $other - $number;
            $key = serialize([$from, $to, $shift]);
            $folds[$key] ??= [$from, $to, [], $move];
            $folds[$key][2][] = $number ?? 0;
        }

        return array_values(array_map(
            static fn (array $fold): array => [
                'from' => Text::shown(count($fold[2]) === 1 ? $fold[3]->from : $fold[0]),
                'to' => Text::shown(count($fold[2]) === 1 ? $fold[3]->to : $fold[1]),
                'frames' => count($fold[2]) === 1 ? '' : (string) FrameRange::fromNumbers($fold[2]),
                'count' => count($fold[2]),
                'aside' => $fold[3]->isSetAside(),
            ],
            $folds,
        ));
    }

    /** @return array{string, int|null} with `#` for the digits of the last number before the extension */
    private static function pattern(string $path): array
    {
        $name = basename($path);
        if (preg_match('~^(.*?)(\d+)(\D*?(?:\.[A-Za-z][A-Za-z0-9]{0,4})?)$~s', $name, $m) !== 1 || strlen($m[2]) > 17) {
            return [$path, null];
        }
        $folder = dirname($path);
        $own = $m[1].str_repeat('#', strlen($m[2])).$m[3];

        return [$folder === '.' ? $own : "{$folder}/{$own}", (int) $m[2]];
    }
}
