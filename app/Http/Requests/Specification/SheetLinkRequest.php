<?php

declare(strict_types=1);

namespace App\Http\Requests\Specification;

use App\Language\Phrase;
use App\Models\LinkKind;
use Illuminate\Foundation\Http\FormRequest;

/** A link to a sheet, for so many days. */
final class SheetLinkRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'days' => ['required', 'integer', 'min:1', 'max:365'],
            'anyway' => ['boolean'],
            'kind' => ['nullable', 'in:sheet,check'],
        ];
    }

    public function kind(): LinkKind
    {
        return LinkKind::tryFrom($this->string('kind')->toString()) ?? LinkKind::Sheet;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'days.*' => Phrase::of('A link lasts from 1 to 365 days.'),
        ];
    }
}
