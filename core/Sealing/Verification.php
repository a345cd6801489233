<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

use PlainLedger\Core\Checksums\SumAlgorithm;

/** What became of the files that were sealed. */
final readonly class Verification
{
    /**
     * @param  int  $same  files that are as they were
     * @param  list<string>  $changed  other bytes than then
     * @param  list<string>  $missing  not there, under no name
     * @param  list<string>  $new  not sealed
     * @param  list<array{string, string}>  $renamed  the same bytes: the path then, and now
     * @param  array<array-key, string>  $unreadable  why, by path
     */
    public function __construct(
        public int $same,
        public array $changed,
        public array $missing,
        public array $new,
        public array $renamed,
        public array $unreadable,
    ) {}

    /**
     * A file whose path was not sealed is one that was renamed where its bytes are those of a sealed file that is not
     * there; of several of the same bytes the one with the same name goes first.
     *
     * @param  array<array-key, array{string, string}>  $expected  algorithm and sum, by path
     * @param  Seal  $now  with sums by all those algorithms
     */
    public static function of(array $expected, Seal $now): self
    {
        [$same, $changed, $unlisted] = [0, [], []];
        $missing = array_diff_key($expected, $now->refused);
        foreach ($now->files as $file) {
            $then = $expected[$file->path] ?? null;
            unset($missing[$file->path]);
            if ($then === null) {
                $unlisted[] = $file;
            } elseif (($file->sums[$then[0]] ?? null) === $then[1]) {
                $same++;
            } else {
                $changed[] = $file->path;
            }
        }
        [$renamed, $new] = self::renamed($unlisted, $missing);
        $gone = array_diff_key($missing, array_fill_keys(array_column($renamed, 0), true));

        return new self($same, $changed, array_map(strval(...), array_keys($gone)), $new, $renamed, $now->refused);
    }

    /**
     * @param  array<array-key, array{string, string}>  $sums  algorithm and sum, by path
     * @return list<SumAlgorithm> those that are needed to compare
     */
    public static function algorithms(array $sums): array
    {
        return array_map(SumAlgorithm::from(...), array_values(array_unique(array_column($sums, 0))));
    }

    /**
     * @param  list<SealedFile>  $unlisted
     * @param  array<array-key, array{string, string}>  $missing
     * @return array{list<array{string, string}>, list<string>} pairs of paths then and now; and those that are new
     */
    private static function renamed(array $unlisted, array $missing): array
    {
        $bySum = [];
        foreach ($missing as $path => [$algorithm, $sum]) {
            $bySum["{$algorithm} {$sum}"][] = (string) $path;
        }
        [$renamed, $new] = [[], []];
        foreach ($unlisted as $file) {
            $from = self::formerPath($file, $bySum);
            if ($from === null) {
                $new[] = $file->path;
            } else {
                $renamed[] = [$from, $file->path];
            }
        }

        return [$renamed, $new];
    }

    /** @param  array<string, list<string>>  $bySum  missing paths; the one that is found is taken out */
    private static function formerPath(SealedFile $file, array &$bySum): ?string
    {
        foreach ($file->sums as $algorithm => $sum) {
            $paths = $bySum["{$algorithm} {$sum}"] ?? [];
            if ($paths !== []) {
                $at = array_search(basename($file->path), array_map(basename(...), $paths), true);
                $from = $paths[$at === false ? 0 : $at];
                $bySum["{$algorithm} {$sum}"] = array_values(array_diff($paths, [$from]));

                return $from;
            }
        }

        return null;
    }

    public function holds(): bool
    {
        return $this->changed === [] && $this->missing === [] && $this->new === [] && $this->renamed === []
            && $this->unreadable === [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'holds' => $this->holds(),
            'same' => $this->same,
            'changed' => $this->changed,
            'missing' => $this->missing,
            'new' => $this->new,
            'renamed' => array_map(
                static fn (array $pair): array => ['from' => $pair[0], 'to' => $pair[1]],
                $this->renamed,
            ),
            'unreadable' => (object) $this->unreadable,
        ];
    }
}
