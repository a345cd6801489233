<?php

declare(strict_types=1);

namespace App\Http\Requests\Practice;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Practice\PracticeAnswer;

/** What somebody says is the matter. */
final class AnswerRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'balances' => ['required', 'boolean'],
            'lines' => ['nullable', 'array', 'max:60'],
            'lines.*' => ['string', 'max:60'],
            'causes' => ['nullable', 'array', 'max:20'],
            'causes.*' => ['string', 'max:60'],
            'render' => ['nullable', 'string', 'max:400'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['balances.*' => Phrase::of('Say whether it balances.')];
    }

    public function answer(): PracticeAnswer
    {
        $words = fn (string $key): array => array_values(array_unique(
            array_map(strval(...), (array) $this->input($key, [])),
        ));
        $text = trim($this->string('render')->toString());
        try {
            $frames = $text === '' ? FrameRange::none() : FrameRange::parse($text);
        } catch (NotUnderstood $no) {
            throw ValidationException::withMessages(['render' => $no->getMessage()]);
        }

        return new PracticeAnswer(
            $this->boolean('balances'),
            $words('lines'),
            $words('causes'),
            $frames->isEmpty() ? [] : ['' => $frames],
        );
    }
}
