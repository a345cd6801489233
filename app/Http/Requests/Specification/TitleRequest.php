<?php

declare(strict_types=1);

namespace App\Http\Requests\Specification;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;

/** What a specification is called. */
final class TitleRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:160'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => Phrase::of('A specification needs a title.'),
        ];
    }
}
