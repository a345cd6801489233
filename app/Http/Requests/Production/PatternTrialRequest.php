<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use Illuminate\Foundation\Http\FormRequest;

/** Patterns for lines of a log, while they are written. */
final class PatternTrialRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'patterns' => ['present', 'array', 'max:20'],
            'patterns.*.event' => ['required', 'string', 'max:20'],
            'patterns.*.pattern' => ['nullable', 'string', 'max:500'],
            'sample' => ['nullable', 'string', 'max:100000'],
        ];
    }

    /** @return array<array-key, array{event: string, pattern?: string|null}> */
    public function patterns(): array
    {
        /** @var array<array-key, array{event: string, pattern?: string|null}> */
        return $this->input('patterns');
    }
}
