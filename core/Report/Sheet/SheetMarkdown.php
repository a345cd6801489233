<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report\Sheet;

use PlainLedger\Core\Specification\Consequences;
use PlainLedger\Core\Specification\Level;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Prose;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/** The sheet as Markdown (CommonMark, with the tables that most readers know). */
final readonly class SheetMarkdown implements SheetWriter
{
    public function write(Specification $specification): string
    {
        $text = '# '.self::plain(SheetText::title($specification))."\n";
        foreach ($specification->parts as $part) {
            if (count($specification->parts) > 1) {
                $text .= "\n## "
                    .self::plain($part->name)
                    .($part->madeFrom === null ? '' : ', made from '.self::plain($part->madeFrom))
                    ."\n";
            }
            $text .= "\n".self::plain(Prose::of($part))."\n".$this->table($part).$this->names($specification, $part);
        }

        return $text;
    }

    private function table(Part $part): string
    {
        if ($part->requirements === []) {
            return '';
        }
        $text = "\n| requirement | required | in words |\n| --- | --- | --- |\n";
        foreach ($part->requirements as $requirement) {
            $text .= $this->row($requirement, $requirement->descriptor->label);
            foreach ($part->ofPasses as $pass => $own) {
                foreach ($requirement->id() === RequirementId::PASSES ? $own : [] as $each) {
                    $text .= $this->row($each, "{$pass}: {$each->descriptor->label}");
                }
            }
        }

        return $text;
    }

    private function row(Requirement $requirement, string $label): string
    {
        $should = $requirement->level === Level::Should ? ' *(should)*' : '';
        $why = $requirement->why === null ? '' : ' '.self::plain("Why: {$requirement->why}.");

        return '| '
            .self::plain($label)
            ." | {$this->code($requirement->required())} | "
            .self::plain($requirement->sentence())
            ."{$should}{$why} |\n";
    }

    private function names(Specification $specification, Part $part): string
    {
        $consequences = Consequences::of($specification, $part);
        $text = '';
        if ($consequences->names !== null) {
            $tree = implode("\n", $consequences->names->tree());
            $fence = str_repeat('`', max(3, self::longestTicks($tree) + 1));
            $text .= "\nNames:\n\n{$fence}\n{$tree}\n{$fence}\n";
        }
        if ($consequences->lines !== []) {
            $text .= "\n";
            foreach ($consequences->lines as $line) {
                $text .= '- '.self::plain("{$line['label']}: {$line['value']}")."\n";
            }
        }

        return $text;
    }

    private function code(string $value): string
    {
        // a bar would end the cell, also inside a code span
        $ticks = str_repeat('`', self::longestTicks($value) + 1);
        $space = str_starts_with($value, '`') || str_ends_with($value, '`') ? ' ' : '';

        return $ticks.$space.str_replace('|', '\\|', $value).$space.$ticks;
    }

    private static function longestTicks(string $text): int
    {
        return max([0, ...array_map(strlen(...), preg_match_all('~`+~', $text, $m) > 0 ? $m[0] : [])]);
    }

    /** Text in which nothing is markup. */
    private static function plain(string $text): string
    {
        return (string) preg_replace('~[\\\\`*_{}\[\]<>#|!]~', '\\\\$0', $text);
    }
}
