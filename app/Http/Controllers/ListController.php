<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Lists\PlanList;
use App\Actions\Lists\WriteList;
use App\Http\Pages\BookPage;
use App\Models\Deliverable;
use App\Models\Membership;
use App\Models\Production;
use App\Models\Role;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Shotlist\Column;
use PlainLedger\Core\Shotlist\ListPlan;
use PlainLedger\Core\Shotlist\PlannedRow;
use PlainLedger\Core\Shotlist\Readers\CsvTable;
use PlainLedger\Core\Shotlist\Readers\Timeline;
use PlainLedger\Core\Shotlist\ShotDetails;
use PlainLedger\Core\Shotlist\ShotRow;
use PlainLedger\Core\Shotlist\ShotRowReader;
use PlainLedger\Core\Shotlist\Writers\ShotlistCsv;
use PlainLedger\Core\Shotlist\Writers\TimelineWriter;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\ExampleNames;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Tabular\Table;
use PlainLedger\Core\Tabular\TableRefused;
use PlainLedger\Core\Text\Text;

/** Deliverables from lists and timelines, from a roster, and back into files. */
final class ListController
{
    private const MOST_SHOWN = 500;

    public function show(Request $request, Production $production): Response
    {
        Gate::authorize('decide', $production);
        /** @var User $reader */
        $reader = $request->user();

        return Inertia::render('FromList', [
            'book' => BookPage::of($production, $reader),
            'specifications' => $production->specifications()
                ->orderBy('title')
                ->get(['id', 'title'])->map
                ->only(['id', 'title'])
                ->all(),
            'columns' => [
                ...array_map(
                    static fn (string $w): array => ['word' => $w, 'label' => self::LABELS[$w] ?? $w],
                    Column::words(),
                ),
                ...array_map(
                    static fn ($d): array => ['word' => $d->id, 'label' => $d->label],
                    Catalogue::standard()->all(),
                ),
            ],
            'learners' => $production->memberships()
                ->where('role', Role::Learner->value)
                ->with('user')
                ->get()
                ->map(
                    static fn (Membership $m): array => [
                        'id' => $m->user->id,
                        'name' => $m->user->name,
                        'handle' => $m->user->handle,
                    ],
                )
                ->all(),
        ]);
    }

    private const LABELS = [
        'code' => 'shot code', 'title' => 'title', 'range' => 'frame range', 'first' => 'first frame',
        'last' => 'last frame', 'count' => 'count of frames', 'handles' => 'handles', 'head' => 'head handle',
        'tail' => 'tail handle', 'camera' => 'camera', 'version' => 'version', 'owner' => 'owner', 'due' => 'due',
        'rate' => 'frame rate', 'task' => 'task',
    ];

    /** What a list would do, row by row; nothing is written. */
    public function read(Request $request, Production $production, PlanList $planning): JsonResponse
    {
        Gate::authorize('decide', $production);
        $specification = $this->specification($request, $production);
        try {
            [$table, $columns, $rows, $notes] = $this->rows($request, $production);
        } catch (TableRefused $refused) {
            throw ValidationException::withMessages(['file' => $refused->getMessage()]);
        }
        $plan = $planning->run($production, $specification, $rows);

        return response()->json([
            'headings' => $table->headings ?? null,
            'columns' => $columns === null ? null : array_map(static fn (?Column $c): ?string => $c?->word, $columns),
            'sample' => array_slice($table->rows ?? [], 0, 3),
            'notes' => $notes, 'seal' => $plan->seal(),
            'counts' => array_combine(
                [PlannedRow::MAKE, PlannedRow::CHANGE, PlannedRow::SAME, PlannedRow::REFUSE],
                array_map(
                    $plan->count(...),
                    [PlannedRow::MAKE, PlannedRow::CHANGE, PlannedRow::SAME, PlannedRow::REFUSE],
                ),
            ),
            'rows' => $this->shown($plan), 'more' => max(0, count($plan->rows) - self::MOST_SHOWN),
        ]);
    }

