<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Calculator\Calculation;
use PlainLedger\Core\Calculator\Calculator;
use PlainLedger\Core\Calculator\Field;
use PlainLedger\Core\Calculator\Inputs;
use PlainLedger\Core\Calculator\Result;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\PatternRefused;

/** The sums people do at the desk. */
final class CalculatorController
{
    public function show(): Response
    {
        return Inertia::render('Calculator', ['calculations' => self::offered()]);
    }

    /** @return list<array<string, mixed>> */
    public static function offered(): array
    {
        return array_map(static fn (Calculation $c): array => [
            'word' => $c->word(),
            'title' => $c->title(),
            'fields' => array_map(
                static fn (Field $f): array => [
                    'name' => $f->name,
                    'label' => $f->label,
                    'example' => $f->example,
                    'start' => $f->start,
                ],
                $c->fields(),
            ),
        ], Calculator::standard()->calculations);
    }

    public function work(Request $request): JsonResponse
    {
        $given = $request->validate(
            [
                'word' => ['required', 'string', 'max:40'],
                'given' => ['present', 'array', 'max:20'],
                'given.*' => ['nullable', 'string', 'max:100000'],
            ],
        );
        $calculation = Calculator::standard()->find($given['word']) ?? abort(404);
        $texts = [];
        foreach ($calculation->fields() as $field) {
            $texts[$field->name] = is_string($given['given'][$field->name] ?? null)
                ? $given['given'][$field->name]
                : '';
        }
        try {
            return response()->json(
                [
                    'results' => array_map(
                        static fn (Result $r): array => [
                            'label' => $r->label,
                            'value' => $r->value,
                            'formula' => $r->formula,
                        ],
                        $calculation->work(new Inputs($texts)),
                    ),
                    'fault' => null,
                ],
            );
        } catch (NotUnderstood|PatternRefused $refused) {
            return response()->json(['results' => [], 'fault' => $refused->getMessage()]);
        }
    }
}
