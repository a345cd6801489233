<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Http\Pages\Book\IndexLine;
use App\Http\Pages\Check\PastCheck;
use App\Http\Pages\Production\ProductionLine;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Pagination\LengthAwarePaginator;

/** Long lists, a page at a time: what comes before and after it stands in the header Link (RFC 8288). */
final class ListController
{
    private const USUAL = 50;

    private const MOST = 200;

    /** The productions that are open to whoever asks. */
    public function productions(Request $request, #[CurrentUser] User $reader): JsonResponse
    {
        $found = $reader->productions()->orderBy('code')->paginate(self::size($request));

        return self::page($found, static fn (Production $p): ProductionLine => new ProductionLine($p, $reader));
    }

    /** What a production owes, as far as it is open to whoever asks. */
    public function deliverables(Request $request, #[CurrentUser] User $reader, Production $production): JsonResponse
    {
        $found = $production->deliverables()->openTo($reader)->forIndex()->orderBy('code')
            ->paginate(self::size($request));

        return self::page($found, static fn (Deliverable $d): IndexLine => IndexLine::of($d));
    }

    /** All checks of a deliverable, the newest first. */
    public function checks(Request $request, Deliverable $deliverable): JsonResponse
    {
        $found = $deliverable->checks()->with('person', 'revision')->orderByDesc('id')->paginate(self::size($request));

        return self::page($found, static fn (Check $c): PastCheck => PastCheck::of($c));
    }

    private static function size(Request $request): int
    {
        return max(1, min(self::MOST, $request->integer('per_page', self::USUAL)));
    }

    /** @param  LengthAwarePaginator<int, covariant \Illuminate\Database\Eloquent\Model>  $found */
    private static function page(LengthAwarePaginator $found, \Closure $shown): JsonResponse
    {
        $found->withPath(request()->url())->appends(['per_page' => $found->perPage()]);
        $links = array_filter(['prev' => $found->previousPageUrl(), 'next' => $found->nextPageUrl()]);

        return response()->json([
            'data' => array_map($shown, $found->items()), 'page' => $found->currentPage(),
            'pages' => $found->lastPage(), 'total' => $found->total(),
        ], 200, $links === [] ? [] : ['Link' => implode(', ', array_map(
            static fn (string $rel, string $url): string => "<{$url}>; rel=\"{$rel}\"",
            array_keys($links),
            $links,
        ))]);
    }
}
