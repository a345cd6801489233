<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly\Writers;

use PlainLedger\Core\Assembly\Recipe;
use PlainLedger\Core\Assembly\RecipeLine;
use PlainLedger\Core\Assembly\RecipeLines;
use PlainLedger\Core\Assembly\RecipeNotes;

/** A recipe to be typed in from, line by line. */
final readonly class RecipeText
{
    public static function write(Recipe $recipe): string
    {
        $lines = RecipeLines::of($recipe);
        $width = max(0, ...array_map(static fn (RecipeLine $line): int => mb_strlen($line->label), $lines)) + 2;
        $text = "{$recipe->part->name}, made from {$recipe->source->part->name}\n\n";
        foreach ($lines as $line) {
            $text .= $line->label.str_repeat(' ', $width - mb_strlen($line->label)).$line->value
                .($line->why === null ? '' : "  ({$line->why})")."\n";
        }
        foreach (RecipeNotes::of($recipe) as $note) {
            $text .= "\n{$note}\n";
        }

        return $text;
    }
}
