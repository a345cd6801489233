<?php

declare(strict_types=1);

namespace App\Http\Requests\People;

use App\Language\Phrase;
use App\Models\Invitation;
use App\Security\PasswordRule;
use Illuminate\Foundation\Http\FormRequest;

/** Somebody who comes in by a link: who they are, and their password. */
final class JoinRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['sometimes', 'required', 'string', 'max:120'],
            'email' => ['sometimes', 'required', 'string', 'email', 'max:190'],
            'password' => ['required', 'string', 'max:200', $this->isGood(...)],
            'again' => ['required', 'same:password'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Phrase::of('What are you called?'),
            'email.*' => Phrase::of('An address like name@house.example is needed: you sign in with it.'),
            'password.required' => Phrase::of('Choose a password.'),
            'again.*' => Phrase::of('The two are not the same.'),
        ];
    }

    private function isGood(string $field, mixed $value, \Closure $fail): void
    {
        $word = $this->route('word');
        $whose = is_string($word) ? Invitation::of($word)?->user : null;
        $name = $whose->name ?? $this->string('name')->toString();
        $email = $whose->email ?? $this->string('email')->toString();
        $why = is_string($value) ? PasswordRule::refuses($value, $name, $email) : null;
        if ($why !== null) {
            $fail($why);
        }
    }
}
