<?php

declare(strict_types=1);

namespace App\Http\Requests\Course;

use App\Http\Moment;
use App\Language\Phrase;
use App\Models\Production;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;

/** Another time, or more attempts, for one or for many. */
final class ExtensionRequest extends FormRequest
{
    use ChosenIds;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'due' => ['nullable', 'date'],
            'attempts' => ['nullable', 'integer', 'min:0', 'max:100'],
            'why' => ['nullable', 'string', 'max:400'],
            'ids' => ['sometimes', 'array', 'min:1', 'max:1000'],
            'ids.*' => ['integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'due.*' => Phrase::of('That is no time.'),
            'attempts.*' => Phrase::of('There cannot be that many more attempts.'),
            'why.*' => Phrase::of('That is too long.'),
            'ids.*' => Phrase::of('Choose whom it is for.'),
        ];
    }

    public function due(Production $production): ?Carbon
    {
        return Moment::typed($this->input('due'), $production->zone());
    }

    public function attempts(): int
    {
        return $this->integer('attempts');
    }

    public function why(): string
    {
        return trim($this->string('why')->toString());
    }
}
