<?php

declare(strict_types=1);

namespace App\Http\Requests\Render;

use Illuminate\Foundation\Http\FormRequest;

/** A log that lies in the intake and grows. */
final class FollowedLogRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'file' => ['required', 'string', 'max:255'],
            'shape' => ['nullable', 'string', 'max:80'],
        ];
    }

    public function shape(): ?string
    {
        $shape = $this->input('shape');

        return is_string($shape) ? $shape : null;
    }
}
