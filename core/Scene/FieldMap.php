<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Text\Text;

/**
 * Other names for settings, as a house or a program has them: the `plain-ledger/field-map` document, version 1. Names
 * are looked up without case and with spaces, dashes and underscores alike; what a map says goes before what is usual.
 */
final readonly class FieldMap
{
    public const FORMAT = 'plain-ledger/field-map';

    private const MOST = 2000;

    private const LONGEST = 200;

    /** @param  array<string, FieldMeaning>  $meanings  by their plain names */
    private function __construct(private array $meanings) {}

    public static function none(): self
    {
        return new self([]);
    }

    /**
     * A line that bears the label a production's own fact is shown by is that fact, as is one with its bare name.
     *
     * @param  array<string, string>  $labels  by id
     */
    public static function ofOwnFacts(array $labels): self
    {
        $map = self::none();
        foreach ($labels as $id => $label) {
            $map = $map->with(new FieldMeaning($label, $id))->with(
                new FieldMeaning(substr($id, strlen('other.')), $id),
            );
        }

        return $map;
    }

    /** @throws JsonRefused */
    public static function fromDocument(JsonDocument $document): self
    {
        $list = $document->data['fields'] ?? [];
        if (! is_array($list) || ! array_is_list($list) || count($list) > self::MOST) {
            throw JsonRefused::because(
                $document->label,
                '"fields" is a list of at most '.self::MOST.' names, each with what it stands for.',
            );
        }
        $map = self::none();
        foreach ($list as $at => $line) {
            $where = 'field '.($at + 1);
            $line = JsonDocument::asObject($line, $document->label, $where);
            $map = $map->with(self::meaning($line, $document->label, $where));
        }

        return $map;
    }

    /**
     * @param  array<string, mixed>  $line
     *
     * @throws JsonRefused
     */
    public static function meaning(array $line, string $label, string $where): FieldMeaning
    {
        $name = $line['name'] ?? null;
        if (! is_string($name) || trim($name) === '' || strlen($name) > self::LONGEST) {
            $why = "{$where} has no \"name\", or one of more than ".self::LONGEST.' letters.';
            throw JsonRefused::because($label, $why);
        }
        $here = "{$where}, “".Text::shown($name).'”';
        $is = self::fieldOf($line['is'] ?? null, $label, $here);
        $unit = self::unitOf($line['unit'] ?? null, $is, $label, $here);

        return new FieldMeaning(trim($name), $is, $unit, self::wordsOf($line['words'] ?? [], $label, $where));
    }

    private static function fieldOf(mixed $is, string $label, string $here): ?string
    {
        if ($is === null || (is_string($is) && FieldNames::isField($is))) {
            return $is;
        }
        throw JsonRefused::because(
            $label,
            "{$here}, is said to be ".JsonDocument::typeOf($is)
                .', and that is no setting; ids are those of requirements, or width, height, first, last and path.',
        );
    }

    private static function unitOf(mixed $unit, ?string $is, string $label, string $here): ?FieldUnit
    {
        $known = is_string($unit) ? FieldUnit::tryFrom($unit) : null;
        $fits = $known !== null && $is !== null && in_array($known, FieldUnit::of($is), true);
        if ($unit !== null && ! $fits) {
            throw JsonRefused::because($label, "{$here}: ".JsonDocument::typeOf($unit).' is no unit for it.');
        }

        return $known;
    }

    /** @return array<string, string> */
    private static function wordsOf(mixed $given, string $label, string $where): array
    {
        $words = [];
        foreach (JsonDocument::entries($given, $label, "\"words\" of {$where}") as $word => $stands) {
            if (! is_string($stands) || count($words) >= 100) {
                throw JsonRefused::because($label, "\"words\" of {$where} are at most 100 texts by texts.");
            }
            $words[$word] = $stands;
        }

        return $words;
    }

    public function of(string $name): ?FieldMeaning
    {
        return $this->meanings[self::plain($name)] ?? null;
    }

    public function with(FieldMeaning $meaning): self
    {
        return new self([self::plain($meaning->name) => $meaning] + $this->meanings);
    }

    public function without(string $name): self
    {
        return new self(array_diff_key($this->meanings, [self::plain($name) => true]));
    }

    /** What the other map says goes before what this one says. */
    public function under(self $other): self
    {
        return new self($other->meanings + $this->meanings);
    }

    /** @return list<FieldMeaning> by name */
    public function meanings(): array
    {
        $list = array_values($this->meanings);
        usort($list, static fn (FieldMeaning $a, FieldMeaning $b): int => strnatcasecmp($a->name, $b->name));

        return $list;
    }

    /** @return array<string, mixed> the open document */
    public function toArray(string $title = ''): array
    {
        return ['format' => self::FORMAT, 'version' => 1] + ($title === '' ? [] : ['title' => $title])
            + ['fields' => array_map(static fn (FieldMeaning $m): array => $m->toArray(), $this->meanings())];
    }

    private static function plain(string $name): string
    {
        return trim((string) preg_replace('~[\s_-]+~u', ' ', mb_strtolower($name)));
    }
}
