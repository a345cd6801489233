<?php

declare(strict_types=1);

namespace App\Actions\Logs;

use App\Models\Deliverable;
use App\Models\RenderLog;
use App\Models\User;
use PlainLedger\Core\RenderLog\LogPatternRefused;
use PlainLedger\Core\RenderLog\LogReader;
use PlainLedger\Core\RenderLog\LogShape;

/** Keeps that there is a log, and how its lines read. */
final readonly class BeginLog
{
    /**
     * @param  string  $head  its beginning, or all of it
     * @param  string|null  $shape  by its name; null: the one that reads most of the beginning
     *
     * @throws LogPatternRefused where no line of it can be read
     */
    public function run(Deliverable $deliverable, NewLog $new, string $head, ?string $shape, User $by): RenderLog
    {
        $shapes = $deliverable->production->logShapes();
        $named = array_values(array_filter($shapes, static fn (LogShape $s): bool => $s->name === $shape));
        $chosen = $named[0] ?? LogReader::guess($head, $shapes);
        if ($chosen === null && $new->root === null) {
            throw LogPatternRefused::because(
                "{$new->name}: no line of its beginning tells of a frame in a way that is known here. Whoever "
                    .'coordinates the production can add how its lines read.',
            );
        }
        $log = RenderLog::query()->create([
            'deliverable_id' => $deliverable->id,
            'user_id' => $by->id,
            'intake_root_id' => $new->root?->id,
            'path' => $new->path,
            'name' => $new->name,
            'size' => $new->size,
            'shape' => $chosen === null ? null : ['name' => $chosen->name, 'patterns' => $chosen->toArray()],
        ]);

        return $log->refresh();
    }
}
