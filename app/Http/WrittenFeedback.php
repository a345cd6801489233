<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\Courses\Named;
use App\Actions\Courses\Standing;
use App\Models\Assignment;
use App\Models\Deliverable;
use App\Models\HandIn;
use App\Models\Specification;
use App\Models\User;
use App\Processes\SheetProcess;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Course\FeedbackHtml;
use PlainLedger\Core\Delivery\Archive\ZipWriter;
use PlainLedger\Core\Media\StringSource;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Feedback to be printed or handed out, one attempt's or everybody's. */
final readonly class WrittenFeedback
{
    public static function of(HandIn $handIn, User $reader, string $format): PlainResponse
    {
        $told = new FeedbackTold($handIn, $reader);
        $title = self::title($told, $handIn);
        $name = "{$title}.{$format}";

        $html = static fn (int $size = 100): string => (
            new FeedbackHtml($size / 10 .'pt')
        )->write($title, $told->feedback);

        return match ($format) {
            'html' => Downloads::inline($html(), 'text/html; charset=utf-8', $name),
            'pdf' => Downloads::inline(SheetProcess::make($html), 'application/pdf', $name),
            'json' => Downloads::file(Downloads::pretty($told->feedback), 'application/json', $name),
            default => abort(404),
        };
    }

    /** A page each of the attempts that count, as learners read them, written as it goes. */
    public static function all(Specification $specification): StreamedResponse
    {
        $assignment = Assignment::of($specification);
        $named = Named::within($assignment);
        $plain = preg_replace('~[^A-Za-z0-9_.-]~', '_', "{$specification->title}-feedback.zip");

        return response()->stream(static function () use ($assignment, $named): void {
            foreach (ZipWriter::write(self::pages($assignment, $named)) as $piece) {
                echo $piece;
                flush();
            }
        }, 200, [
            'Content-Type' => 'application/zip',
            'Content-Disposition' => "attachment; filename=\"{$plain}\"",
        ]);
    }

    /** @return \Generator<int, array{string, int, StringSource}> */
    private static function pages(Assignment $assignment, Named $named): \Generator
    {
        $taken = [];
        $all = Deliverable::query()->where('specification_id', $assignment->specification_id);
        foreach ($all->whereNull('put_away_at')->lazyById(50) as $deliverable) {
            $handIn = Standing::of($deliverable, $assignment)->countingHandIn();
            if ($handIn === null) {
                continue;
            }
            $told = new FeedbackTold($handIn->setRelation('deliverable', $deliverable), null);
            $whose = $named->isHidden() ? $named->of($deliverable) : $told->who;
            $base = trim((string) preg_replace('~[^\pL\pN._-]+~u', '_', $whose), '_');
            $name = isset($taken[$base]) ? "{$base}_{$deliverable->id}" : $base;
            $taken[$base] = true;
            $html = (new FeedbackHtml)->write(self::title($told, $handIn), $told->feedback);
            yield ["{$name}.html", Carbon::now()->getTimestamp(), new StringSource($html)];
        }
    }

    private static function title(FeedbackTold $told, HandIn $handIn): string
    {
        return "{$told->who}, {$handIn->deliverable->specification->title}";
    }
}
