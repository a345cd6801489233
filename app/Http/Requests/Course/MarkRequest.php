<?php

declare(strict_types=1);

namespace App\Http\Requests\Course;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Course\Decimal;

/** Points given by hand, and what there is to say. */
final class MarkRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'points' => ['nullable', static function (string $field, mixed $value, \Closure $fail): void {
                if (Decimal::read($value) === null) {
                    $fail(Phrase::of('Points are a number from 0 on, with at most two places.'));
                }
            }],
            'remark' => ['nullable', 'string', 'max:5000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['remark.*' => Phrase::of('A remark has at most 5000 letters.')];
    }

    /** As they are shown; null where those that are worked out stand. */
    public function points(): ?string
    {
        $value = Decimal::read($this->input('points'));

        return $value === null ? null : Decimal::shown($value);
    }

    public function remark(): string
    {
        return trim($this->string('remark')->toString());
    }
}
