<?php

declare(strict_types=1);

namespace App\Http\Requests\People;

use Illuminate\Foundation\Http\FormRequest;

/** A folder below the intake, in which files of a production lie. */
final class IntakeRootRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'label' => ['required', 'string', 'max:80'],
            'path' => ['required', 'string', 'max:400', 'regex:~^[^\x00-\x1F]+$~'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['label.*' => 'What is it called?', 'path.*' => 'A path below the intake is needed.'];
    }
}