    /** @return list<array<string, mixed>> those that are refused first, then in their order */
    private function shown(ListPlan $plan): array
    {
        $rows = $plan->rows;
        usort(
            $rows,
            static fn (PlannedRow $a, PlannedRow $b): int => [
                $a->does !== PlannedRow::REFUSE,
                $a->row->line,
            ] <=> [$b->does !== PlannedRow::REFUSE, $b->row->line],
        );

        return array_map(static fn (PlannedRow $p): array => [
            'does' => $p->does,
            'line' => $p->row->line,
            'code' => Text::shown(mb_strimwidth($p->row->code, 0, 80, '…')),
            'title' => $p->row->details->title,
            'owner' => $p->owner?->name,
            'due' => $p->row->details->due,
            'asks' => $p->row->overrides, 'values' => $p->row->values, 'frames' => $p->row->frames(),
            'changes' => $p->changes, 'faults' => $p->row->faults, 'notes' => $p->row->notes,
        ], array_slice($rows, 0, self::MOST_SHOWN));
    }

    /** Writes what was agreed to, all of it or nothing. */
    public function store(
        Request $request,
        Production $production,
        PlanList $planning,
        WriteList $writing,
    ): RedirectResponse {
        Gate::authorize('decide', $production);
        $specification = $this->specification($request, $production);
        try {
            $plan = $planning->run($production, $specification, $this->rows($request, $production)[2]);
        } catch (TableRefused $refused) {
            throw ValidationException::withMessages(['file' => $refused->getMessage()]);
        }
        if ($plan->seal() !== $request->input('seal')) {
            throw ValidationException::withMessages(
                ['file' => 'The book has changed since this was looked at. Look once more at what would be done.'],
            );
        }
        /** @var User $by */
        $by = $request->user();
        $done = $writing->run($production, $specification, $plan, $by);

        return redirect()->route('production', $production->id)->with(
            'told',
            Text::count($done['made'], 'deliverable')
                .' made, '
                .$done['changed']
                .' changed'
                .(
                    $plan->count(PlannedRow::REFUSE) > 0
                        ? ', '.Text::count($plan->count(PlannedRow::REFUSE), 'row').' left out'
                        : ''
                )
                .'.',
        );
    }

    private function specification(Request $request, Production $production): Specification
    {
        $given = $request->validate(
            [
                'specification' => [
                    'required',
                    'integer',
                    Rule::exists('specifications', 'id')->where('production_id', $production->id),
                ],
            ],
            ['specification.*' => 'Choose the specification that new deliverables follow.'],
        );

        return Specification::query()->with('latest')->findOrFail((int) $given['specification']);
    }

    /**
     * @return array{Table|null, list<Column|null>|null, list<ShotRow>, list<string>}
     *
     * @throws TableRefused
     */
    private function rows(Request $request, Production $production): array
    {
        $request->validate(
            [
                'file' => ['nullable', 'file', 'max:51200'],
                'text' => ['nullable', 'string', 'max:20000000'],
                'cells' => ['nullable', 'string', 'max:40000000'],
                'columns' => ['nullable', 'string', 'max:20000'],
                'name' => ['nullable', 'string', 'max:200'],
                'learners' => ['nullable', 'string', 'max:20000'],
                'code' => ['nullable', 'string', 'max:120'],
            ],
            ['file.max' => 'The file is larger than 50 MB; that is no list of deliverables.'],
        );
        if ($request->filled('learners')) {
            return [null, null, $this->roster($request, $production), []];
        }
        $file = $request->file('file');
        $label = Text::shown(mb_substr($file?->getClientOriginalName() ?? $request->string('name')->value(), 0, 120))
            ?: 'The list';
        $content = $file !== null ? (string) $file->getContent() : $request->string('text')->value();
        if ($request->filled('cells')) {
            $cells = json_decode($request->string('cells')->value(), true, 8);
            $table = Table::of(
                is_array($cells)
                    ? array_values(
                        array_map(static fn (mixed $row): array => is_array($row) ? array_values($row) : [], $cells),
                    )
                    : [],
                $label,
                Column::isHeading(...),
            );
        } elseif (preg_match('~^\s*[{\[]~', $content) === 1) {
            [$rows, $notes] = Timeline::read($content, $label);

            return [null, null, $rows, $notes];
        } else {
            $table = CsvTable::read($content, $label);
        }
        $columns = $this->columns($request, $table);

        return [
            $table,
            $columns,
            array_map(
                static fn (array $cells, int $line): ShotRow => ShotRowReader::read($line, $cells, $columns),
                $table->rows,
                $table->lines,
            ),
            [],
        ];
    }

