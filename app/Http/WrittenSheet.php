<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Deliverable;
use App\Processes\SheetProcess;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use PlainLedger\Core\Report\Sheet\RequirementsCsv;
use PlainLedger\Core\Report\Sheet\SheetHtml;
use PlainLedger\Core\Report\Sheet\SheetMarkdown;
use PlainLedger\Core\Report\Sheet\SheetText;
use PlainLedger\Core\Report\Sheet\SheetUsda;
use PlainLedger\Core\Specification\Conflicts\Conflict;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationDocument;

/** The sheet of a deliverable as it is now, in any of its forms. */
final readonly class WrittenSheet
{
    /** Seconds that a sheet may take as PDF, and that another of the same person waits for it. */
    private const PDF_TAKES = 60;

    private const PDF_WAITS = 15;

    public static function of(Deliverable $deliverable, string $format): PlainResponse
    {
        $draft = $deliverable->draft();
        $title = $deliverable->title === '' ? '' : ", {$deliverable->title}";
        $specification = $draft->specification->titled($deliverable->code.$title);
        $unsettled = array_map(static fn (Conflict $c): string => $c->says, Proofreader::standard()->read($draft));
        $foot = self::foot($deliverable);
        $html = static fn (int $size = SheetHtml::SIZES[0]): string => (
            new SheetHtml($foot, $unsettled, $size)
        )->write($specification);
        [$body, $type] = match ($format) {
            'html' => [$html(), 'text/html; charset=utf-8'],
            'pdf' => [self::pdf($html), 'application/pdf'],
            default => self::plain($specification, $format),
        };
        $name = "{$deliverable->code}-sheet.{$format}";

        return in_array($format, ['html', 'pdf'], true)
            ? Downloads::inline($body, $type, $name)
            : Downloads::file($body, $type, $name);
    }

    private static function foot(Deliverable $deliverable): string
    {
        $revision = $deliverable->specification->latest->number;
        $now = Carbon::now($deliverable->production->zone())->format('j M Y, H:i T');

        return "{$deliverable->production->name}, {$deliverable->specification->title}, revision {$revision}; "
            ."written {$now}.";
    }

    /** @return array{string, string} the text, and what it is */
    private static function plain(Specification $specification, string $format): array
    {
        return match ($format) {
            'md' => [(new SheetMarkdown)->write($specification), 'text/markdown; charset=utf-8'],
            'txt' => [(new SheetText)->write($specification), 'text/plain; charset=utf-8'],
            'csv' => [(new RequirementsCsv)->write($specification), 'text/csv; charset=utf-8'],
            'usda' => [(new SheetUsda)->write($specification), 'text/plain; charset=utf-8'],
            'json' => [Downloads::pretty(SpecificationDocument::of($specification))."\n", 'application/json'],
            default => abort(404),
        };
    }

    /**
     * One at a time of each person, so that nobody keeps every process of the server busy with theirs.
     *
     * @param  callable(int): string  $html  by the size of its letters
     */
    private static function pdf(callable $html): string
    {
        try {
            return (string) Cache::lock('sheet-of-'.(Auth::id() ?? 'nobody'), self::PDF_TAKES)->block(
                self::PDF_WAITS,
                static fn (): string => SheetProcess::make($html),
            );
        } catch (LockTimeoutException) {
            abort(429, 'Another sheet of yours is being set as PDF. Wait for it, then ask again.');
        }
    }
}
