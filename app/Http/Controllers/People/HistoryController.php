<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Downloads;
use App\Http\Pages\People\HistoryPage;
use App\Http\Requests\People\HistoryRequest;
use App\Models\Act;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Response as PlainResponse;
use Inertia\Response;
use PlainLedger\Core\Tabular\Csv;

/** Who changed what. */
final class HistoryController
{
    /** More than so many are not written into one file. */
    private const MOST = 20_000;

    private const HEADINGS = ['at', 'who', 'about', 'what'];

    public function show(HistoryRequest $request, #[CurrentUser] User $reader, Production $production): Response
    {
        return (new HistoryPage($production, $reader, $request))->render();
    }

    public function installation(HistoryRequest $request, #[CurrentUser] User $reader): Response
    {
        return (new HistoryPage(null, $reader, $request))->render();
    }

    public function file(HistoryRequest $request, Production $production, string $format): PlainResponse
    {
        $acts = $request->acts($production->id)->limit(self::MOST)->get();
        $rows = array_values($acts->map(static fn (Act $a): array => [
            $a->created_at->toIso8601ZuluString(), $a->who, $a->about->value, $a->what,
        ])->all());

        return $format === 'csv'
            ? Downloads::file(
                Csv::of([self::HEADINGS, ...$rows]),
                'text/csv; charset=utf-8',
                "{$production->code}-history.csv",
            )
            : Downloads::file(
                Downloads::pretty(array_map(
                    static fn (array $row): array => array_combine(self::HEADINGS, $row),
                    $rows,
                )),
                'application/json',
                "{$production->code}-history.json",
            );
    }
}
