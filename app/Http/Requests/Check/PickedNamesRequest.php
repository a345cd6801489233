<?php

declare(strict_types=1);

namespace App\Http\Requests\Check;

use Illuminate\Foundation\Http\FormRequest;

/** Names of files on the visitor's own disk. */
final class PickedNamesRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'files' => ['present', 'array', 'max:5000'],
            'all' => ['required', 'boolean'],
        ];
    }

    /** @return array<mixed> what they were told as; looked through where it is taken */
    public function files(): array
    {
        return (array) $this->input('files', []);
    }
}
