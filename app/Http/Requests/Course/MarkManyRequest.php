<?php

declare(strict_types=1);

namespace App\Http\Requests\Course;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;
use PlainLedger\Core\Course\Decimal;

/** Points, or a remark, or both, for all that are chosen. */
final class MarkManyRequest extends FormRequest
{
    use ChosenIds;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'ids' => ['required', 'array', 'min:1', 'max:1000'],
            'ids.*' => ['integer'],
            'points' => ['nullable', 'required_without:remark', self::expectPoints(...)],
            'remark' => ['nullable', 'string', 'max:5000'],
        ];
    }

    private static function expectPoints(string $field, mixed $value, \Closure $fail): void
    {
        if (Decimal::read($value) === null) {
            $fail(Phrase::of('Points are a number from 0 on, with at most two places.'));
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'ids.*' => Phrase::of('Choose whom it is for.'),
            'points.required_without' => Phrase::of('Give points, or say something.'),
            'remark.*' => Phrase::of('A remark has at most 5000 letters.'),
        ];
    }

    /** As they are shown; null where none are given. */
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
