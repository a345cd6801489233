<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\SealedFile;
use PlainLedger\Core\Sealing\Verification;
use PlainLedger\Core\Text\Text;

/** What of a delivery is as it was signed before, and what came again, is new or gone. */
final readonly class Redelivery
{
    /** Lines of a kind that are told. */
    private const MOST = 12;

    /**
     * @param  int  $number  of the submission it is compared with
     * @param  bool  $isExact  by sums of all bytes; else as far as sizes and times tell
     * @param  list<string>  $same  paths, as they are now
     * @param  list<string>  $again  under the same path, and not the same
     * @param  list<string>  $new
     * @param  list<string>  $gone
     * @param  list<array{string, string}>  $renamed  the same under another path: then, and now
     */
    private function __construct(
        public int $number,
        public bool $isExact,
        public array $same,
        public array $again,
        public array $new,
        public array $gone,
        public array $renamed = [],
    ) {}

    /** By a sum that both have; as far as sizes and times tell where they have none in common. */
    public static function of(SubmissionRecord $before, Seal $now): self
    {
        foreach ($now->algorithms as $algorithm) {
            $then = $before->sumsBy($algorithm);
            if ($then !== [] && count($then) === count($before->sizes())) {
                return self::bySums($before->number(), $algorithm, $then, $now);
            }
        }
        $files = [];
        foreach ($now->files as $file) {
            $files[$file->path] = [$file->size, $file->modified];
        }

        return self::byTimes($before, $files);
    }

    /** Before its files were read for their sums. */
    public static function expected(SubmissionRecord $before, Delivery $now): self
    {
        return self::byTimes($before, FilesSince::dated($now));
    }

    /** @param  array<array-key, string>  $then  sums by path */
    private static function bySums(int $number, SumAlgorithm $algorithm, array $then, Seal $now): self
    {
        $found = Verification::of(
            array_map(static fn (string $sum): array => [$algorithm->value, $sum], $then),
            $now,
        );
        $moved = array_column($found->renamed, 1);
        $other = array_fill_keys([...$found->changed, ...$found->new], true);
        $paths = array_map(static fn (SealedFile $file): string => $file->path, $now->files);
        $same = array_values(array_filter($paths, static fn (string $path): bool => ! isset($other[$path])));

        return new self(
            $number,
            true,
            array_values(array_diff($same, $moved)),
            $found->changed,
            $found->new,
            $found->missing,
            $found->renamed,
        );
    }

    /** @param  array<array-key, array{int, int}>  $now  size and time, by path */
    private static function byTimes(SubmissionRecord $before, array $now): self
    {
        $then = $before->dated();
        [$same, $again, $new] = [[], [], []];
        foreach ($now as $path => $is) {
            match ($then[$path] ?? null) {
                null => $new[] = (string) $path,
                $is => $same[] = (string) $path,
                default => $again[] = (string) $path,
            };
        }
        $gone = array_map(strval(...), array_keys(array_diff_key($then, $now)));

        return new self($before->number(), false, $same, $again, $new, $gone);
    }

    /** Whether every file is as it was signed before, under whichever name. */
    public function isTheSame(): bool
    {
        return $this->again === [] && $this->new === [] && $this->gone === [];
    }

    /** @return list<string> of all that are as they were, as they are called now */
    public function unchanged(): array
    {
        return [...$this->same, ...array_column($this->renamed, 1)];
    }

    /** @return list<string> a sentence each */
    public function sentences(): array
    {
        $renamed = array_map(static fn (array $pair): string => "{$pair[0]} is {$pair[1]} now", $this->renamed);
        $says = [];
        foreach ([
            'As they were' => PathRuns::of($this->same), 'Came again' => PathRuns::of($this->again),
            'New' => PathRuns::of($this->new), 'Gone' => PathRuns::of($this->gone), 'Renamed' => $renamed,
        ] as $word => $lines) {
            if ($lines !== []) {
                $more = count($lines) - self::MOST;
                $says[] = "{$word}: ".implode(', ', array_map(Text::shown(...), array_slice($lines, 0, self::MOST)))
                    .($more > 0 ? " and {$more} more" : '').'.';
            }
        }

        return $says;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'number' => $this->number,
            'by' => $this->isExact ? 'sums' : 'times',
            'same' => self::named($this->same),
            'again' => self::named($this->again),
            'new' => self::named($this->new),
            'gone' => self::named($this->gone),
            'renamed' => array_map(static fn (array $pair): array => [
                'from' => SubmissionRecord::written($pair[0]), 'to' => SubmissionRecord::written($pair[1]),
            ], $this->renamed),
        ];
    }

    /**
     * @param  list<string>  $paths
     * @return array{files: int, names: list<string>}
     */
    private static function named(array $paths): array
    {
        return [
            'files' => count($paths),
            'names' => array_map(SubmissionRecord::written(...), PathRuns::of($paths)),
        ];
    }
}
