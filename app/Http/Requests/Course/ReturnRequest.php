<?php

declare(strict_types=1);

namespace App\Http\Requests\Course;

use App\Http\Moment;
use App\Language\Phrase;
use App\Models\Production;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;

/** Why something is given back, and until when another attempt is due. */
final class ReturnRequest extends FormRequest
{
    use ChosenIds;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'why' => ['required', 'string', 'max:1000'],
            'due' => ['nullable', 'date', 'after:now'],
            'ids' => ['sometimes', 'array', 'min:1', 'max:1000'],
            'ids.*' => ['integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'why.required' => Phrase::of('Say why: the learner reads it.'),
            'why.*' => Phrase::of('That is too long.'),
            'due.*' => Phrase::of('That time is over already.'),
            'ids.*' => Phrase::of('Choose whom it is for.'),
        ];
    }

    public function why(): string
    {
        return trim($this->string('why')->toString());
    }

    public function due(Production $production): ?Carbon
    {
        return Moment::typed($this->input('due'), $production->zone());
    }
}
