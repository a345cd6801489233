<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use PlainLedger\Core\Assembly\Recipe;
use PlainLedger\Core\Assembly\RecipeLine;
use PlainLedger\Core\Assembly\RecipeLines;
use PlainLedger\Core\Assembly\RecipeNotes;
use PlainLedger\Core\Matching\DeliveryMatch;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Text\PlainSentence;

/** How one movie is made from its frames. */
final readonly class ShownRecipe
{
    /** @var list<array{label: string, value: string, why: string|null, id: string|null}> */
    public array $lines;

    /** @var list<string> what stands in the way, or is easily overlooked */
    public array $notes;

    private function __construct(public string $part, public string $from, Recipe $recipe)
    {
        $this->lines = array_map(
            static fn (RecipeLine $line): array => [
                'label' => $line->label, 'value' => $line->value, 'why' => $line->why, 'id' => $line->id,
            ],
            RecipeLines::of($recipe),
        );
        $this->notes = RecipeNotes::of($recipe);
    }

    /** @return list<self> of every movie that is made from something */
    public static function all(Specification $asked, ?DeliveryMatch $match): array
    {
        $all = [];
        foreach (Recipe::parts($asked) as $part) {
            try {
                $recipe = Recipe::of($asked, $part, $match);
                $all[] = new self($part, $recipe->source->part->name, $recipe);
            } catch (PlainSentence) {
                // of what contradicts itself the specification's own page tells
                continue;
            }
        }

        return $all;
    }
}
