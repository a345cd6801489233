<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly\Writers;

use PlainLedger\Core\Assembly\Recipe;
use PlainLedger\Core\Assembly\RecipeRefused;
use PlainLedger\Core\Shotlist\Writers\TimelineWriter;

/** A recipe as OpenTimelineIO: one clip a run of frames, whose media are the image sequence. */
final readonly class RecipeTimeline
{
    /** @throws RecipeRefused where its frames or its rate are not known */
    public static function write(Recipe $recipe): string
    {
        [$range, $rate] = [$recipe->timing->range, $recipe->timing->rate];
        if ($range === null || $range->isEmpty() || $rate === null) {
            throw RecipeRefused::because('a timeline takes frames and a rate, and not both are known');
        }
        $all = ($recipe->source->range ?? $range)->span();
        $clips = [];
        foreach ($range->runs() as [$first, $last]) {
            $clips[] = [
                'code' => $recipe->source->part->name,
                'cut' => \PlainLedger\Core\Measure\FrameRange::of($first, $last),
                'delivered' => $all,
                'rate' => $rate,
                'folder' => $recipe->source->folder === '' ? '.' : $recipe->source->folder,
                'pattern' => $recipe->source->pattern,
            ];
        }

        return TimelineWriter::write($recipe->part->name, $clips);
    }
}
