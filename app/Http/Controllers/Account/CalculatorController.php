<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Http\Pages\Account\CalculatorPage;
use App\Http\Pages\Account\WorkedSum;
use App\Http\Requests\Account\SumRequest;
use Illuminate\Http\JsonResponse;
use Inertia\Response;
use PlainLedger\Core\Calculator\Calculator;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\PatternRefused;

/** The sums people do at the desk. */
final class CalculatorController
{
    public function show(): Response
    {
        return (new CalculatorPage)->render();
    }

    /** @answers WorkedSum */
    public function store(SumRequest $request): JsonResponse
    {
        $sum = Calculator::standard()->find($request->string('word')->toString()) ?? abort(404);
        try {
            return response()->json(WorkedSum::of($sum->work($request->inputs($sum))));
        } catch (NotUnderstood|PatternRefused $refused) {
            return response()->json(WorkedSum::refused($refused));
        }
    }
}
