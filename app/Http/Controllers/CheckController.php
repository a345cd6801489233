<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Checks\CheckFolder;
use App\Actions\Checks\CheckReporting;
use App\Http\Pages\BookPage;
use App\Http\Pages\LedgerPage;
use App\Intake\IntakeFolder;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\IntakeRoot;
use App\Models\User;
use App\Queue\Waiting;
use App\Queue\Workers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Report\CsvReport;
use PlainLedger\Core\Report\JsonReport;
use PlainLedger\Core\Report\JunitReport;
use PlainLedger\Core\Report\TextReport;
use PlainLedger\Core\Text\PlainSentence;

final class CheckController
{
    /** After so many seconds without a step, no end is foretold any more. */
    private const STILL = 15;

    /** What lies in an intake folder, for the small browser of folders. */
    public function browse(Request $request, Deliverable $deliverable): JsonResponse
    {
        Gate::authorize('check', $deliverable);
        $given = $request->validate(['root' => ['required', 'integer'], 'below' => ['nullable', 'string', 'max:1000']]);
        $deliverable->load('production', 'owner');

        return response()->json(
            $this->folder($request, $deliverable, (int) $given['root'], $given['below'] ?? '')->contents(),
        );
    }

    private function folder(Request $request, Deliverable $deliverable, int $root, string $below): IntakeFolder
    {
        $found = IntakeRoot::query()->where('production_id', $deliverable->production_id)->find($root);
        if ($found === null) {
            throw \PlainLedger\Core\Delivery\FolderRefused::because(
                $below === '' ? 'chosen' : $below,
                'is in no intake of this production',
            );
        }

        return IntakeFolder::open(
            $found,
            $below,
            $deliverable,
            $request->user()?->can('specify', $deliverable) ?? false,
        );
    }

    public function store(Request $request, Deliverable $deliverable, CheckFolder $check): RedirectResponse
    {
        Gate::authorize('check', $deliverable);
        $given = $request->validate(
            [
                'root' => ['required', 'integer'],
                'below' => ['nullable', 'string', 'max:1000'],
                'depth' => ['required', 'in:quick,full'],
            ],
            ['root.required' => 'Choose a folder first.'],
        );
        $deliverable->load('production', 'owner');
        /** @var User $by */
        $by = $request->user();
        try {
            $check->run(
                $deliverable,
                $this->folder($request, $deliverable, (int) $given['root'], $given['below'] ?? ''),
                ScanDepth::from($given['depth']),
                $by,
            );
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['below' => $refused->getMessage()]);
        }

        return redirect()->route('frames', $deliverable->id);
    }

    public function show(Request $request, Check $check): Response|RedirectResponse
    {
        $deliverable = $check->deliverable()
            ->with('owner', 'production', 'specification.latest', 'newest')
            ->firstOrFail();
        Gate::authorize('view', $deliverable);
        if ($check->state !== 'done') {
            return redirect()->route('frames', $deliverable->id);
        }
        /** @var User $reader */
        $reader = $request->user();

        return Inertia::render(
            'Check',
            [
                'book' => BookPage::of($deliverable->production, $reader),
                'deliverable' => BookPage::deliverable($deliverable),
                'ledger' => LedgerPage::of($check),
            ],
        );
    }

    /**
     * @return array{id: int, state: string, done: int, all: int|null, at: string, left: int|null, still: int|null,
     *   alone: bool} seconds left, as far as the pace so far tells; and for how many nothing has moved
     */
    public static function progress(Check $check): array
    {
        $progress = ($check->progress ?? []) + [
            'done' => 0,
            'all' => null,
            'at' => '',
            'began' => time(),
            'moved' => time(),
        ];
        $spent = time() - $progress['began'];
        $still = time() - $progress['moved'];
        $tells = $progress['all'] !== null && $progress['done'] > 0 && $spent >= 2 && $still < self::STILL;
        $left = $tells ? (int) ceil($spent * ($progress['all'] - $progress['done']) / $progress['done']) : null;

        return [
            'id' => $check->id, 'state' => $check->state, 'done' => $progress['done'], 'all' => $progress['all'],
            'at' => $progress['at'],
            'left' => $left, 'still' => $still < self::STILL ? null : $still, 'alone' => Workers::areMissing(),
        ];
    }

    public function follow(Check $check): JsonResponse
    {
        Gate::authorize('view', $check->deliverable);
        Waiting::breakOffLost($check->deliverable_id);

        return response()->json(self::progress($check->refresh()));
    }

    public function stop(Check $check): RedirectResponse
    {
        Gate::authorize('check', $check->deliverable);
        Check::query()->whereKey($check->id)->underWay()->update(['state' => 'stopped', 'progress' => null]);

        return redirect()->route('frames', $check->deliverable_id);
    }

    public function report(Check $check, string $format, CheckReporting $reporting): PlainResponse
    {
        $deliverable = $check->deliverable;
        Gate::authorize('view', $deliverable);
        abort_unless($check->state === 'done', 404);
        [$writer, $type] = match ($format) {
            'json' => [new JsonReport, 'application/json'],
            'csv' => [new CsvReport, 'text/csv; charset=utf-8'],
            'xml' => [new JunitReport, 'application/xml'],
            'txt' => [new TextReport, 'text/plain; charset=utf-8'],
            default => abort(404),
        };

        return response($writer->write($reporting->asItWas($check)))->header('Content-Type', $type)
            ->header(
                'Content-Disposition',
                "attachment; filename=\"{$deliverable->code}-check-{$check->id}.{$format}\"",
            );
    }
}
