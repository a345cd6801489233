<?php

declare(strict_types=1);

namespace App\Http\Requests\People;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;

/** How long checks are kept; nothing of it: for ever. */
final class RetentionRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'checks' => ['nullable', 'required_with:days', 'integer', 'min:1', 'max:100000'],
            'days' => ['nullable', 'required_with:checks', 'integer', 'min:1', 'max:36500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => Phrase::of('Both are needed, as whole numbers, or neither.')];
    }

    /** @return array{checks: int, days: int}|null */
    public function retention(): ?array
    {
        return $this->input('checks') === null
            ? null
            : ['checks' => $this->integer('checks'), 'days' => $this->integer('days')];
    }
}
