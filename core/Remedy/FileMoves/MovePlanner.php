<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\FileMoves;

use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\SetAside;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Text\Text;

/**
 * Carries out the fixes of a check on the names of a listing, one after another just as they are told, and sees where
 * every file ends. What the check tells has to be there: where a folder has changed since, nothing is planned.
 */
final class MovePlanner
{
    private const KINDS = ['rename', 'move', 'set-aside'];

    private const MOST_NUMBERS = 5_000_000;

    /** @var array<array-key, string> where each file is by now, as it is shown, by where it was */
    private array $now = [];

    /** @var array<array-key, array-key> the reverse of it */
    private array $was = [];

    /** @var array<array-key, ListedFile> by its path, as it is shown */
    private array $files = [];

    private function __construct() {}

    /**
     * @param  list<array<string, mixed>>  $fixes  of a `plain-ledger/check` document, in their order
     * @param  string  $mark  names the folder for what is set aside this time
     *
     * @throws MoveRefused
     */
    public static function plan(array $fixes, Listing $listing, string $mark): MovePlan
    {
        $planner = new self;
        foreach ($listing->files() as $file) {
            $path = Text::shown($file->path());
            $planner->files[$path] = $file;
            $planner->now[$path] = $path;
            $planner->was[$path] = $path;
        }
        $left = [];
        foreach ($fixes as $fix) {
            if (in_array($fix['kind'] ?? null, self::KINDS, true)) {
                $planner->carryOut($fix, $mark);
            } else {
                $left[] = is_string($fix['says'] ?? null) ? $fix['says'] : '';
            }
        }

        return new MovePlan($planner->moves(), array_values(array_filter($left)));
    }

    /** @param  array<string, mixed>  $fix */
    private function carryOut(array $fix, string $mark): void
    {
        [$from, $to] = self::ends($fix, $mark);
        self::expectInside($to);
        $told = self::text($fix, 'frames');
        $frames = $told === '' ? null : FrameRange::parse($told);
        $renamed = $this->matching($from, $to, $frames, is_int($fix['shift'] ?? null) ? $fix['shift'] : 0);
        $this->expectCount($from, is_int($fix['count'] ?? null) ? $fix['count'] : count($renamed), count($renamed));
        $this->rename($renamed);
    }

    /**
     * @param  array<string, mixed>  $fix
     * @return array{string, string} as patterns of paths
     */
    private static function ends(array $fix, string $mark): array
    {
        [$from, $to, $files] = [self::text($fix, 'from'), self::text($fix, 'to'), self::text($fix, 'files')];

        return match ($fix['kind'] ?? null) {
            'move' => [self::in($from, $files), self::in($to, $files)],
            'set-aside' => [$from, SetAside::FOLDER."/{$mark}/{$from}"],
            default => [$from, $to],
        };
    }

    /** @param  array<string, mixed>  $fix */
    private static function text(array $fix, string $key): string
    {
        return is_string($fix[$key] ?? null) ? $fix[$key] : '';
    }

    private function expectCount(string $from, int $told, int $found): void
    {
        if ($found !== $told) {
            $then = Text::count($told, 'file');
            throw MoveRefused::because(
                $from,
                "is not there as the check tells it: {$then} then, {$found} now. Check again first",
            );
        }
    }

    private static function in(string $folder, string $name): string
    {
        return $folder === '.' || $folder === '' ? $name : "{$folder}/{$name}";
    }

    private static function expectInside(string $path): void
    {
        $leads = $path === '' || $path[0] === '/' || str_contains($path, "\0") || str_contains($path, '\\')
            || preg_match('~(?:^|/)\.{0,2}(?:/|$)|^[A-Za-z]:~', $path) === 1;
        if ($leads) {
            throw MoveRefused::because($path, 'would lie outside the delivery');
        }
    }

    /** @return array<array-key, string> where each is to be, by where it is */
    private function matching(string $from, string $to, ?FrameRange $frames, int $shift): array
    {
        $digits = substr_count($from, '#');
        if ($digits === 0 || $frames === null) {
            return isset($this->was[$from]) ? [$from => $to] : $this->sequence($from, $to);
        }
        if (count($frames) > self::MOST_NUMBERS) {
            throw MoveRefused::because($from, 'has more frames than are renamed at once');
        }
        $renamed = [];
        foreach ($frames->numbers() as $number) {
            $path = self::written($from, $number, $digits);
            if (isset($this->was[$path])) {
                $renamed[$path] = self::written($to, $number + $shift, substr_count($to, '#'));
            }
        }

        return $renamed;
    }

    /**
     * All of a sequence, where no frames are told.
     *
     * @return array<array-key, string>
     */
    private function sequence(string $from, string $to): array
    {
        $digits = substr_count($from, '#');
        if ($digits === 0) {
            return [];
        }
        $expression = '~^'.str_replace(str_repeat('\#', $digits), '(-?\d{'.$digits.',})', preg_quote($from, '~')).'$~D';
        $renamed = [];
        foreach (array_keys($this->was) as $path) {
            if (preg_match($expression, (string) $path, $m) === 1) {
                $renamed[$path] = self::written($to, (int) $m[1], substr_count($to, '#'));
            }
        }

        return $renamed;
    }

    private static function written(string $pattern, int $number, int $digits): string
    {
        if ($digits === 0) {
            return $pattern;
        }
        $sign = $number < 0 ? '-' : '';

        return str_replace(
            str_repeat('#', $digits),
            $sign.str_pad((string) abs($number), $digits, '0', STR_PAD_LEFT),
            $pattern,
        );
    }

    /** @param  array<array-key, string>  $renamed */
    private function rename(array $renamed): void
    {
        $originals = [];
        foreach ($renamed as $from => $to) {
            $originals[$to] = isset($originals[$to])
                ? throw MoveRefused::because($to, 'would be the name of two files')
                : $this->was[$from];
        }
        foreach (array_keys($renamed) as $from) {
            unset($this->was[$from]);
        }
        foreach ($originals as $to => $original) {
            if (isset($this->was[$to])) {
                throw MoveRefused::because((string) $to, 'is the name of another file that is there already');
            }
            $this->was[$to] = $original;
            $this->now[$original] = (string) $to;
        }
    }

    /** @return list<PlannedMove> */
    private function moves(): array
    {
        $moves = [];
        ksort($this->now, SORT_STRING);
        foreach ($this->now as $from => $to) {
            if ((string) $from === $to) {
                continue;
            }
            $file = $this->files[$from];
            if ($file->refused !== null) {
                throw MoveRefused::because((string) $from, 'cannot be renamed: '.$file->refused);
            }
            // what is set aside keeps its own bytes for a name, whatever they are
            $isAside = SetAside::holds($to) && str_ends_with($to, (string) $from);
            $target = $isAside ? substr($to, 0, -strlen((string) $from)).$file->path() : $to;
            $moves[] = new PlannedMove($file->path(), $target, $file->size, $file->modified, $file->identity);
        }

        return $moves;
    }
}
