<?php

declare(strict_types=1);

namespace App\Http\Requests\Course;

use App\Http\Moment;
use App\Language\Phrase;
use App\Models\Specification;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Course\AssignmentRules;
use PlainLedger\Core\Course\CourseRefused;

/** How an assignment is judged. What its rules cannot be is told by the rules themselves. */
final class AssignmentRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'due' => ['nullable', 'date'],
            'anonymous' => ['boolean'],
            'rules' => ['required', 'array'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'due.*' => Phrase::of('That is no time.'),
            'rules.*' => Phrase::of('Say how it is judged.'),
        ];
    }

    /** @throws CourseRefused */
    public function judgedBy(): AssignmentRules
    {
        /** @var array<string, mixed> $rules */
        $rules = (array) $this->input('rules');

        return AssignmentRules::fromArray($rules, Phrase::of('The rules'));
    }

    /** On the course's clock. */
    public function due(Specification $specification): ?Carbon
    {
        return Moment::typed($this->input('due'), $specification->production->zone());
    }
}
