<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Checks\CheckAgain;
use App\Actions\Checks\CheckReporting;
use App\Actions\Checks\RepeatCheck;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Tick;
use App\Models\User;
use App\Models\Waiver;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Waiver as Accepted;

/** Unequal lines that are accepted as they are; and work that is ticked off. */
final class WaiverController
{
    public function store(
        Request $request,
        Check $check,
        CheckReporting $reporting,
        RepeatCheck $repeat,
    ): RedirectResponse {
        $deliverable = $check->deliverable()->with('production', 'owner', 'specification.latest')->firstOrFail();
        Gate::authorize('specify', $deliverable);
        $given = $request->validate([
            'id' => ['required', 'string', 'max:120'],
            'part' => ['required', 'string', 'max:80'],
            'pass' => ['nullable', 'string', 'max:80'],
            'reason' => ['required', 'string', 'min:3', 'max:500'], 'all' => ['boolean'],
        ], [
            'reason.required' => 'Say why it is accepted: whoever reads it later will ask.',
            'reason.min' => 'Say why it is accepted, in a word or two.',
        ]);
        $newest = $deliverable->checks()->where('state', 'done')->latest('id')->firstOrFail();
        if ($newest->id !== $check->id) {
            throw ValidationException::withMessages(
                ['reason' => 'There is a newer check of this; look at that one first.'],
            );
        }
        $entry = $this->entry($reporting, $check, $given['id'], $given['part'], $given['pass'] ?? null);
        /** @var User $by */
        $by = $request->user();
        $accepted = Accepted::of($entry, trim($given['reason']));
        Waiver::query()->create([
            'production_id' => $deliverable->production_id,
            'specification_id' => ($given['all'] ?? false) ? $deliverable->specification_id : null,
            'deliverable_id' => ($given['all'] ?? false) ? null : $deliverable->id,
            'user_id' => $by->id,
            'entry' => $accepted->line->id, 'part' => $accepted->line->part, 'pass' => $accepted->line->pass,
            'required' => $accepted->line->required, 'accepted' => $accepted->accepted, 'reason' => $accepted->reason,
        ]);
        $this->again($deliverable, ($given['all'] ?? false) === true, $by, $repeat);

        return back();
    }

    private function entry(CheckReporting $reporting, Check $check, string $id, string $part, ?string $pass): Entry
    {
        foreach ($reporting->asItWas($check)->check->entries as $entry) {
            if ($entry->id() === $id && $entry->part === $part && $entry->pass === $pass && $entry->isUnequal()) {
                return $entry;
            }
        }
        throw ValidationException::withMessages(
            ['reason' => 'This line is not unequal, so there is nothing to accept.'],
        );
    }

    /** Taken back: what was accepted by it is unequal again. */
    public function destroy(Request $request, Waiver $waiver, RepeatCheck $repeat): RedirectResponse
    {
        $deliverable = $waiver->deliverable_id === null
            ? Deliverable::query()->where('specification_id', $waiver->specification_id)
                ->where('production_id', $waiver->production_id)
                ->with('production', 'owner', 'specification.latest')
                ->firstOrFail()
            : Deliverable::query()->with(
                'production',
                'owner',
                'specification.latest',
            )->findOrFail($waiver->deliverable_id);
        Gate::authorize('specify', $deliverable);
        // whoever looks at one of them sees that one at once
        $seen = $waiver->deliverable_id === null
            ? Check::query()->with('deliverable')->find($request->integer('check'))?->deliverable
            : null;
        $deliverable = $seen !== null && $seen->specification_id === $deliverable->specification_id
            ? $seen
            : $deliverable;
        $waiver->update(['ended_at' => Carbon::now()]);
        /** @var User $by */
        $by = $request->user();
        $this->again($deliverable, $waiver->deliverable_id === null, $by, $repeat);

        return back();
    }

    /**
     * The newest check once more: of this deliverable at once, of all others that follow the specification by the
     * queue.
     */
    private function again(Deliverable $deliverable, bool $all, User $by, RepeatCheck $repeat): void
    {
        (new CheckAgain($deliverable->id, $by->id))->handle($repeat);
        $others = $all
            ? Deliverable::query()->where('production_id', $deliverable->production_id)
                ->where('specification_id', $deliverable->specification_id)
                ->whereKeyNot($deliverable->id)
                ->whereHas('checks')
                ->orderBy('id')
                ->pluck('id')
            : [];
        foreach ($others as $id) {
            CheckAgain::dispatch((int) $id, $by->id);
        }
    }

    /** A piece of work is done, or is not after all. */
    public function tick(Request $request, Deliverable $deliverable): RedirectResponse
    {
        Gate::authorize('check', $deliverable);
        $given = $request->validate(
            ['fix' => ['required', 'string', 'regex:~^[0-9a-f]{64}$~'], 'done' => ['required', 'boolean']],
        );
        if ($given['done']) {
            Tick::query()->firstOrCreate(
                ['deliverable_id' => $deliverable->id, 'fix' => $given['fix']],
                ['user_id' => $request->user()?->id],
            );
        } else {
            $deliverable->ticks()->where('fix', $given['fix'])->delete();
        }

        return back();
    }
}
