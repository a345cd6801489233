<?php

declare(strict_types=1);

namespace App\Http\Requests\Practice;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Demo\Practice\Blunder;
use PlainLedger\Demo\Practice\Exercise;

/** What is set: one of the exercises that ship, mistakes of one's own choice, or a job to be specified. */
final class ExerciseRequest extends FormRequest
{
    private const MOST_MISTAKES = 4;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['nullable', 'in:find,write'],
            'number' => ['nullable', 'integer', 'min:1', 'max:'.count(Exercise::all())],
            'title' => ['nullable', 'required_without:number', 'string', 'max:120'],
            'mistakes' => ['nullable', 'array', 'max:'.self::MOST_MISTAKES],
            'mistakes.*' => ['in:'.implode(',', array_column(Blunder::cases(), 'value'))],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'number.*' => Phrase::of('There is no such exercise.'),
            'kind.*' => Phrase::of('There is no such exercise.'),
            'title.*' => Phrase::of('Give it a title.'),
            'mistakes.max' => Phrase::of('At most :most mistakes at once.', ['most' => self::MOST_MISTAKES]),
            'mistakes.*' => Phrase::of('There is no such mistake.'),
        ];
    }

    /** @return array{title: string, mistakes: list<string>, kind: 'find'|'write'} */
    public function values(): array
    {
        if ($this->input('kind') === 'write') {
            return ['title' => trim($this->string('title')->toString()), 'mistakes' => [], 'kind' => 'write'];
        }
        $ready = Exercise::find($this->integer('number'));

        return $ready === null
            ? ['title' => trim($this->string('title')->toString()), 'mistakes' => $this->mistakes(), 'kind' => 'find']
            : ['title' => $ready->title, 'mistakes' => array_column($ready->blunders, 'value'), 'kind' => 'find'];
    }

    /** @return list<string> */
    private function mistakes(): array
    {
        return array_values(array_unique(array_map(strval(...), (array) $this->input('mistakes', []))));
    }
}
