<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Actions\Lists\PlanList;
use App\Actions\Lists\WriteList;
use App\Http\Pages\Production\FromListPage;
use App\Http\Requests\Production\ListRequest;
use App\Language\Phrase;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use PlainLedger\Core\Shotlist\RowAction;

/** Deliverables from lists and timelines, or from a roster. */
final class ListController
{
    public function create(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new FromListPage($production, $reader))->render();
    }

    /** Writes what was agreed to, all of it or nothing. */
    public function store(
        ListRequest $request,
        #[CurrentUser] User $by,
        Production $production,
        PlanList $planning,
        WriteList $writing,
    ): RedirectResponse {
        $specification = $request->specification();
        $plan = $planning->run($production, $specification, $request->list()->rows);
        if ($plan->seal() !== $request->input('seal')) {
            throw ValidationException::withMessages(
                ['file' => Phrase::of(
                    'The book has changed since this was looked at. Look once more at what would be done.',
                )],
            );
        }
        $done = $writing->run($production, $specification, $plan, $by);
        $refused = $plan->count(RowAction::Refuse);
        $made = Phrase::counted(
            $done['made'],
            ':count deliverable made, :changed changed.|:count deliverables made, :changed changed.',
            ['changed' => $done['changed']],
        );
        $leftOut = Phrase::counted($refused, ':count row left out.|:count rows left out.');

        return redirect()->route('production', $production->id)->with(
            'told',
            $refused > 0 ? "{$made} {$leftOut}" : $made,
        );
    }
}
