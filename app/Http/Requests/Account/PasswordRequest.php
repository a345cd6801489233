<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use App\Language\Phrase;
use App\Models\User;
use App\Security\PasswordRule;
use App\Security\SecurityLog;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Hash;

/** The old password, and a new one twice. */
final class PasswordRequest extends FormRequest
{
    private const LONGEST = 1000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $text = ['required', 'string', 'max:'.self::LONGEST];

        return [
            'current' => [...$text, $this->isCurrent(...)],
            'password' => [...$text, $this->isGood(...)],
            'again' => ['required', 'same:password'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'current.required' => Phrase::of('Type the password you have now.'),
            'password.required' => Phrase::of('Type the new password.'),
            'password.max' => Phrase::of('A password has at most 200 letters.'),
            'again.*' => Phrase::of('The two are not the same.'),
        ];
    }

    private function isCurrent(string $field, mixed $value, \Closure $fail): void
    {
        $user = $this->user();
        if (! $user instanceof User || ! is_string($value) || ! Hash::check($value, $user->password)) {
            SecurityLog::note('password not changed', ['account' => $user?->getAuthIdentifier()]);
            $fail(Phrase::of('This is not the password you have now.'));
        }
    }

    private function isGood(string $field, mixed $value, \Closure $fail): void
    {
        $user = $this->user();
        $why = $user instanceof User && is_string($value)
            ? PasswordRule::refuses($value, $user->name, $user->email)
            : null;
        if ($why !== null) {
            $fail($why);
        }
    }
}
