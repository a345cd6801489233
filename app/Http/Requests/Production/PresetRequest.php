<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Language\Phrase;
use App\Models\Production;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Exists;

/** A specification that others may begin with. */
final class PresetRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:160'],
            'specification' => ['required', 'integer', $this->ofProduction()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => Phrase::of('A preset needs a title.'),
        ];
    }

    private function ofProduction(): Exists
    {
        /** @var Production $production */
        $production = $this->route('production');

        return Rule::exists('specifications', 'id')->where('production_id', $production->id);
    }
}
