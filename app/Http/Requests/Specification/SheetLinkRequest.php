<?php

declare(strict_types=1);

namespace App\Http\Requests\Specification;

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
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'days.*' => 'A link lasts from 1 to 365 days.',
        ];
    }
}
