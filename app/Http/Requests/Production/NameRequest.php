<?php

declare(strict_types=1);

namespace App\Http\Requests\Production;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Text\PlainSentence;

/** What a name in scenes stands for. */
final class NameRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:200'],
            'is' => ['nullable', 'string', 'max:80'],
            'unit' => ['nullable', 'string', 'max:20'],
            'words' => ['array', 'max:100'],
            'words.*' => ['string', 'max:200'],
            'drop' => ['boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Phrase::of('Say which name.'),
        ];
    }

    /**
     * The map with that name, or without it.
     *
     * @throws PlainSentence
     */
    public function changed(FieldMap $map): FieldMap
    {
        $name = $this->string('name')->toString();
        $meaning = [
            'name' => $name, 'is' => $this->input('is'), 'unit' => $this->input('unit'),
            'words' => $this->input('words') ?? [],
        ];

        return $this->boolean('drop')
            ? $map->without($name)
            : $map->with(FieldMap::meaning($meaning, 'This name', 'it'));
    }
}
