<?php

declare(strict_types=1);

namespace App\Http\Requests\Submission;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Checksums\SumAlgorithm;

/** A sign-off: of which check, with what note, what was done where nothing could tell, and by which sums. */
final class SignOffRequest extends FormRequest
{
    private const MOST_ANSWERS = 500;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'check' => ['required', 'integer'],
            'note' => ['nullable', 'string', 'max:2000'],
            'answers' => ['nullable', 'array', 'max:'.self::MOST_ANSWERS],
            'answers.*' => ['nullable', 'string', 'max:500'],
            'algorithms' => ['nullable', 'array', 'max:7'],
            'algorithms.*' => ['in:'.implode(',', array_column(SumAlgorithm::cases(), 'value'))],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'check.*' => Phrase::of('Say which check is signed.'),
            'note.max' => Phrase::of('A note has at most 2000 letters.'),
            'answers.*' => Phrase::of('What was done instead is told in at most 500 letters a line.'),
            'algorithms.*' => Phrase::of('There are no such checksums.'),
        ];
    }

    public function check(): int
    {
        return $this->integer('check');
    }

    public function note(): string
    {
        return trim($this->string('note')->toString());
    }

    /** @return array<string, string> by the key of a line */
    public function answers(): array
    {
        $answers = [];
        foreach ((array) $this->input('answers', []) as $key => $text) {
            if (is_string($text) && trim($text) !== '') {
                $answers[(string) $key] = trim($text);
            }
        }

        return $answers;
    }

    /** @return non-empty-list<SumAlgorithm> SHA-256 where nothing else is wanted */
    public function algorithms(): array
    {
        $asked = array_values(array_unique(array_map(strval(...), (array) $this->input('algorithms', []))));
        $algorithms = array_map(SumAlgorithm::from(...), $asked);

        return $algorithms === [] ? [SumAlgorithm::Sha256] : $algorithms;
    }
}
