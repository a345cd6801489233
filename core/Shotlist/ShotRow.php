<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** One line of a list, understood: what a deliverable is called, what it carries and what is asked of it. */
final readonly class ShotRow
{
    /** What a code may be: it stands in names and folders. */
    public const CODE = '~^[A-Za-z0-9][A-Za-z0-9._-]{0,79}$~';

    /**
     * @param  int  $line  where it stood, counted from 1
     * @param  array<string, string>  $values  pieces of names
     * @param  array<string, string>  $overrides  canonical texts by requirement
     * @param  list<string>  $faults  what could not be understood
     * @param  list<string>  $notes  what should be known of it
     */
    public function __construct(
        public int $line,
        public string $code,
        public ShotDetails $details,
        public array $values,
        public array $overrides,
        public array $faults,
        public array $notes = [],
    ) {}

    /**
     * The same, with other things asked of it.
     *
     * @param  array<string, string>  $overrides
     */
    public function asking(array $overrides): self
    {
        $values = $this->values;

        return new self($this->line, $this->code, $this->details, $values, $overrides, $this->faults, $this->notes);
    }

    /** What is wrong with a code; null where it is one. */
    public static function codeFault(string $code, string $missing): ?string
    {
        if (preg_match(self::CODE, $code) === 1) {
            return null;
        }
        $shown = Text::shown(mb_strimwidth($code, 0, 60, '…'));

        return $code === ''
            ? $missing
            : "“{$shown}” is no code: letters, digits, dots, dashes and underscores, a letter or digit first.";
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
            $this->details,
            $this->values,
            $this->overrides,
            [...$this->faults, ...$faults],
            $this->notes,
        );
    }
}
