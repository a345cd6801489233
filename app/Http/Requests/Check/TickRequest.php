<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use Illuminate\Foundation\Http\FormRequest;

/** A piece of work is done, or is not after all. */
final class TickRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'fix' => ['required', 'string', 'regex:~^[0-9a-f]{64}$~'],
            'done' => ['required', 'boolean'],
        ];
    }
}
