<?php

declare(strict_types=1);

namespace App\Http\Requests\Practice;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;

/** Lines of a specification, as they were typed. */
final class WrittenSpecificationRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'lines' => ['present', 'array', 'max:60'],
            'lines.*.id' => ['required', 'string', 'max:60'],
            'lines.*.value' => ['nullable', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['lines*' => Phrase::of('Write down what is asked.')];
    }

    /** @return array<string, string> values by id; what is empty is not asked */
    public function lines(): array
    {
        $lines = [];
        foreach ((array) $this->input('lines') as $line) {
            $value = is_array($line) && is_string($line['value'] ?? null) ? trim($line['value']) : '';
            if ($value !== '' && is_string($line['id'] ?? null)) {
                $lines[$line['id']] = $value;
            }
        }

        return $lines;
    }
}
