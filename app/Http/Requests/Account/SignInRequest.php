<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use App\Language\Phrase;
use Illuminate\Foundation\Http\FormRequest;

final class SignInRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'max:190'],
            'password' => ['required', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'required' => Phrase::of('This is needed.'),
        ];
    }
}
