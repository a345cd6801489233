<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\PatternRefused;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Text\Text;

/** One line of a list, understood: what a deliverable is called, what it carries and what is asked of it. */
final readonly class ShotRow
{
    /** What a code may be: it stands in names and folders. */
    public const CODE = '~^[A-Za-z0-9][A-Za-z0-9._-]{0,79}$~';

    /**
     * @param  int  $line  where it stood, counted from 1
     * @param  string|null  $owner  as it was written
     * @param  string|null  $due  `2026-12-01 23:59`
     * @param  array<string, string>  $values  pieces of names
     * @param  array<string, string>  $overrides  canonical texts by requirement
     * @param  list<string>  $faults  what could not be understood
     * @param  list<string>  $notes  what should be known of it
     */
    public function __construct(
        public int $line,
        public string $code,
        public ?string $title,
        public ?string $owner,
        public ?string $due,
        public array $values,
        public array $overrides,
        public array $faults,
        public array $notes = [],
    ) {}

    /**
     * @param  list<string>  $cells
     * @param  list<Column|null>  $columns
     */
    public static function read(int $line, array $cells, array $columns): self
    {
        $told = [];
        foreach ($columns as $c => $column) {
            $text = $cells[$c] ?? '';
            if ($column !== null && $text !== '') {
                $told[$column->word] = $text;
            }
        }
        $faults = [];
        $take = static function (string $what, \Closure $read) use (&$faults): mixed {
            try {
                return $read();
            } catch (NotUnderstood|PatternRefused $refused) {
                $faults[] = "{$what}: {$refused->getMessage()}";

                return null;
            }
        };
        $code = $told['code'] ?? '';
        if (preg_match(self::CODE, $code) !== 1) {
            $faults[] = $code === ''
                ? 'it has no code.'
                : '“'
                    .Text::shown(mb_strimwidth($code, 0, 60, '…'))
                    .'” is no code: letters, digits, dots, dashes and underscores, a letter or digit first.';
        }
        $overrides = [];
        $asks = array_filter(
            [
                RequirementId::TIME_RANGE => $take('frame range', static fn (): ?string => self::range($told)),
                RequirementId::TIME_HANDLES => self::handles($told),
                RequirementId::CAMERA_NAME => $told['camera'] ?? null,
                RequirementId::TIME_RATE => $told['rate'] ?? null,
            ],
            is_string(...),
        );
        foreach ($asks + array_filter(
            $told,
            static fn (string $word): bool => str_contains($word, '.') || in_array($word, ['passes', 'burn_in'], true),
            ARRAY_FILTER_USE_KEY,
        ) as $id => $text) {
            $descriptor = Catalogue::standard()->find((string) $id);
            $canonical = $descriptor === null
                ? null
                : $take(
                    lcfirst($descriptor->label),
                    static fn (): string => (string) RequirementValue::read($descriptor, $text),
                );
            if (is_string($canonical)) {
                $overrides[(string) $id] = $canonical;
            }
        }
        $values = array_filter(
            [
                'version' => isset($told['version'])
                    ? (string) preg_replace('~^[vV](?=\d)~', '', $told['version'])
                    : null,
                'task' => $told['task'] ?? null,
            ],
            is_string(...),
        );
        foreach ($told as $word => $text) {
            if (str_starts_with((string) $word, 'value:')) {
                $values[substr((string) $word, 6)] = Text::shown($text);
            }
        }
        $due = isset($told['due']) ? $take('due', static fn (): string => DueDate::parse($told['due'])) : null;

        return new self(
            $line,
            $code,
            isset($told['title']) ? mb_strimwidth(Text::shown($told['title']), 0, 160, '…') : null,
            $told['owner'] ?? null,
            is_string($due) ? $due : null,
            $values,
            $overrides,
            $faults,
        );
    }

    /** @param  array<string, string>  $told */
    private static function range(array $told): ?string
    {
        if (isset($told['range'])) {
            // in a column called frames there may also stand how many they are
            $counts = isset($told['first']) && preg_match('~^\d+$~', $told['range']) === 1;

            return $counts ? self::counted($told['first'], $told['last'] ?? null, $told['range']) : $told['range'];
        }
        if (isset($told['first'], $told['last'])) {
            return self::frame($told['first']).'-'.self::frame($told['last']);
        }
        if (isset($told['first'], $told['count'])) {
            return self::counted($told['first'], null, $told['count']);
        }
        if (isset($told['first']) || isset($told['last'])) {
            throw NotUnderstood::because('only one end of it is told.');
        }

        return null;
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

    /** @param  array<string, string>  $told */
    private static function handles(array $told): ?string
    {
        if (isset($told['handles'])) {
            return $told['handles'];
        }

        return isset($told['head']) || isset($told['tail']) ? ($told['head'] ?? '0').'+'.($told['tail'] ?? '0') : null;
    }

    /** How many frames it asks for with its handles, where it says so. */
    public function frames(): ?int
    {
        $range = $this->overrides[RequirementId::TIME_RANGE] ?? null;
        if ($range === null || $range === 'timeline') {
            return null;
        }
        [$head, $tail] = array_map(
            intval(...),
            explode('+', ($this->overrides[RequirementId::TIME_HANDLES] ?? '0').'+0'),
        );
        try {
            return count(FrameRange::parse($range)->widened($head, $tail));
        } catch (NotUnderstood) {
            return null;
        }
    }

    /** @param  list<string>  $faults */
    public function refused(array $faults): self
    {
        return new self(
            $this->line,
            $this->code,
            $this->title,
            $this->owner,
            $this->due,
            $this->values,
            $this->overrides,
            [...$this->faults, ...$faults],
            $this->notes,
        );
    }
}
