<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;

/** A way to see what is owed, by its name. */
final class SavedViewRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'which' => ['required', 'string', 'max:20'],
            'text' => ['nullable', 'string', 'max:200'],
            'specification' => ['nullable', 'string', 'max:160'],
            'by' => ['required', 'string', 'max:20'],
            'down' => ['required', 'boolean'],
            'columns' => ['present', 'array', 'max:20'],
            'columns.*' => ['string', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => Phrase::of('What is it called? At most 60 letters.')];
    }

    /** @return array<string, mixed> */
    public function state(): array
    {
        return [
            'which' => $this->string('which')->toString(),
            'text' => $this->string('text')->toString(),
            'specification' => $this->input('specification'),
            'by' => $this->string('by')->toString(),
            'down' => $this->boolean('down'),
            'columns' => array_values((array) $this->input('columns')),
        ];
    }
}
