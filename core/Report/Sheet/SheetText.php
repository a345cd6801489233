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

/** The sheet as plain text, a sentence a line. */
final readonly class SheetText implements SheetWriter
{
    public function write(Specification $specification): string
    {
        $text = self::title($specification)."\n".str_repeat('=', max(1, mb_strlen(self::title($specification))))."\n";
        foreach ($specification->parts as $part) {
            $text .= "\n"
                .(
                    count($specification->parts) > 1
                        ? strtoupper($part->name).($part->madeFrom === null ? '' : ", made from {$part->madeFrom}")."\n"
                        : ''
                )
                .Prose::of($part)
                ."\n";
            $text .= $this->part($specification, $part);
        }

        return $text;
    }

    public static function title(Specification $specification): string
    {
        return $specification->title !== ''
            ? $specification->title
            : $specification->values['shot'] ?? 'Output specification';
    }

    private function part(Specification $specification, Part $part): string
    {
        $text = '';
        $group = null;
        foreach ($part->requirements as $requirement) {
            if ($requirement->descriptor->group !== $group) {
                $group = $requirement->descriptor->group;
                $text .= "\n{$group->value}\n";
            }
            $text .= '  '.self::sentence($requirement)."\n";
            foreach ($part->ofPasses as $pass => $own) {
                foreach ($requirement->id() === RequirementId::PASSES ? $own : [] as $each) {
                    $text .= "    {$pass} alone: ".self::sentence($each)."\n";
                }
            }
        }
        $consequences = Consequences::of($specification, $part);
        if ($consequences->names !== null) {
            $text .= "\nNames\n";
            foreach ($consequences->names->tree() as $line) {
                $text .= "  {$line}\n";
            }
        }
        if ($consequences->lines !== []) {
            $text .= "\nWhat this comes to\n";
            foreach ($consequences->lines as $line) {
                $text .= "  {$line['label']}: {$line['value']}\n";
            }
        }

        return $text;
    }

    /** With how much it weighs and why, where there is something to say. */
    public static function sentence(Requirement $requirement): string
    {
        return $requirement->sentence()
            .($requirement->level === Level::Should ? ' (should)' : '')
            .($requirement->why === null ? '' : " Why: {$requirement->why}.");
    }
}
