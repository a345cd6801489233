<?php

declare(strict_types=1);

namespace App\Http\Requests\People;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;

/** How much a production may take; nothing where it is as usual. */
final class LimitsRequest extends FormRequest
{
    private const WORDS = ['bytes', 'checks', 'archive'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return array_fill_keys(self::WORDS, ['nullable', 'integer', 'min:1', 'max:9000000000000000']);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => Phrase::of('A whole number is needed, or nothing for the usual one.')];
    }

    /** @return array{bytes?: int, checks?: int, archive?: int}|null */
    public function limits(): ?array
    {
        $own = [];
        foreach (self::WORDS as $word) {
            if ($this->input($word) !== null) {
                $own[$word] = $this->integer($word);
            }
        }

        return $own === [] ? null : $own;
    }
}
