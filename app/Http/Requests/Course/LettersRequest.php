<?php

declare(strict_types=1);

namespace App\Http\Requests\Course;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;

/** A message to those of a class that are chosen. */
final class LettersRequest extends FormRequest
{
    use ChosenIds;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'subject' => ['required', 'string', 'max:200'],
            'body' => ['required', 'string', 'max:5000'],
            'ids' => ['required', 'array', 'min:1', 'max:1000'],
            'ids.*' => ['integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'subject.required' => Phrase::of('Say what it is about.'),
            'body.required' => Phrase::of('Write what they should read.'),
            'ids.*' => Phrase::of('Choose whom it is for.'),
            '*.max' => Phrase::of('That is too long.'),
        ];
    }

    public function subject(): string
    {
        return trim((string) preg_replace('~\s+~u', ' ', $this->string('subject')->toString()));
    }

    public function body(): string
    {
        return trim($this->string('body')->toString());
    }
}
