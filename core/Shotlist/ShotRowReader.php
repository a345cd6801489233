<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Text\Text;

/** Reads one line of a list, by what its columns tell. */
final class ShotRowReader
{
    /** @var list<string> what could not be understood */
    private array $faults = [];

    /** @param  array<array-key, string>  $told  by the word of the column */
    private function __construct(private readonly array $told) {}

    /**
     * @param  list<string>  $cells
     * @param  list<Column|null>  $columns
     */
    public static function read(int $line, array $cells, array $columns): ShotRow
    {
        $told = [];
        foreach ($columns as $c => $column) {
            $text = $cells[$c] ?? '';
            if ($column !== null && $text !== '') {
                $told[$column->word] = $text;
            }
        }

        return (new self($told))->row($line);
    }

    private function row(int $line): ShotRow
    {
        $code = $this->told['code'] ?? '';
        $fault = ShotRow::codeFault($code, 'it has no code.');
        $this->faults = $fault === null ? [] : [$fault];
        $overrides = $this->overrides();
        $due = $this->told['due'] ?? null;
        $details = new ShotDetails(
            isset($this->told['title']) ? mb_strimwidth(Text::shown($this->told['title']), 0, 160, '…') : null,
            $this->told['owner'] ?? null,
            $due === null ? null : $this->attempt('due', static fn (): string => DueDate::parse($due)),
        );

        return new ShotRow($line, $code, $details, $this->values(), $overrides, $this->faults);
    }

    /**
     * @param  \Closure(): (string|null)  $read
     */
    private function attempt(string $what, \Closure $read): ?string
    {
        try {
            return $read();
        } catch (NotUnderstood|PatternRefused $refused) {
            $this->faults[] = "{$what}: {$refused->getMessage()}";

            return null;
        }
    }

    /** @return array<string, string> canonical texts by requirement */
    private function overrides(): array
    {
        $asked = array_filter([
            RequirementId::TIME_RANGE => $this->attempt('frame range', $this->range(...)),
            RequirementId::TIME_HANDLES => $this->handles(),
            RequirementId::CAMERA_NAME => $this->told['camera'] ?? null,
            RequirementId::TIME_RATE => $this->told['rate'] ?? null,
        ], is_string(...));
        $overrides = [];
        foreach ($asked + $this->told as $id => $text) {
            $descriptor = self::isId((string) $id) ? Catalogue::standard()->find((string) $id) : null;
            $canonical = $descriptor === null ? null : $this->attempt(
                lcfirst($descriptor->label),
                static fn (): string => (string) RequirementValue::read($descriptor, $text),
            );
            $overrides += $canonical === null ? [] : [(string) $id => $canonical];
        }

        return $overrides;
    }

    private static function isId(string $word): bool
    {
        return str_contains($word, '.') || in_array($word, [RequirementId::PASSES, RequirementId::BURN_IN], true);
    }

    /** @return array<string, string> pieces of names */
    private function values(): array
    {
        $version = $this->told['version'] ?? null;
        $values = array_filter([
            'version' => $version === null ? null : (string) preg_replace('~^[vV](?=\d)~', '', $version),
            'task' => $this->told['task'] ?? null,
        ], is_string(...));
        foreach ($this->told as $word => $text) {
            if (str_starts_with((string) $word, 'value:')) {
                $values[substr((string) $word, 6)] = Text::shown($text);
            }
        }

        return $values;
    }

    private function range(): ?string
    {
        [$range, $first, $last, $count] = array_map(
            fn (string $word): ?string => $this->told[$word] ?? null,
            ['range', 'first', 'last', 'count'],
        );
        if ($range !== null) {
            // in a column called frames there may also stand how many they are
            return $first !== null && preg_match('~^\d+$~', $range) === 1
                ? self::counted($first, $last, $range)
                : $range;
        }
        if ($first !== null && $last !== null) {
            return self::frame($first).'-'.self::frame($last);
        }
        if ($first !== null && $count !== null) {
            return self::counted($first, null, $count);
        }

        return $first === null && $last === null ? null : throw NotUnderstood::because('only one end of it is told.');
    }

    private static function counted(string $first, ?string $last, string $count): string
    {
        $from = self::frame($first);
        $many = (int) self::frame($count);
        if ($last === null && $many < 1) {
            throw NotUnderstood::because("a count of {$count} frames is none.");
        }

        return "{$from}-".($last === null ? (int) $from + $many - 1 : self::frame($last));
    }

    private static function frame(string $text): string
    {
        if (preg_match('~^-?\d{1,10}$~', $text) !== 1) {
            throw NotUnderstood::as('a frame number', $text, '1001');
        }

        return (string) (int) $text;
    }

    private function handles(): ?string
    {
        [$head, $tail] = [$this->told['head'] ?? null, $this->told['tail'] ?? null];
        $both = $head === null && $tail === null ? null : ($head ?? '0').'+'.($tail ?? '0');

        return $this->told['handles'] ?? $both;
    }
}
