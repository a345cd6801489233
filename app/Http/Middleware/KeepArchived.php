<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\People\PeopleRefused;
use App\Language\Phrase;
use App\Models\Production;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What is archived can be read, and nothing in it changed. */
final readonly class KeepArchived
{
    /** What may be done still: it is asked only, or somebody is kept out, or it is taken back. */
    private const ALLOWED = [
        'production.back', 'production.drop', 'people.drop', 'invitation.drop', 'sheet.revoke', 'message.drop',
        'presence', 'understand', 'house.understand', 'scene.try', 'plan.try', 'shape.try', 'scenes.read',
        'list.read', 'together.read', 'sample.drop',
    ];

    public function handle(Request $request, Closure $next): Response
    {
        if (! $request->isMethodSafe() && ! self::isAllowed((string) $request->route()?->getName())) {
            $production = self::production($request);
            if ($production?->archived_at !== null) {
                throw PeopleRefused::because(Phrase::of(
                    ':name is archived: it can be read, and nothing in it changed. Whoever decides there '
                        .'can take it back from the archive.',
                    ['name' => $production->name],
                ));
            }
        }

        return $next($request);
    }

    private static function isAllowed(string $name): bool
    {
        return in_array(str_starts_with($name, 'v1.') ? substr($name, 3) : $name, self::ALLOWED, true);
    }

    private static function production(Request $request): ?Production
    {
        foreach ($request->route()?->parameters() ?? [] as $name => $value) {
            $found = match (true) {
                $name === 'production' && is_string($value) => Production::byCode($value),
                $value instanceof Production => $value,
                $value instanceof Model => self::of($value),
                default => null,
            };
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /** Whose a row is, directly or by its deliverable. */
    private static function of(Model $row): ?Production
    {
        $owner = match (true) {
            $row->isRelation('production') => $row->getRelationValue('production'),
            $row->isRelation('deliverable') => $row->getRelationValue('deliverable')?->production,
            default => null,
        };

        return $owner instanceof Production ? $owner : null;
    }
}
