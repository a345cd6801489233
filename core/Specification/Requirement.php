<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Text;
use PlainLedger\Core\Naming\PatternRefused;

/** One thing asked, resolved: its value, how much it weighs, why, and which layer set it. */
final readonly class Requirement
{
    public function __construct(
        public Descriptor $descriptor,
        public Ask $ask,
        public Level $level,
        public ?string $why,
        public SetBy $setBy,
    ) {}

    /**
     * @param  string  $where  for sentences: the file or field it stands in
     *
     * @throws SpecificationRefused
     */
    public static function read(Descriptor $descriptor, mixed $json, SetBy $setBy, string $where): self
    {
        $level = Level::Must;
        $why = null;
        if (is_array($json) && ! array_is_list($json)) {
            $told = $json['level'] ?? 'must';
            $level = is_string($told) ? Level::tryFrom(strtolower($told)) : null;
            if ($level === null) {
                throw SpecificationRefused::because($where, "“{$descriptor->id}”: the level is “must” or “should”.");
            }
            $why = is_string($json['why'] ?? null) ? Text::shown($json['why']) : null;
        }
        try {
            return new self($descriptor, Ask::read($descriptor, $json), $level, $why, $setBy);
        } catch (NotUnderstood|PatternRefused $refused) {
            throw SpecificationRefused::because($where, "“{$descriptor->id}”: {$refused->getMessage()}");
        }
    }

    public function id(): string
    {
        return $this->descriptor->id;
    }

    /** The value as one text for people and machines. */
    public function required(): string
    {
        return (string) $this->ask;
    }

    public function sentence(): string
    {
        return sprintf(str_replace('%s', '%1$s', $this->descriptor->sentence), $this->required());
    }
}
