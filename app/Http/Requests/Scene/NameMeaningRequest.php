<?php

declare(strict_types=1);

namespace App\Http\Requests\Scene;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldMeaning;
use PlainLedger\Core\Text\PlainSentence;

/** A name that was not understood is pointed at what it stands for. */
final class NameMeaningRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:200'],
            'is' => ['nullable', 'string', 'max:80'],
            'unit' => ['nullable', 'string', 'max:20'],
            'word' => ['nullable', 'string', 'max:200'],
            'stands' => ['nullable', 'string', 'max:200'],
            'all' => ['boolean'],
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
     * @param  FieldMap  $known  what names stand for by now
     *
     * @throws PlainSentence
     */
    public function meaning(FieldMap $known): FieldMeaning
    {
        $name = $this->string('name')->toString();
        $words = $known->of($name)->words ?? [];
        if ($this->filled('word') && $this->input('stands') !== null) {
            $words = [$this->string('word')->toString() => $this->string('stands')->toString()] + $words;
        }
        $given = ['name' => $name, 'is' => $this->input('is'), 'unit' => $this->input('unit'), 'words' => $words];
        $told = array_filter($given, static fn (mixed $v): bool => $v !== null && $v !== []);

        return FieldMap::meaning($told + ['is' => null], 'This name', 'it');
    }
}
