<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Pages\BookPage;
use App\Models\Deliverable;
use App\Models\SheetLink;
use App\Models\User;
use App\Processes\SheetProcess;
use App\Security\SecurityLog;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\URL;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Report\Sheet\RequirementsCsv;
use PlainLedger\Core\Report\Sheet\SheetHtml;
use PlainLedger\Core\Report\Sheet\SheetMarkdown;
use PlainLedger\Core\Report\Sheet\SheetText;
use PlainLedger\Core\Report\Sheet\SheetUsda;
use PlainLedger\Core\Specification\Conflicts\Conflict;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationDocument;
use PlainLedger\Core\Specification\SpecificationDraft;

/** Handing out what is asked: as a sheet, as files that programs load, by a link that needs no sign-in. */
final class SheetController
{
    /** Seconds that a sheet may take as PDF, and that another of the same person waits for it. */
    private const PDF_TAKES = 60;

    private const PDF_WAITS = 15;

    public function show(Request $request, Deliverable $deliverable): Response
    {
        Gate::authorize('view', $deliverable);
        /** @var User $reader */
        $reader = $request->user();
        $deliverable->load('owner', 'production', 'specification.latest', 'newest');
        $draft = $deliverable->draft();
        $may = $reader->can('specify', $deliverable);

        return Inertia::render('HandOut', [
            'book' => BookPage::of($deliverable->production, $reader),
            'deliverable' => BookPage::deliverable($deliverable),
            'may' => ['specify' => $may],
            'quarrels' => self::quarrels($draft),
            'links' => ! $may
                ? []
                : SheetLink::query()->where('deliverable_id', $deliverable->id)
                    ->latest('id')
                    ->limit(50)
                    ->get()
                    ->map(static fn (SheetLink $l): array => [
                        'id' => $l->id,
                        'path' => $l->isOpen() ? $l->path() : null,
                        'expires' => $l->expires_at->format('j M Y, H:i'),
                        'state' => match (true) {
                            $l->revoked_at !== null => 'taken back',
                            $l->isOpen() => 'open',
                            default => 'expired',
                        },
                        'opened' => $l->opened,
                    ])->all(),
        ]);
    }

    /** @return list<array<string, mixed>> */
    private static function quarrels(SpecificationDraft $draft): array
    {
        return array_map(static fn (Conflict $q): array => $q->toArray(), Proofreader::standard()->read($draft));
    }

    public function file(Deliverable $deliverable, string $format): PlainResponse
    {
        Gate::authorize('view', $deliverable);
        $deliverable->load('owner', 'production', 'specification.latest');

        return $this->written($deliverable, $format);
    }

    private function written(Deliverable $deliverable, string $format): PlainResponse
    {
        $draft = $deliverable->draft();
        $specification = $draft->specification->titled(
            $deliverable->code.($deliverable->title === '' ? '' : ", {$deliverable->title}"),
        );
        $unsettled = array_map(static fn (Conflict $q): string => $q->says, Proofreader::standard()->read($draft));
        $revision = $deliverable->specification->latest->number;
        $foot = "{$deliverable->production->name}, {$deliverable->specification->title}, revision {$revision}; written "
            .Carbon::now()->format('j M Y, H:i')
            .'.';
        $html = static fn (int $size = SheetHtml::SIZES[0]): string => (
            new SheetHtml($foot, $unsettled, $size)
        )->write($specification);
        [$body, $type] = match ($format) {
            'html' => [$html(), 'text/html; charset=utf-8'],
            'pdf' => [self::pdf($html), 'application/pdf'],
            default => self::plain($specification, $format),
        };
        $disposition = in_array($format, ['html', 'pdf'], true) ? 'inline' : 'attachment';

        return response($body)->header('Content-Type', $type)->header(
            'Content-Disposition',
            "{$disposition}; filename=\"{$deliverable->code}-sheet.{$format}\"",
        );
    }

    /** @return array{string, string} the text, and what it is */
    private static function plain(Specification $specification, string $format): array
    {
        return match ($format) {
            'md' => [(new SheetMarkdown)->write($specification), 'text/markdown; charset=utf-8'],
            'txt' => [(new SheetText)->write($specification), 'text/plain; charset=utf-8'],
            'csv' => [(new RequirementsCsv)->write($specification), 'text/csv; charset=utf-8'],
            'usda' => [(new SheetUsda)->write($specification), 'text/plain; charset=utf-8'],
            'json' => [
                json_encode(
                    SpecificationDocument::of($specification),
                    JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
                )."\n",
                'application/json',
            ],
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

    public function share(Request $request, Deliverable $deliverable): RedirectResponse
    {
        Gate::authorize('specify', $deliverable);
        $given = $request->validate(
            ['days' => ['required', 'integer', 'min:1', 'max:365'], 'anyway' => ['boolean']],
            ['days.*' => 'A link lasts from 1 to 365 days.'],
        );
        $deliverable->load('owner', 'production', 'specification.latest');
        if (! ($given['anyway'] ?? false) && self::quarrels($deliverable->draft()) !== []) {
            throw ValidationException::withMessages(
                [
                    'days' => 'What is asked contradicts itself. Settle it first, or say that it is to be handed '
                        .'out all the same.',
                ],
            );
        }
        $link = SheetLink::query()->create(
            [
                'deliverable_id' => $deliverable->id,
                'user_id' => $request->user()?->id,
                'expires_at' => Carbon::now()->addDays((int) $given['days']),
            ],
        );
        SecurityLog::note(
            'link given',
            ['link' => $link->id, 'deliverable' => $deliverable->id, 'days' => (int) $given['days']],
        );

        return back();
    }

    public function revoke(SheetLink $link): RedirectResponse
    {
        Gate::authorize('specify', $link->deliverable);
        $link->update(['revoked_at' => Carbon::now()]);
        SecurityLog::note('link taken back', ['link' => $link->id]);

        return back();
    }

    /** For somebody without a sign-in: the sheet as it is now, and nothing else. */
    public function open(Request $request, int $link, string $format = 'html'): PlainResponse
    {
        $found = SheetLink::query()->find($link);
        if (! $request->hasValidRelativeSignature() || $found === null || ! $found->isOpen()) {
            $why = match (true) {
                ! URL::hasCorrectSignature($request, false) => 'It is not one of ours, or was not copied whole.',
                $found?->revoked_at !== null => 'It was taken back.',
                default => 'Its time is over.',
            };

            return response()->view('sheet-closed', ['why' => $why], 403)->header('X-Robots-Tag', 'noindex');
        }
        $found->increment('opened');
        SecurityLog::note('link opened', ['link' => $found->id]);
        $deliverable = $found->deliverable()->with('owner', 'production', 'specification.latest')->firstOrFail();

        return $this->written($deliverable, 'html')
            ->header('X-Robots-Tag', 'noindex')
            ->header('Cache-Control', 'no-store');
    }
}
