<?php

declare(strict_types=1);

namespace App\Http\Requests\Submission;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;

/** Why a sign-off is taken back. */
final class WithdrawRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['why' => ['required', 'string', 'max:1000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['why.required' => Phrase::of(
            'Say why: whoever has the record reads it.',
        ), 'why.*' => Phrase::of('That is too long.')];
    }

    public function why(): string
    {
        return trim($this->string('why')->toString());
    }
}
