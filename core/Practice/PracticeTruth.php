<?php

declare(strict_types=1);

namespace PlainLedger\Core\Practice;

use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Diagnosis\FixKind;
use PlainLedger\Core\Measure\FrameRange;

/** What is the matter with an exercise's delivery, as a check of it tells. */
final readonly class PracticeTruth
{
    /**
     * @param  list<string>  $lines  ids of requirements that differ, each once
     * @param  array<string, string>  $causes  what each says, by its id
     * @param  array<string, list<string>>  $evidence  by the cause's id
     * @param  array<string, string>  $others  for which cause each other one could be taken, by the other's id
     * @param  array<string, FrameRange>  $render  frames to render again, by part
     */
    private function __construct(
        public array $lines,
        public array $causes,
        public array $evidence,
        public array $others,
        public array $render,
    ) {}

    /** @param  array<string, mixed>  $check  a `plain-ledger/check` document */
    public static function of(array $check): self
    {
        [$causes, $evidence, $others] = [[], [], []];
        foreach (self::rows($check, 'causes') as $cause) {
            $id = self::text($cause, 'id');
            $causes[$id] ??= self::text($cause, 'says');
            $evidence[$id] = [...$evidence[$id] ?? [], ...self::texts($cause['evidence'] ?? null)];
            $others += array_fill_keys(self::texts($cause['or'] ?? null), $id);
        }

        return new self(
            self::unequal($check),
            $causes,
            $evidence,
            array_diff_key($others, $causes),
            self::render($check),
        );
    }

    /**
     * @param  array<string, mixed>  $check
     * @return list<string>
     */
    private static function unequal(array $check): array
    {
        $lines = [];
        foreach (self::rows($check, 'entries') as $entry) {
            if (self::text($entry, 'mark') === Mark::Unequal->value) {
                $lines[self::text($entry, 'id')] = self::text($entry, 'id');
            }
        }

        return array_values($lines);
    }

    /** @param  array<string, mixed>  $row */
    private static function text(array $row, string $key): string
    {
        return is_string($row[$key] ?? null) ? $row[$key] : '';
    }

    public function balances(): bool
    {
        return $this->lines === [];
    }

    /**
     * @param  array<string, mixed>  $check
     * @return array<string, FrameRange>
     */
    private static function render(array $check): array
    {
        $render = [];
        foreach (self::rows($check, 'fixes') as $fix) {
            if (self::text($fix, 'kind') === FixKind::Render->value && self::text($fix, 'frames') !== '') {
                $part = self::text($fix, 'part');
                $frames = FrameRange::parse(self::text($fix, 'frames'));
                $render[$part] = isset($render[$part]) ? $render[$part]->plus($frames) : $frames;
            }
        }

        return $render;
    }

    /**
     * @param  array<string, mixed>  $check
     * @return list<array<string, mixed>>
     */
    private static function rows(array $check, string $key): array
    {
        $rows = [];
        foreach (is_array($check[$key] ?? null) ? $check[$key] : [] as $row) {
            if (is_array($row)) {
                /** @var array<string, mixed> $row */
                $rows[] = $row;
            }
        }

        return $rows;
    }

    /** @return list<string> */
    private static function texts(mixed $all): array
    {
        return array_values(array_filter(is_array($all) ? $all : [], is_string(...)));
    }
}