    /** @return list<Column|null> as corrected, else as guessed */
    private function columns(Request $request, Table $table): array
    {
        $given = $request->filled('columns') ? json_decode($request->string('columns')->value(), true) : null;
        if (! is_array($given) || count($given) !== count($table->headings)) {
            return Column::guessAll($table->headings);
        }
        try {
            return array_map(
                static fn (mixed $word): ?Column => is_string($word) && $word !== '' ? Column::of($word) : null,
                array_values($given),
            );
        } catch (\ValueError $unknown) {
            throw ValidationException::withMessages(['columns' => $unknown->getMessage()]);
        }
    }

    /** @return list<ShotRow> one for each learner, its code made by a pattern */
    private function roster(Request $request, Production $production): array
    {
        $handles = array_values(
            array_filter(
                array_map(trim(...), preg_split('~[\s,;]+~', $request->string('learners')->value()) ?: []),
                static fn (string $h): bool => $h !== '',
            ),
        );
        $pattern = $request->string('code')->value() ?: '{learner}';
        $rows = [];
        foreach ($handles as $n => $handle) {
            $code = str_replace(['{learner}', '{production}'], [$handle, $production->code], $pattern);
            $faults = preg_match(ShotRow::CODE, $code) === 1
                ? []
                : ['“'.Text::shown(mb_strimwidth($code, 0, 60, '…')).'” is no code.'];
            $rows[] = new ShotRow($n + 1, $code, new ShotDetails(owner: $handle), [], [], $faults);
        }

        return $rows;
    }

    public function export(Production $production, string $format): PlainResponse
    {
        Gate::authorize('decide', $production);
        $deliverables = $production->deliverables()
            ->with('owner', 'production', 'specification.latest')
            ->orderBy('code')
            ->get();
        [$body, $type] = match ($format) {
            'csv' => [ShotlistCsv::write($deliverables->map($this->line(...))->all()), 'text/csv; charset=utf-8'],
            'otio' => [
                TimelineWriter::write(
                    $production->name,
                    array_values(array_filter($deliverables->map($this->clip(...))->all())),
                ),
                'application/json',
            ],
            default => abort(404),
        };

        return response($body)->header('Content-Type', $type)->header(
            'Content-Disposition',
            "attachment; filename=\"{$production->code}-deliverables.{$format}\"",
        );
    }

    /**
     * @return array{code: string, title: string, range: string, handles: string, camera: string, version: string,
     *   owner: string, due: string, rate: string}
     */
    private function line(Deliverable $deliverable): array
    {
        $specification = $deliverable->draft()->specification;
        $part = $specification->parts[0];
        $required = static fn (string $id): string => $part->find($id)?->required() ?? '';

        return [
            'code' => $deliverable->code,
            'title' => $deliverable->title,
            'range' => $part->single(RequirementId::TIME_RANGE) ?? '',
            'handles' => $part->single(RequirementId::TIME_HANDLES) ?? '',
            'camera' => $required(RequirementId::CAMERA_NAME),
            'version' => $specification->values['version'] ?? '',
            'owner' => $deliverable->owner->handle ?? '',
            'due' => $deliverable->due_at?->format('Y-m-d H:i') ?? '',
            'rate' => $required(RequirementId::TIME_RATE),
        ];
    }

    /**
     * @return array{code: string, cut: \PlainLedger\Core\Measure\FrameRange,
     *   delivered: \PlainLedger\Core\Measure\FrameRange, rate: FrameRate, folder: string, pattern: string}|null null
     *   where its length is not known
     */
    private function clip(Deliverable $deliverable): ?array
    {
        $specification = $deliverable->draft()->specification;
        $part = $specification->parts[0];
        $delivered = PartLength::expected($part);
        $cut = $part->cutRange();
        $rate = PartLength::rate($part);
        if ($delivered === null || $delivered->isEmpty() || $cut === null || $rate === null) {
            return null;
        }
        $source = $part->single(RequirementId::NAMING_PATTERN);
        $set = ExampleNames::of($specification, $part)?->sets[0];

        return [
            'code' => $deliverable->code,
            'cut' => $cut->span(),
            'delivered' => $delivered->span(),
            'rate' => $rate,
            'folder' => $set['folder'] ?? '.',
            'pattern' => $source === null
                ? $deliverable->code
                : NamePattern::parse($source)->make($specification->pieceValues($part)),
        ];
    }
}
