<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\Downloads;
use App\Http\Pages\Check\MoviePage;
use App\Models\Deliverable;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use PlainLedger\Core\Assembly\Recipe;
use PlainLedger\Core\Assembly\Writers\RecipeCommands;
use PlainLedger\Core\Assembly\Writers\RecipeJson;
use PlainLedger\Core\Assembly\Writers\RecipeText;
use PlainLedger\Core\Assembly\Writers\RecipeTimeline;
use PlainLedger\Core\Text\PlainSentence;

/** How a movie is made from its frames, as a file. */
final class RecipeController
{
    public function show(Request $request, Deliverable $deliverable, string $format): Response
    {
        $part = $request->query('part');
        try {
            $asked = $deliverable->loadForPage()->resolved();
            $found = MoviePage::found($deliverable, $asked);
            $recipe = Recipe::of($asked, is_string($part) ? $part : null, $found);
            [$text, $type] = match ($format) {
                'txt' => [RecipeText::write($recipe), 'text/plain; charset=utf-8'],
                'json' => [RecipeJson::write($recipe), 'application/json'],
                'otio' => [RecipeTimeline::write($recipe), 'application/json'],
                'sh' => [RecipeCommands::write($recipe), 'text/x-shellscript; charset=utf-8'],
                default => abort(404),
            };
        } catch (PlainSentence $refused) {
            abort(404, $refused->getMessage());
        }

        return Downloads::file($text, $type, "{$deliverable->code}-{$recipe->part->name}.{$format}");
    }
}
