<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Spellings;

/** One value under somebody's name for it, with the field that both together stand for. */
final readonly class NamedValue
{
    private const TWO_FRAMES = '~^(-?\d{1,9})\s*(?:/|-|–|to|\.\.)\s*(-?\d{1,9})$~i';

    private const CHANNEL_WORD = '~^(?:rgba?|y|ya|bw|gr[ae]y(?:scale)?)$~i';

    private const HAS_NUMBER_OR_EXTENSION = '~#|%0?\d*d|\{frame|\.[A-Za-z][A-Za-z0-9]{1,3}$~';

    /** @param  string|null  $field  null where none is known, `""` where it is of no concern */
    private function __construct(public string $name, public string $value, public ?string $field) {}

    public static function read(string $name, string $value, ?FieldMap $map): self
    {
        $meaning = $map?->of($name);
        $value = trim($value);
        if ($meaning !== null) {
            return new self($name, $meaning->value($value), $meaning->is ?? '');
        }

        return (new self($name, $value, FieldNames::of($name, $map)))->meant();
    }

    /** What a name says is corrected by its value, where that can only be of another field. */
    private function meant(): self
    {
        $name = trim($this->name);
        $both = preg_match(self::TWO_FRAMES, $this->value, $m) === 1 ? "{$m[1]}-{$m[2]}" : null;

        return match (true) {
            // “in/out: 1001 / 1096” tells both at once
            $both !== null
                && in_array($this->field, ['first', 'last'], true) => new self(
                    $this->name,
                    $both,
                    RequirementId::TIME_RANGE,
                ),
            // “frames: all” says what is rendered, and not which frames
            $this->is(RequirementId::TIME_RANGE) && $this->isExtent() => $this->as(RequirementId::TIME_EXTENT),
            // “frames: 96” says how many, and not which
            $this->is(RequirementId::TIME_RANGE) && $this->isCount($name) => $this->as(RequirementId::TIME_COUNT),
            $this->is(RequirementId::NAMING_PATTERN) && $this->isNameOfScene($name) => $this->as('scene.file'),
            // one name for two settings: a number is that of a compression
            $this->is(RequirementId::RENDER_QUALITY)
                && is_numeric(rtrim($this->value, '% ')) => $this->as(RequirementId::FORMAT_QUALITY),
            $this->field === null && $this->isChannels($name) => $this->as(RequirementId::FORMAT_CHANNELS),
            default => $this,
        };
    }

    private function is(string $field): bool
    {
        return $this->field === $field;
    }

    private function as(string $field): self
    {
        return new self($this->name, $this->value, $field);
    }

    private function isExtent(): bool
    {
        return in_array(Spellings::usual(RequirementId::TIME_EXTENT, $this->value), ['one', 'whole'], true)
            && preg_match('~\d~', $this->value) !== 1;
    }

    private function isCount(string $name): bool
    {
        return preg_match('~^(?:.*[./:])?\s*(?:number of |total )?frames$~i', $name) === 1
            && preg_match('~^\d{1,9}$~', $this->value) === 1;
    }

    /** A name without a number and without an extension is that of the scene. */
    private function isNameOfScene(string $name): bool
    {
        return preg_match('~^(?:.*[./:])?\s*name$~i', $name) === 1
            && preg_match(self::HAS_NUMBER_OR_EXTENSION, $this->value) !== 1;
    }

    /** “color: RGBA” tells of channels; of another value it is not known what it tells. */
    private function isChannels(string $name): bool
    {
        return preg_match('~^colou?rs?$~i', $name) === 1 && preg_match(self::CHANNEL_WORD, $this->value) === 1;
    }

    /** An empty output folder is an answer: none is set. */
    public function tells(): bool
    {
        return $this->value !== '' || in_array($this->field, [RequirementId::OUTPUT_FOLDER, 'path'], true);
    }

    /** “half” and “32 bit float” tell of the sample too. */
    public function tellsFloat(): bool
    {
        return $this->is(RequirementId::FORMAT_BIT_DEPTH) && preg_match('~\b(half|float)\b~i', $this->value) === 1;
    }
}
